import { useQuery } from '@tanstack/react-query'
import { Check as Tick, X } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { groupsQuery } from '../../api/groups'
import type { Bench, DrawingHint, GateItem, Sheet } from '../../api/types'
import { useEnter } from '../../common/bench/useEnter'
import type { Work } from '../../common/bench/useWork'
import { WhichGroup } from '../../common/group/WhichGroup'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { Key } from '../../ui/Key'
import { Notice } from '../../ui/Notice'
import { Term } from '../../ui/Term'
import { useKeys } from '../../ui/useKeys'

type Props = { readonly bench: Bench; readonly sheet: Sheet; readonly work: Work }

/** What every member of the group shares, all of it at once: each fits, or the tree is no member. */
export function GateCheck({ bench, sheet, work }: Props) {
  const groups = useQuery(groupsQuery)
  const change = useOtherGroup(bench)
  const [asking, setAsking] = useState(false)
  const { gate } = sheet
  const allFit = () => {
    for (const item of gate) if (work.marks.get(item.id) !== true) work.mark(item.id, 'fits')
  }
  useKeys({
    a: allFit,
    ...Object.fromEntries(gate.map((item, i) => [`${i + 1}`, () => work.mark(item.id, 'fits')])),
    ...Object.fromEntries(gate.map((item, i) => [`Shift+${i + 1}`, () => work.mark(item.id, 'fails')])),
  })
  const failed = gate.filter((item) => work.marks.get(item.id) === false)
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
        <div data-guide="gate">
          <h2 className="text-2xl sm:text-3xl">The gate</h2>
          <p className="text-quiet">
            What every one of these trees shares: <Term id="gate">if one thing fails</Term>, it is another
            tree.
          </p>
        </div>
        <Button look="main" onClick={allFit}>
          All of it fits <Key name="a" />
        </Button>
      </div>
      <ol className="grid gap-2">
        {gate.map((item, i) => (
          <Item key={item.id} item={item} place={i + 1} fits={work.marks.get(item.id)} work={work} />
        ))}
      </ol>
      {failed.map((item) => (
        <Failed
          key={item.id}
          sheet={sheet}
          item={item}
          change={change}
          onMistake={() => work.mark(item.id, 'taken-back')}
          onAsk={() => setAsking(true)}
        />
      ))}
      {asking && (
        <WhichGroup
          groups={groups.data ?? []}
          choose="Look among"
          onChoose={(group) => {
            setAsking(false)
            if (group.groupId !== sheet.groupId) change(group.groupId)
          }}
          onClose={() => setAsking(false)}
        />
      )}
      {failed.length === 0 && (
        <Button look="quiet" className="-ml-4 justify-self-start" onClick={() => setAsking(true)}>
          Not one of these? Which group?
        </Button>
      )}
    </div>
  )
}

type ItemProps = {
  readonly item: GateItem
  readonly place: number
  readonly fits: boolean | undefined
  readonly work: Work
}

function Item({ item, place, fits, work }: ItemProps) {
  return (
    <li className="grid gap-x-3 gap-y-2 rounded-plain border border-line bg-card p-2.5 sm:grid-cols-[1fr_7rem_7rem]">
      <div>
        <h3 className="flex items-start gap-2 text-base leading-snug">
          <Key name={`${place}`} />
          {item.name}
        </h3>
        <p className="text-[0.95rem] leading-snug">{item.howTo}</p>
        <p className="text-sm leading-snug text-quiet">Where it fails: {item.otherwise}.</p>
      </div>
      <div className="grid grid-cols-2 gap-3 sm:contents">
        <Tile
          about={item.name}
          drawn={item.draw}
          chosen={fits === true}
          onChoose={() => work.mark(item.id, 'fits')}
        >
          <Tick aria-hidden className="size-6 shrink-0 text-moss-ink" /> fits
        </Tile>
        <Tile
          about={item.name}
          drawn={item.drawOtherwise}
          chosen={fits === false}
          onChoose={() => work.mark(item.id, 'fails')}
        >
          <X aria-hidden className="size-6 shrink-0 text-rust" /> fails
        </Tile>
      </div>
    </li>
  )
}

type TileProps = {
  /** what it fits, for those who hear it */
  readonly about: string
  readonly drawn: DrawingHint | null | undefined
  readonly chosen: boolean
  readonly onChoose: () => void
  readonly children: ReactNode
}

function Tile({ about, drawn, chosen, onChoose, children }: TileProps) {
  return (
    <button
      type="button"
      className="grid content-between gap-1 rounded-plain border border-edge bg-card p-2 text-left font-semibold hover:bg-thistle-wash aria-pressed:border-ink aria-pressed:ring-2 aria-pressed:ring-ink forced-colors:aria-pressed:outline-4 forced-colors:aria-pressed:outline-solid"
      aria-pressed={chosen}
      onClick={onChoose}
    >
      {drawn ? (
        <Drawing hint={drawn} className="mx-auto h-20 w-full" />
      ) : (
        <span className="h-20 max-sm:h-4" />
      )}
      <span className="flex items-center gap-1">
        {children}
        <span className="sr-only">: {about}</span>
      </span>
    </button>
  )
}

/** Takes the tree up in another group. */
function useOtherGroup(bench: Bench): (groupId: string) => void {
  const enter = useEnter(bench.tree)
  return (groupId) => enter({ kind: 'group', groupId })
}

type FailedProps = {
  readonly sheet: Sheet
  readonly item: GateItem
  readonly change: ReturnType<typeof useOtherGroup>
  readonly onMistake: () => void
  readonly onAsk: () => void
}

function Failed({ sheet, item, change, onMistake, onAsk }: FailedProps) {
  const groups = useQuery(groupsQuery)
  const other = groups.data?.find((one) => one.groupId === item.otherwiseGroup)
  return (
    <Notice tone="wrong">
      <div className="grid gap-3 py-1">
        <p>
          <strong>Then it is not of this group:</strong> {item.otherwise}. No name can be signed here while
          this fails.
        </p>
        <div className="flex flex-wrap gap-3">
          {other && (
            <Button look="main" onClick={() => change(other.groupId)}>
              Look among: {other.title}
            </Button>
          )}
          <Button onClick={onAsk}>Which group is it?</Button>
          <Button onClick={onMistake}>It was a mistake</Button>
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
