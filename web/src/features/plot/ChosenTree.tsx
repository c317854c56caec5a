import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { wordsOf } from '../../api/problem'
import type { Group, NamedTaxon, TreeRow } from '../../api/types'
import { strikeTree } from '../../common/bench/handIn'
import { AskForSample } from '../../common/sample/AskForSample'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { EarlierSeasons } from './EarlierSeasons'
import { History } from './History'
import { groupWords, identityOf, stateOf } from './standing'
import { TreeForm } from './TreeForm'
import { pressureWords, vigourWords } from './vigourWords'

type Props = {
  readonly surveyId: string
  readonly plotId: string
  readonly plotCode: string
  readonly tree: TreeRow
  readonly trees: readonly TreeRow[]
  readonly taxa: readonly NamedTaxon[]
  readonly groups: readonly Group[]
  readonly locked: boolean
  /** whether the survey sends samples to a laboratory */
  readonly samples: boolean
}

/** The tree that is chosen on the map or in the table, and what can be done with it. */
export function ChosenTree({
  surveyId,
  plotId,
  plotCode,
  tree,
  trees,
  taxa,
  groups,
  locked,
  samples,
}: Props) {
  const queries = useQueryClient()
  const [sheet, setSheet] = useState<'edit' | 'history' | 'sample'>()
  const bearer = trees.find((one) => one.id === tree.cloneOf)
  const stems = trees.filter((one) => one.cloneOf === tree.id)
  const strike = useMutation({
    mutationFn: () => strikeTree(surveyId, tree.id),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['surveys', surveyId] }),
  })
  const onBench = tree.cloneOf ?? tree.id
  return (
    <section aria-label="Chosen tree" className="rounded-plain border border-thistle bg-card px-3 py-2">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
        <p>
          <strong className="figure text-lg">{tree.tag}</strong>{' '}
          <span className="font-semibold">{identityOf(tree, taxa)}</span>{' '}
          <span className="text-quiet">
            · {stateOf(tree, bearer)} · {tree.stage},{' '}
            {tree.origin === 'unknown' ? 'origin unknown' : tree.origin} ·{' '}
            <span className="figure">{tree.diameterMillimetres}</span> mm
            {tree.heightDecimetres ? `, ${tree.heightDecimetres / 10} m tall` : ''}
            {stems.length > 0 ? ` · ${stems.length + 1} stems of one clone` : ''}
          </span>
          {tree.readAs && tree.readAs !== tree.groupId && (
            <span className="block">moved by you to the {groupWords(tree.readAs, taxa)}</span>
          )}
          <HowItDoes tree={tree} />
          {tree.conditionNotes && <span className="block">{tree.conditionNotes}</span>}
        </p>
        <div className="flex flex-wrap gap-2">
          {tree.groupId && (
            <Link
              to={`/surveys/${surveyId}/trees/${onBench}`}
              className="flex min-h-11 items-center rounded-plain border border-thistle bg-thistle px-4 font-semibold text-card"
            >
              {bearer ? `Bench of tree ${bearer.tag}` : 'Bench'}
            </Link>
          )}
          {!locked && <Button onClick={() => setSheet('edit')}>Change</Button>}
          {!locked && samples && tree.groupId && <Button onClick={() => setSheet('sample')}>Sample …</Button>}
          <Button onClick={() => setSheet('history')}>History</Button>
          {!locked && tree.readings === 0 && (tree.standsAs === 'open' || tree.standsAs === 'plain') && (
            <Button look="quiet" className="px-2!" onClick={() => strike.mutate()}>
              Strike
            </Button>
          )}
        </div>
      </div>
      {strike.isError && <Notice tone="wrong">{wordsOf(strike.error)}</Notice>}
      <Sheet
        title={
          sheet === 'history'
            ? `What happened to tree ${tree.tag}`
            : sheet === 'sample'
              ? `A sample of tree ${tree.tag}`
              : `Tree ${tree.tag}`
        }
        open={sheet !== undefined}
        onOpenChange={() => setSheet(undefined)}
      >
        {sheet === 'history' ? (
          <>
            <History surveyId={surveyId} treeId={tree.id} />
            <EarlierSeasons key={tree.id} surveyId={surveyId} treeId={tree.id} />
          </>
        ) : sheet === 'sample' && tree.groupId ? (
          <AskForSample
            surveyId={surveyId}
            treeId={tree.id}
            groupId={tree.groupId}
            onDone={() => setSheet(undefined)}
          />
        ) : (
          <TreeForm
            plotCode={plotCode}
            surveyId={surveyId}
            plotId={plotId}
            tree={tree}
            trees={trees}
            taxa={taxa}
            groups={groups}
            onDone={() => setSheet(undefined)}
          />
        )}
      </Sheet>
    </section>
  )
}

/** How it does and what presses it; a note that decides nothing. */
function HowItDoes({ tree }: { readonly tree: TreeRow }) {
  const words = vigourWords(tree.vigour)
  const pressed = tree.favoured && tree.pressing.length > 0
  return (
    <>
      {words && <span className="block">{words}</span>}
      {tree.before && (
        <span className="block text-quiet">
          in {tree.before.season}: {vigourWords(tree.before.vigour)}
        </span>
      )}
      {tree.leadersInDoubt && (
        <span className="block text-rust-ink">
          Each year’s leader is much longer than the one after it: are these heights, or the years turned
          round? Kept as typed; <em>Change</em> mends it.
        </span>
      )}
      {tree.competition != null && (tree.favoured || words) && (
        <span className="block">
          {tree.favoured && <strong>to be favoured; </strong>}
          competition <span className="figure">{tree.competition.toFixed(2)}</span>
          {pressed && `, pressed by ${pressureWords(tree)}`}
        </span>
      )}
    </>
  )
}
