import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import type { LessonChoice } from '../../api/codes'
import { wordsOf } from '../../api/problem'
import type { Proposals as Proposed, SheetChange, Stated } from '../../api/types'
import { begin, takeProposal } from '../../common/draft/queries'
import { aspectWords, statedWords } from '../../common/group/changeWords'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { counted } from '../../ui/words'
import { proposalsQuery } from './queries'

const CHOICES: Readonly<Record<LessonChoice, string>> = {
  weights: 'other weights',
  profiles: 'other profiles',
  both: 'other profiles, and weights for them',
}

type Props = { readonly surveyId: string; readonly groupId: string; readonly edits: boolean }

/** What verified trees would change in a sheet, how that did on trees it was not made from, and each change to be taken. */
export function Proposals({ surveyId, groupId, edits }: Props) {
  const proposals = useQuery(proposalsQuery(surveyId, groupId))
  if (proposals.isError) return <Notice tone="wrong">{wordsOf(proposals.error)}</Notice>
  if (!proposals.data)
    return <OnItsWay of={proposals}>Trying other figures on trees that are held back …</OnItsWay>
  const it = proposals.data
  if (it.ruling === 'not-enough-trees') {
    return (
      <p>
        With {it.trees} trees that the sheet can read, chance would speak louder than they do: nothing is
        proposed.
      </p>
    )
  }
  return (
    <>
      <Trials it={it} />
      {it.proposals.length > 0 && <Table surveyId={surveyId} it={it} edits={edits} />}
    </>
  )
}

function Trials({ it }: { readonly it: Proposed }) {
  return (
    <>
      <p className="max-w-prose">
        {it.choice
          ? `Proposed: ${CHOICES[it.choice]}.`
          : 'Nothing is proposed: no other figures do better than the sheet’s by more than chance.'}{' '}
        Each was made from four fifths of the {it.trees} trees and tried on the fifth that was held back. It
        is a proposal; the draft shows what it would change on record.
      </p>
      <ul className="my-1 flex flex-wrap gap-2">
        {it.trials.map((trial) => (
          <li
            key={trial.choice}
            className={`rounded-plain border px-3 py-1 ${trial.choice === it.choice ? 'border-ink bg-gold-wash' : 'border-line'}`}
          >
            <b>{trial.choice}</b>: log loss <span className="figure">{trial.after.toFixed(3)}</span> instead
            of <span className="figure">{trial.before.toFixed(3)}</span> ({change(trial.after - trial.before)}{' '}
            ± {trial.standardError.toFixed(3)})
          </li>
        ))}
      </ul>
    </>
  )
}

const change = (value: number) =>
  `${Math.abs(value) < 0.0005 ? '' : value > 0 ? '+' : '−'}${Math.abs(value).toFixed(3)}`

type TableProps = { readonly surveyId: string; readonly it: Proposed; readonly edits: boolean }

function Table({ surveyId, it, edits }: TableProps) {
  const client = useQueryClient()
  const take = useMutation({
    mutationFn: async (one: Proposed['proposals'][number]) => {
      const draft = await begin({ from: 'change', versionId: it.versionId })
      return takeProposal(draft.id, { surveyId, character: one.character, kind: one.kind })
    },
    onSuccess: (draft) => {
      client.setQueryData(['drafts', draft.id], draft)
      return client.invalidateQueries({ queryKey: ['drafts'] })
    },
  })
  const taken = take.data
  return (
    <>
      {take.isError && <Notice tone="wrong">{wordsOf(take.error)}</Notice>}
      {taken && (
        <p role="status" className="my-1">
          <b>{it.proposals.find((one) => one.character === take.variables?.character)?.name}</b> is in your
          draft.{' '}
          <Link
            className="font-semibold text-thistle underline"
            to={`/drafts/${taken.id}`}
            state={{ part: 'effects' }}
          >
            Open it and see what would change
          </Link>
        </p>
      )}
      <div className="overflow-x-auto">
        <table className="w-full text-left">
          <thead>
            <tr className="border-b-2 border-ink align-bottom">
              {['Character', 'Now', 'Proposed', 'Trees', 'Log loss, alone'].map((head, i) => (
                <th
                  key={head}
                  scope="col"
                  className={`py-1 pr-4 ${i > 2 ? 'text-right' : i > 0 ? 'w-[29%]' : ''}`}
                >
                  {head}
                </th>
              ))}
              {edits && <td />}
            </tr>
          </thead>
          <tbody>
            {it.proposals.map((one) => (
              <Row
                key={`${one.character} ${one.kind}`}
                one={one}
                busy={take.isPending}
                onTake={edits ? () => take.mutate(one) : undefined}
              />
            ))}
          </tbody>
        </table>
      </div>
    </>
  )
}

type RowProps = {
  readonly one: Proposed['proposals'][number]
  readonly busy: boolean
  readonly onTake: (() => void) | undefined
}

const MOST_SHOWN = 3

/** One change, its largest figures first. */
function Row({ one, busy, onTake }: RowProps) {
  const [all, setAll] = useState(false)
  const sorted = [...one.changes].sort((a, b) => moved(b) - moved(a))
  const shown = all ? one.changes : sorted.slice(0, MOST_SHOWN)
  const rest = one.changes.length - MOST_SHOWN
  return (
    <tr className="border-b border-line align-top">
      <th scope="row" className="py-1 pr-4 font-semibold">
        {one.name}
        <span className="block text-sm font-normal text-quiet">
          {one.kind === 'weight' ? 'how far it counts' : 'what is seen, how often'}
        </span>
        {rest > 0 && (
          <button
            type="button"
            aria-expanded={all}
            className="min-h-8 text-sm font-normal text-thistle underline"
            onClick={() => setAll(!all)}
          >
            {all ? 'the largest alone' : `and ${counted(rest, 'smaller change')}`}
          </button>
        )}
      </th>
      <Sides changes={shown} side="before" />
      <Sides changes={shown} side="after" />
      <td className="figure py-1 pr-4 text-right">{one.trees}</td>
      <td className={`figure py-1 pr-4 text-right font-bold ${lossTone(one.lossAlone)}`}>
        {change(one.lossAlone)}
      </td>
      {onTake && (
        <td className="py-1 text-right">
          <Button
            className="whitespace-nowrap"
            disabled={busy}
            aria-label={`Take ${one.name}, ${one.kind}, into a draft`}
            onClick={onTake}
          >
            Into a draft
          </Button>
        </td>
      )}
    </tr>
  )
}

const NOTHING = 0.0005 // nats that are written as 0

function lossTone(loss: number): string {
  if (Math.abs(loss) < NOTHING) return 'text-quiet'
  return loss < 0 ? 'text-moss-ink' : 'text-rust-ink'
}

/** How far figures move, to show the largest first. */
function moved({ before, after }: SheetChange): number {
  const [was = [], is = []] = [before?.numbers, after?.numbers]
  return is.reduce((most, one, i) => Math.max(most, Math.abs(one - (was[i] ?? 0))), 0)
}

/** Figures with more digits than anybody reads, with fewer: a tenth of a percent, or of what is 10 and more. */
function rounded(stated: Stated | null | undefined): Stated | null | undefined {
  const share = stated?.kind === 'share' || stated?.kind === 'shares'
  const toFew = (one: number) => Number(one.toFixed(share ? 3 : Math.abs(one) < 10 ? 2 : 1))
  return stated && { ...stated, numbers: stated.numbers.map(toFew) }
}

type SidesProps = { readonly changes: readonly SheetChange[]; readonly side: 'before' | 'after' }

/** One side of what is different, a line each. */
function Sides({ changes, side }: SidesProps) {
  return (
    <td className={`py-1 pr-4 ${side === 'after' ? 'font-bold' : 'text-quiet'}`}>
      {changes.map((one) => (
        <span key={aspectWords(one)} className="block">
          {one.aspect !== 'weight' && <span className="text-sm font-normal">{aspectWords(one)} </span>}
          <span className={one[side]?.texts.length === 0 ? 'figure' : ''}>
            {statedWords(one.aspect, rounded(one[side]))}
          </span>
        </span>
      ))}
    </td>
  )
}
