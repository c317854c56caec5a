import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Download, Printer } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { Problem, wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import { useSurvey } from '../../api/surveys'
import type { ControlList, ControlTree } from '../../api/types'
import { wordsOfReading } from '../../common/bench/entries'
import { approveTree, controlQuery } from '../../common/control/queries'
import { directionWords, metresWords, verdictWords, workWords } from '../../common/control/words'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { SurveyHead } from '../../ui/SurveyHead'
import { counted, dayAndTime, percent } from '../../ui/words'
import { Near } from './Near'
import { PlotSketch } from './PlotSketch'

const LINK =
  'inline-flex min-h-11 items-center rounded-plain border border-ink bg-card px-4 font-semibold hover:bg-thistle-wash'

/** The trees of a survey that may go to a contractor, and what the others lack. */
export function ControlPage() {
  const chosen = useSurvey()
  const { survey } = chosen
  const list = useQuery({ ...controlQuery(survey?.id ?? ''), enabled: survey !== undefined })
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <SurveyHead
        chosen={chosen}
        title="Control"
        words="Trees that stand as an invader, and what may be cut."
      />
      {list.isError && <Notice tone="wrong">{wordsOf(list.error)}</Notice>}
      {survey && list.isPending && <OnItsWay of={list}>Going through the calls …</OnItsWay>}
      {list.data && <Listed list={list.data} />}
    </main>
  )
}

function Listed({ list }: { readonly list: ControlList }) {
  const gone = list.trees.filter((tree) => tree.gone)
  const standing = list.trees.filter((tree) => !tree.gone)
  const clear = standing.filter((tree) => tree.missing.length === 0)
  const waiting = standing.filter((tree) => tree.missing.length > 0)
  const approved = clear.filter((tree) => tree.approval.id)
  return (
    <>
      <div className="mb-3 rounded-plain border-2 border-rust bg-rust-wash p-3">
        <h2 className="text-lg">Before anything is cut</h2>
        <ul className="ml-5 list-disc">
          {list.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </div>
      {!list.used && (
        <Notice tone="plain">
          This survey has no calls for control. A lead allows them in the survey’s settings, where its trees
          may be felled at all.
        </Notice>
      )}
      <div className="my-3 flex flex-wrap gap-2">
        <Link to={`/surveys/${list.surveyId}/control/print`} className={LINK}>
          <Printer aria-hidden className="mr-2 size-4" />
          Print list, plans and cards
        </Link>
        <Link to="/control/cards" className={LINK}>
          Go to the trees: the last look
        </Link>
        <a href={`/api/surveys/${list.surveyId}/control.csv`} download className={LINK}>
          <Download aria-hidden className="mr-2 size-4" />
          Table (CSV)
        </a>
        <a href={`/api/surveys/${list.surveyId}/control.geojson`} download className={LINK}>
          <Download aria-hidden className="mr-2 size-4" />
          Map (GeoJSON)
        </a>
      </div>
      <section aria-label="May be controlled" className="mb-6">
        <h2 className="text-xl">
          May be controlled{' '}
          <span className="figure text-base font-normal text-quiet">
            {counted(clear.length, 'tree')}, {approved.length} approved
          </span>
        </h2>
        {clear.length === 0 && (
          <p className="my-2">
            No tree yet: two observers must have read it blind for control, and its review must be settled.
          </p>
        )}
        {plotsOf(clear).map(([plot, trees]) => (
          <PlotOf key={plot} plot={plot} trees={trees} list={list} />
        ))}
      </section>
      {list.waitingBlind > 0 && (
        <p className="mb-4">
          <Link to="/review" className="font-semibold text-thistle underline">
            {counted(list.waitingBlind, 'tree')}
          </Link>{' '}
          of this survey {list.waitingBlind === 1 ? 'waits' : 'wait'} for a blind reading. What{' '}
          {list.waitingBlind === 1 ? 'it was' : 'they were'} called is kept from you until then, here too.
        </p>
      )}
      {waiting.length > 0 && (
        <section aria-label="Not on the list" className="mb-6">
          <h2 className="text-xl">
            Not on the list{' '}
            <span className="text-base font-normal text-quiet">
              with what is missing, nearest to done first
            </span>
          </h2>
          <ul className="mt-2 grid grid-cols-1 gap-2 xl:grid-cols-2">
            {waiting.map((tree) => (
              <li key={tree.treeId} className="rounded-plain border border-line bg-card p-3">
                <p className="flex flex-wrap items-baseline gap-x-3">
                  <Link
                    to={`/surveys/${list.surveyId}/trees/${tree.treeId}`}
                    className="font-bold text-thistle underline"
                  >
                    {tree.plotCode}, tree {tree.tag}
                  </Link>
                  <span>{tree.commonName}</span>
                  <span className="text-quiet">{tree.observers.join(', ')}</span>
                </p>
                <ul className="ml-5 list-disc">
                  {tree.missing.map(({ words }) => (
                    <li key={words}>{words}</li>
                  ))}
                </ul>
                {tree.approval.lapsed && (
                  <p className="font-bold">
                    The approval of {tree.approval.by} lapsed: {tree.approval.lapsed}.
                  </p>
                )}
                <Done tree={tree} />
              </li>
            ))}
          </ul>
        </section>
      )}
      {gone.length > 0 && (
        <section aria-label="Done">
          <h2 className="text-xl">Done</h2>
          <ul className="mt-2 grid gap-1">
            {gone.map((tree) => (
              <li key={tree.treeId} className="flex flex-wrap gap-x-3">
                <strong>
                  {tree.plotCode}, tree {tree.tag}
                </strong>
                <Done tree={tree} />
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  )
}

function plotsOf(trees: readonly ControlTree[]): readonly (readonly [string, readonly ControlTree[]])[] {
  const plots = new Map<string, ControlTree[]>()
  for (const tree of trees) plots.set(tree.plotCode, [...(plots.get(tree.plotCode) ?? []), tree])
  return [...plots]
}

type PlotProps = {
  readonly plot: string
  readonly trees: readonly ControlTree[]
  readonly list: ControlList
}

/** The clear trees of a plot: a lead approves them one by one, or all at once. */
function PlotOf({ plot, trees, list }: PlotProps) {
  const queries = useQueryClient()
  const [refused, setRefused] = useState<string>()
  const open = trees.filter((tree) => !tree.approval.id)
  const approve = useMutation({
    mutationFn: async ({ of, yes }: { readonly of: readonly ControlTree[]; readonly yes: boolean }) => {
      for (const tree of of)
        await approveTree(list.surveyId, tree.treeId, crypto.randomUUID(), tree.determinationId, yes)
    },
    onSuccess: () => setRefused(undefined),
    onError: (error) =>
      setRefused(
        error instanceof Problem && error.isStale
          ? 'This tree was signed anew since you looked. It was not approved; look at it as it stands now.'
          : wordsOf(error),
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: controlQuery(list.surveyId).queryKey }),
  })
  return (
    <article aria-label={plot} className="my-3">
      <div className="mb-2 flex flex-wrap items-center gap-3 border-b border-ink pb-1">
        <h3 className="text-lg">{plot}</h3>
        {list.mayApprove && open.length > 1 && (
          <Button disabled={approve.isPending} onClick={() => approve.mutate({ of: open, yes: true })}>
            Approve all {open.length} of this plot
          </Button>
        )}
      </div>
      {refused && <Notice tone="wrong">{refused}</Notice>}
      <div className="grid grid-cols-1 gap-3 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <ul className="grid content-start gap-3">
          {trees.map((tree) => (
            <li key={tree.treeId}>
              <Clear
                tree={tree}
                list={list}
                pending={approve.isPending}
                onApprove={(yes) => approve.mutate({ of: [tree], yes })}
              />
            </li>
          ))}
        </ul>
        <PlotSketch trees={trees.filter((tree) => tree.approval.id)} />
      </div>
    </article>
  )
}

type ClearProps = {
  readonly tree: ControlTree
  readonly list: ControlList
  readonly pending: boolean
  readonly onApprove: (yes: boolean) => void
}

function Clear({ tree, list, pending, onApprove }: ClearProps) {
  const { approval } = tree
  return (
    <section
      aria-label={`${tree.plotCode}, tree ${tree.tag}`}
      className={`rounded-plain border bg-card p-3 ${approval.id ? 'border-2 border-ink' : 'border-line'}`}
    >
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
        <div className="min-w-52 flex-1">
          <h4 className="flex flex-wrap items-baseline gap-x-2 text-lg">
            <Link to={`/surveys/${list.surveyId}/trees/${tree.treeId}`} className="text-thistle underline">
              Tree {tree.tag}
            </Link>
            {tree.commonName}
          </h4>
          <p>
            <span className="scientific">{tree.scientificName}</span>
            {tree.share !== null && tree.share !== undefined && `, ${percent(tree.share)}`}; called by{' '}
            {tree.observers.join(' and ')}
          </p>
          <p className="figure text-quiet">
            {directionWords(tree.azimuthDegrees)} · {metresWords(tree.distanceMetres)} ·{' '}
            {tree.diameterMillimetres} mm
          </p>
        </div>
        <div className="grid justify-items-end gap-1">
          {approval.id ? (
            <p className="font-bold">
              Approved by {approval.by}, {approval.at && dayAndTime(approval.at)}
            </p>
          ) : (
            <p className="text-quiet">
              {approval.lapsed ? `Approval lapsed: ${approval.lapsed}` : 'Not approved: must not be cut'}
            </p>
          )}
          {list.mayApprove && (
            <Button
              look={approval.id ? 'quiet' : 'main'}
              disabled={pending}
              onClick={() => onApprove(!approval.id)}
            >
              {approval.id ? 'Take the approval back' : 'Approve'}
              <span className="sr-only"> tree {tree.tag}</span>
            </Button>
          )}
          <Done tree={tree} />
        </div>
      </div>
      <div className="mt-2 grid grid-cols-1 gap-3 md:grid-cols-2">
        <div>
          <h5 className="font-bold">What confirmed it</h5>
          <Confirming tree={tree} />
        </div>
        <div>
          <h5 className="font-bold">Do not touch</h5>
          <Near near={tree.near} />
        </div>
      </div>
    </section>
  )
}

/** What confirmed the call, drawn. */
export function Confirming({ tree }: { readonly tree: ControlTree }) {
  const sheet = useQuery(sheetQuery(tree.sheetVersionId))
  if (sheet.isError) return <Notice tone="wrong">{wordsOf(sheet.error)}</Notice>
  if (!sheet.data) return <OnItsWay of={sheet}>Fetching the drawings …</OnItsWay>
  if (tree.confirming.length === 0)
    return <p className="text-quiet">Whoever signed named no features; all that was read is on the Bench.</p>
  return (
    <ul className="flex flex-wrap gap-3">
      {tree.confirming.map((reading) => {
        const character = sheet.data.characters.find(({ id }) => id === reading.character)
        if (!character) return null
        const draw = character.states.find(({ id }) => id === reading.states?.[0])?.draw
        return (
          <li key={reading.character} className="w-28 text-sm leading-tight">
            {draw && <Drawing hint={draw} className="h-20 w-full" />}
            <strong>{character.name}</strong>: {wordsOfReading(character, reading)}
          </li>
        )
      })}
    </ul>
  )
}

/** What the last look said, and what was done. */
function Done({ tree }: { readonly tree: ControlTree }) {
  return (
    <>
      {tree.look && (
        <p className={tree.look.result.verdict === 'confirmed' ? '' : 'font-bold text-rust-ink'}>
          Last look of {tree.look.by}, {dayAndTime(tree.look.at)}: {verdictWords(tree.look.result.verdict)}
          {tree.look.result.reasons.length > 0 &&
            `; ${tree.look.result.reasons.map(({ words }) => words).join('; ')}`}
        </p>
      )}
      {tree.work && (
        <p>
          {workWords(tree.work.what)}, {tree.work.doneOn}, says {tree.work.by}
          {tree.work.note && `: “${tree.work.note}”`}
        </p>
      )}
    </>
  )
}
