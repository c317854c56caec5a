import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { wordsOf } from '../../api/problem'
import type { Group, NamedTaxon, TreeRow } from '../../api/types'
import { strikeTree } from '../../common/bench/handIn'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { History } from './History'
import { groupWords, identityOf, stateOf } from './standing'
import { TreeForm } from './TreeForm'

type Props = {
  readonly surveyId: string
  readonly plotId: string
  readonly plotCode: string
  readonly tree: TreeRow
  readonly trees: readonly TreeRow[]
  readonly taxa: readonly NamedTaxon[]
  readonly groups: readonly Group[]
  readonly locked: boolean
}

/** The tree that is chosen on the map or in the table, and what can be done with it. */
export function ChosenTree({ surveyId, plotId, plotCode, tree, trees, taxa, groups, locked }: Props) {
  const queries = useQueryClient()
  const [sheet, setSheet] = useState<'edit' | 'history'>()
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
        title={sheet === 'history' ? `What happened to tree ${tree.tag}` : `Tree ${tree.tag}`}
        open={sheet !== undefined}
        onOpenChange={() => setSheet(undefined)}
      >
        {sheet === 'history' ? (
          <History surveyId={surveyId} treeId={tree.id} />
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
