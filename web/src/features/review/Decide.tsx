import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useId, useState } from 'react'
import { useKeptText } from '../../api/kept'
import { Problem, wordsOf } from '../../api/problem'
import type { ReviewCase, Sheet } from '../../api/types'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { signedWords } from '../call/outcomeWords'
import { caseQuery, type Outcome, sendDecision } from './queries'
import { Stuck } from './Stuck'

type Way = {
  readonly key: string
  readonly outcome: Outcome
  readonly stands?: string
  readonly words: string
  readonly told: string
}

/** One way to agree for each thing that was signed, whoever signed it. */
function agreements(it: ReviewCase): readonly Way[] {
  const signers = new Map<string, ReviewCase['readings']>()
  for (const reader of it.readings) {
    const words = signedWords(reader.determination)
    signers.set(words, [...(signers.get(words) ?? []), reader])
  }
  return [...signers].flatMap(([words, readers]) => {
    const [first] = readers
    if (!first) return []
    return {
      key: first.determination.id,
      outcome: 'agree' as const,
      stands: first.determination.id,
      words: `Agree: ${readers.map((one) => one.observer).join(' and ')} ${words}`,
      told: 'It stands with all names on it.',
    }
  })
}

/** The ways in which this observer may end the review. */
function waysOf(it: ReviewCase): readonly Way[] {
  const own = it.readings.find((reader) => reader.mine)
  const sent = it.state === 'laboratory'
  return [
    ...(sent
      ? [
          {
            key: 'laboratory-result',
            outcome: 'laboratory-result' as const,
            words: 'The laboratory’s result',
            told: 'Its finding stands, whoever signed what.',
          },
        ]
      : []),
    ...agreements(it),
    ...(own
      ? [
          {
            key: 'overrule',
            outcome: 'overrule' as const,
            words: 'Overrule',
            told: 'Your own call stands, with your reasons.',
          },
        ]
      : []),
    {
      key: 'third-look',
      outcome: 'third-look',
      words: 'Third look',
      told: 'Somebody else reads it blind as well.',
    },
    ...(sent
      ? []
      : [
          {
            key: 'laboratory',
            outcome: 'laboratory' as const,
            words: 'Laboratory',
            told: 'A sample is to decide.',
          },
        ]),
    {
      key: 'not-separable',
      outcome: 'not-separable',
      words: 'Not separable',
      told: 'The group is recorded, and nothing finer.',
    },
  ]
}

/** How the review ends; whoever may not decide is told why. */
export function Decide({ it, sheet }: { readonly it: ReviewCase; readonly sheet: Sheet }) {
  const queries = useQueryClient()
  const [key, setKey] = useState<string>()
  const [taxon, setTaxon] = useState('')
  const [reasons, setReasons] = useKeptText(`reasons.${it.id}`)
  const field = useId()
  const decide = useMutation({
    mutationFn: (way: Way) =>
      sendDecision(it.surveyId, it.id, crypto.randomUUID(), {
        outcome: way.outcome,
        stands: way.stands ?? null,
        taxon: way.outcome === 'laboratory-result' ? taxon : null,
        reasons: reasons ?? '',
        version: it.version,
      }),
    onSuccess: (now) => {
      queries.setQueryData(caseQuery(it.surveyId, it.id).queryKey, now)
      queries.invalidateQueries({ queryKey: ['surveys', it.surveyId, 'review'] })
      setReasons('')
    },
    onError: (error) => {
      if (error instanceof Problem && error.isStale) {
        queries.invalidateQueries({ queryKey: caseQuery(it.surveyId, it.id).queryKey })
      }
    },
  })
  if (it.state === 'settled') return null
  if (it.stuck) {
    return (
      <section aria-label="Decision">
        <h2 className="text-lg">Decision</h2>
        <Stuck it={it} />
      </section>
    )
  }
  if (!it.mayDecide) {
    return (
      <section aria-label="Decision">
        <h2 className="text-lg">Decision</h2>
        <p className="rounded-plain border border-line bg-card px-3 py-3">{whyNot(it)}</p>
      </section>
    )
  }
  const ways = waysOf(it)
  const chosen = ways.find((way) => way.key === key)
  const result = chosen?.outcome === 'laboratory-result'
  const missing = missingFor(chosen?.outcome, reasons ?? '', taxon)
  return (
    <section id="decision" aria-label="Decision">
      <h2 className="text-lg">Decision</h2>
      <fieldset className="grid gap-2">
        <legend className="sr-only">How it ends</legend>
        {ways.map((way) => (
          <label
            key={way.key}
            className="flex min-h-11 cursor-pointer items-start gap-3 rounded-plain border border-line bg-card px-3 py-2 has-checked:border-2 has-checked:border-ink"
          >
            <input
              type="radio"
              name={`way-${it.id}`}
              checked={way.key === key}
              onChange={() => setKey(way.key)}
              className="mt-1 size-5 accent-thistle"
            />
            <span>
              <span className="font-semibold">{way.words}</span>
              <span className="block text-sm text-quiet">{way.told}</span>
            </span>
          </label>
        ))}
      </fieldset>
      {result && (
        <div className="mt-3">
          <Choice
            label="It found"
            options={[
              { value: '', text: 'choose …' },
              ...sheet.taxa.map((one) => ({ value: one.id, text: one.commonName })),
            ]}
            value={taxon}
            onChange={setTaxon}
          />
        </div>
      )}
      <label htmlFor={field} className="mt-3 block font-semibold">
        {result ? 'Its report' : chosen?.outcome === 'overrule' ? 'Reasons' : 'Reasons, if you like'}
      </label>
      <textarea
        id={field}
        rows={3}
        maxLength={4000}
        value={reasons ?? ''}
        onChange={(event) => setReasons(event.target.value)}
        className="w-full rounded-plain border border-edge bg-card p-2"
      />
      {missing && <p className="text-rust-ink">{missing}</p>}
      {decide.isError && <Notice tone="wrong">{wordsOf(decide.error)}</Notice>}
      <Button
        look="main"
        className="mt-2"
        disabled={!chosen || missing !== undefined || decide.isPending}
        onClick={() => chosen && decide.mutate(chosen)}
      >
        Decide
      </Button>
    </section>
  )
}

/** What a decision still wants, in words. */
function missingFor(outcome: Outcome | undefined, reasons: string, taxon: string): string | undefined {
  const silent = reasons.trim() === ''
  if (outcome === 'overrule' && silent) return 'Whoever overrules a call says why.'
  if (outcome !== 'laboratory-result') return undefined
  if (taxon === '') return 'Choose what it found; if it could not tell, the tree is not separable.'
  return silent ? 'Write which report says so.' : undefined
}

function whyNot(it: ReviewCase): string {
  if (it.closed) return 'The survey is closed: nothing can be decided.'
  if (it.needs === 'blind-reading') {
    return it.takenBy
      ? `${it.takenBy} is reading it blind; then it can be decided.`
      : 'Somebody must read it blind first; then it can be decided.'
  }
  if (it.readings[0]?.mine)
    return 'This is about your own call, so somebody else decides. Say what you think.'
  return 'A reviewer or a lead decides. Say what you think.'
}
