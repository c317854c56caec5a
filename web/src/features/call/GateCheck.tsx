import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Check as Tick, X } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { groupsQuery } from '../../api/groups'
import { wordsOf } from '../../api/problem'
import type { Bench, DrawingHint, GateItem, Sheet } from '../../api/types'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { Notice } from '../../ui/Notice'
import { useKeys } from '../../ui/useKeys'
import { WhichGroup } from '../group/WhichGroup'
import type { Mark } from './outbox'
import { benchQuery, sendGroup } from './queries'

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly item: GateItem
  readonly fits: boolean | undefined
  readonly onMark: (item: string, mark: Mark) => void
  /** Goes on after an item that fits. */
  readonly onFits: () => void
  readonly onSkip: () => void
}

/** One thing that every member of the group shares: it fits, or the tree is no member. */
export function GateCheck({ bench, sheet, item, fits, onMark, onFits, onSkip }: Props) {
  const place = sheet.gate.indexOf(item) + 1
  const groups = useQuery(groupsQuery)
  const change = useOtherGroup(bench)
  const [asking, setAsking] = useState(false)
  const markFits = () => {
    onMark(item.id, 'fits')
    onFits()
  }
  const markFails = () => onMark(item.id, 'fails')
  useKeys({ '1': markFits, '2': markFails, '0': onSkip })
  return (
    <div className="grid gap-4">
      <div>
        <p className="text-quiet">
          The gate, {place} of {sheet.gate.length}: what every one of these trees shares
        </p>
        <h2 className="text-2xl sm:text-3xl">{item.name}</h2>
        <p className="mt-2 max-w-prose">{item.howTo}</p>
      </div>
      <div className="grid max-w-2xl grid-cols-2 gap-3">
        <Tile name="1" drawn={item.draw} chosen={fits === true} onChoose={markFits}>
          <Tick aria-hidden className="size-7 shrink-0 text-moss" />
          fits
        </Tile>
        <Tile name="2" drawn={item.drawOtherwise} chosen={fits === false} onChoose={markFails}>
          <X aria-hidden className="size-7 shrink-0 text-rust" />
          fails
        </Tile>
      </div>
      {fits !== false && <p className="max-w-prose text-quiet">Where it fails: {item.otherwise}.</p>}
      {fits === false && (
        <Failed sheet={sheet} item={item} change={change} onMark={onMark} onAsk={() => setAsking(true)} />
      )}
      {asking && (
        <WhichGroup
          groups={groups.data ?? []}
          choose="Look among"
          onChoose={(group) => {
            setAsking(false)
            if (group.groupId !== sheet.groupId) change.mutate(group.groupId)
          }}
          onClose={() => setAsking(false)}
        />
      )}
      {change.isError && <Notice tone="wrong">{wordsOf(change.error)}</Notice>}
      {fits !== false && (
        <div>
          <Button look="quiet" className="-ml-4" onClick={onSkip}>
            Go on without the gate
          </Button>
          <Button look="quiet" onClick={() => setAsking(true)}>
            Which group?
          </Button>
        </div>
      )}
    </div>
  )
}

type TileProps = {
  /** The key that does the same. */
  readonly name: string
  readonly drawn: DrawingHint | null | undefined
  readonly chosen: boolean
  readonly onChoose: () => void
  readonly children: ReactNode
}

function Tile({ name, drawn, chosen, onChoose, children }: TileProps) {
  return (
    <button
      type="button"
      className="grid min-h-20 content-between gap-2 rounded-plain border border-edge bg-card p-3 text-left text-lg font-semibold hover:bg-thistle-wash aria-pressed:border-ink aria-pressed:ring-1 aria-pressed:ring-ink sm:min-h-24"
      aria-pressed={chosen}
      onClick={onChoose}
    >
      {drawn && <Drawing hint={drawn} className="mx-auto aspect-square w-full max-w-44" />}
      <span className="flex items-center gap-3">
        <Key name={name} />
        {children}
      </span>
    </button>
  )
}

/** Takes the tree up in another group. */
function useOtherGroup(bench: Bench) {
  const queries = useQueryClient()
  const { surveyId, id: treeId } = bench.tree
  return useMutation({
    mutationFn: (groupId: string) => sendGroup(surveyId, treeId, groupId),
    onSuccess: (answer) => queries.setQueryData(benchQuery(surveyId, treeId).queryKey, answer),
  })
}

type FailedProps = Pick<Props, 'sheet' | 'item' | 'onMark'> & {
  readonly change: ReturnType<typeof useOtherGroup>
  readonly onAsk: () => void
}

function Failed({ sheet, item, change, onMark, onAsk }: FailedProps) {
  const groups = useQuery(groupsQuery)
  const other = groups.data?.find((one) => one.groupId === item.otherwiseGroup)
  return (
    <Notice tone="wrong">
      <div className="grid gap-3 py-1">
        <p>
          <strong>Then it is not of this group:</strong> {item.otherwise}. Nothing can be signed here while
          this fails.
        </p>
        <div className="flex flex-wrap gap-3">
          {other && (
            <Button look="main" disabled={change.isPending} onClick={() => change.mutate(other.groupId)}>
              Look among: {other.title}
            </Button>
          )}
          <Button onClick={onAsk}>Which group is it?</Button>
          <Button onClick={() => onMark(item.id, 'taken-back')}>It was a mistake</Button>
        </div>
        {other && (
          <p>
            What you read under “{sheet.title}” is kept, and is there again when you come back to this group.
          </p>
        )}
      </div>
    </Notice>
  )
}

/** The key that does the same. */
export function Key({ name }: { readonly name: string }) {
  return (
    <kbd className="figure grid size-7 shrink-0 place-items-center rounded-plain border border-ink bg-paper text-base font-bold">
      {name}
    </kbd>
  )
}
