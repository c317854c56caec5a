import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { groupsQuery } from '../../api/groups'
import { limits } from '../../api/limits'
import { useObserver } from '../../api/observer'
import { wordsOf, wrongAt } from '../../api/problem'
import type { ArchiveRulesSaid } from '../../api/types'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Tick } from '../../ui/Tick'
import { rulesQuery, sendRules } from './queries'

/** Under what the archive may be used; a lead sets it, everybody reads it. */
export function ArchiveRules({ surveyId }: { readonly surveyId: string }) {
  const observer = useObserver()
  const rules = useQuery(rulesQuery(surveyId))
  if (rules.isError) return <Notice tone="wrong">{wordsOf(rules.error)}</Notice>
  if (!rules.data) return null
  if (observer.role !== 'lead') return <p className="text-quiet">{said(rules.data)}</p>
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
        What the archive says: {said(rules.data)}
      </summary>
      <RulesForm surveyId={surveyId} rules={rules.data} />
    </details>
  )
}

function said({ license, rightsHolder, coarseMetres, coarseTaxa, pseudonyms }: ArchiveRulesSaid): string {
  return [
    license || 'no licence',
    rightsHolder && `rights of ${rightsHolder}`,
    pseudonyms && 'observers numbered',
    coarseMetres > 0 && coarseTaxa.length > 0 && `places of ${coarseTaxa.length} taxa to ${coarseMetres} m`,
  ]
    .filter(Boolean)
    .join(', ')
}

type Props = { readonly surveyId: string; readonly rules: ArchiveRulesSaid }

function RulesForm({ surveyId, rules }: Props) {
  const queries = useQueryClient()
  const groups = useQuery(groupsQuery).data ?? []
  const [set, setSet] = useState(rules)
  const [metres, setMetres] = useState(`${rules.coarseMetres}`)
  const put = (part: Partial<ArchiveRulesSaid>) => setSet({ ...set, ...part })
  const [from, setFrom] = useState(rules)
  const isChanged = said(rules) !== said(from)
  const keep = useMutation({
    mutationFn: (asked: ArchiveRulesSaid) => sendRules(surveyId, asked),
    onSuccess: async (_, kept) => {
      await queries.invalidateQueries(rulesQuery(surveyId))
      setFrom(kept)
    },
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    keep.mutate({ ...set, coarseMetres: Number(metres) })
  }
  const taxa = groups.flatMap((group) =>
    group.taxa.map((taxon) => ({
      value: `${group.groupId}|${taxon.id}`,
      text: `${taxon.commonName}, ${taxon.scientificName}`,
    })),
  )
  const chosen = set.coarseTaxa.map(({ groupId, taxonId }) => `${groupId}|${taxonId}`)
  return (
    <form onSubmit={submit} noValidate className="grid max-w-prose gap-3">
      <Field
        label="Licence"
        hint="As its own words or address say."
        value={set.license}
        maxLength={limits.ExchangeRulesDto.license.longest}
        onChange={(event) => put({ license: event.target.value })}
      />
      <Field
        label="Rights holder"
        value={set.rightsHolder}
        maxLength={limits.ExchangeRulesDto.rightsHolder.longest}
        onChange={(event) => put({ rightsHolder: event.target.value })}
      />
      <Tick
        on={set.pseudonyms}
        words="Number the observers instead of naming their call signs"
        onChange={(pseudonyms) => put({ pseudonyms })}
      />
      <Field
        label="Squares in whose middle plots with these taxa are told to lie, in metres"
        hint="0: places are told as they are known."
        type="number"
        inputMode="numeric"
        min={limits.ExchangeRulesDto.coarseMetres.least}
        max={limits.ExchangeRulesDto.coarseMetres.most}
        className="w-32"
        value={metres}
        onChange={(event) => setMetres(event.target.value)}
        wrong={wrongAt(keep.error, 'coarseMetres')}
      />
      <ul aria-label="Taxa whose places are kept" className="flex flex-wrap gap-2">
        {chosen.map((one) => (
          <li key={one}>
            <Button onClick={() => put({ coarseTaxa: set.coarseTaxa.filter((_, i) => chosen[i] !== one) })}>
              {taxa.find(({ value }) => value === one)?.text ?? one} ×
            </Button>
          </li>
        ))}
      </ul>
      <Choice
        label="Add a taxon"
        options={[{ value: '', text: '' }, ...taxa.filter(({ value }) => !chosen.includes(value))]}
        value=""
        onChange={(one) => {
          const [groupId = '', taxonId = ''] = one.split('|')
          if (taxonId) put({ coarseTaxa: [...set.coarseTaxa, { groupId, taxonId }] })
        }}
      />
      {isChanged && !keep.isPending && (
        <Notice tone="waiting">
          Somebody else changed this meanwhile: {said(rules)}. What you typed is still here; keeping it
          replaces theirs.
        </Notice>
      )}
      {keep.isSuccess && <Notice tone="plain">Kept.</Notice>}
      {keep.isError && <Notice tone="wrong">{wordsOf(keep.error)}</Notice>}
      <Button type="submit" look="main" disabled={keep.isPending || metres.trim() === ''} className="w-fit">
        Keep
      </Button>
    </form>
  )
}
