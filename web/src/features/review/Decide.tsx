import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useId, useState } from 'react'
import type { Hindrance, ReviewOutcome } from '../../api/codes'
import { useKeptText } from '../../api/kept'
import { limits } from '../../api/limits'
import { Problem, wordsOf } from '../../api/problem'
import type { ReviewCase, Sheet } from '../../api/types'
import { signedWords } from '../../common/bench/outcomeWords'
import { caseQuery, sendDecision } from '../../common/review/queries'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { Stuck } from './Stuck'

type Way = ReviewCase['ways'][number]

const keyOf = (way: Way) => way.stands ?? way.outcome

const WORDS: Readonly<Record<ReviewOutcome, readonly [words: string, told: string]>> = {
  agree: ['Agree', 'It stands with all names on it.'],
  overrule: ['Overrule', 'Your own call stands, with your reasons.'],
  'third-look': ['Third look', 'Somebody else reads it blind as well.'],
  laboratory: ['Laboratory', 'A sample is to decide.'],
  'laboratory-result': ['The laboratory’s result', 'Its finding stands, whoever signed what.'],
  'not-separable': ['Not separable', 'The group is recorded, and nothing finer.'],
  withdrawn: ['Withdrawn', 'Its readers signed anew.'],
}

/** "Agree: Siskin and Dipper signed silver birch", "Overrule". */
function wordsOfWay(it: ReviewCase, { outcome, stands, signers }: Way): string {
  const signed = it.readings.find((reader) => reader.determination.id === stands)
  const [words] = WORDS[outcome]
  return signed ? `${words}: ${signers.join(' and ')} ${signedWords(signed.determination)}` : words
}

/** How the review ends; whoever may not decide is told why. */
export function Decide({ it, sheet }: { readonly it: ReviewCase; readonly sheet: Sheet }) {
  const queries = useQueryClient()
  const [key, setKey] = useState<string>()
  const found = it.laboratory?.results.findLast((one) => one.taxon != null)
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
  const chosen = it.ways.find((way) => keyOf(way) === key)
  const result = chosen?.outcome === 'laboratory-result'
  const missing = missingFor(chosen, reasons ?? '', taxon)
  return (
    <section id="decision" aria-label="Decision">
      <h2 className="text-lg">Decision</h2>
      <fieldset className="grid gap-2">
        <legend className="sr-only">How it ends</legend>
        {it.ways.map((way) => (
          <label
            key={keyOf(way)}
            className="flex min-h-11 cursor-pointer items-start gap-3 rounded-plain border border-line bg-card px-3 py-2 has-checked:border-2 has-checked:border-ink"
          >
            <input
              type="radio"
              name={`way-${it.id}`}
              checked={keyOf(way) === key}
              onChange={() => {
                setKey(keyOf(way))
                if (way.outcome !== 'laboratory-result' || !found) return
                if (taxon === '') setTaxon(found.taxon ?? '')
                if (!reasons) setReasons(`${found.sample}: ${found.says}`)
              }}
              className="mt-1 size-5 accent-thistle"
            />
            <span>
              <span className="font-semibold">{wordsOfWay(it, way)}</span>
              <span className="block text-sm text-quiet">{WORDS[way.outcome][1]}</span>
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
        {result ? 'Its report' : chosen?.wantsReasons ? 'Reasons' : 'Reasons, if you like'}
      </label>
      <textarea
        id={field}
        rows={3}
        maxLength={limits.NewDecision.reasons.longest}
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
function missingFor(way: Way | undefined, reasons: string, taxon: string): string | undefined {
  const result = way?.outcome === 'laboratory-result'
  if (result && taxon === '') return 'Choose what it found; if it could not tell, the tree is not separable.'
  if (!way?.wantsReasons || reasons.trim() !== '') return undefined
  return result ? 'Write which report says so.' : 'Whoever overrules a call says why.'
}

const WHY_NOT: Readonly<Record<Hindrance, string>> = {
  closed: 'The survey is closed: nothing can be decided.',
  unread: 'Somebody must read it blind first; then it can be decided.',
  own: 'This is about your own call, so somebody else decides. Say what you think.',
  role: 'A reviewer or a lead decides. Say what you think.',
  seen: 'You were shown what others made of it.',
  taken: 'Somebody else is at it.',
}

function whyNot({ whyNot: why, takenBy }: ReviewCase): string {
  if (why === 'unread' && takenBy) return `${takenBy} is reading it blind; then it can be decided.`
  return why ? WHY_NOT[why] : ''
}
