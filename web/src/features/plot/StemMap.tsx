import { type KeyboardEvent, memo, useId, useMemo } from 'react'
import { TREE_LOOKS, type TreeLook } from '../../api/codes'
import type { NamedTaxon, TreeRow } from '../../api/types'
import { Ground } from '../../common/plot/Ground'
import { type LabelPlace, labelPlaces } from '../../common/plot/labels'
import { placeOf } from '../../common/plot/places'
import { spineBearing, spinePath } from '../../draw/spinePath'
import { groupWords, identityOf, LOOK_WORDS, stateOf } from './standing'
import { markRadius, neighbour } from './stemMap'

type Props = {
  readonly trees: readonly TreeRow[]
  readonly taxa: readonly NamedTaxon[]
  readonly radius: number
  readonly chosen: string | undefined
  /** whether it is drawn what presses the stems to be favoured */
  readonly pressure: boolean
  readonly onChoose: (id: string) => void
  readonly onOpen: (id: string) => void
}

const FILLS: Readonly<Record<TreeLook, string>> = {
  plain: 'fill-line stroke-edge',
  open: 'fill-card stroke-ink',
  begun: 'fill-gold-wash stroke-ink',
  contested: 'fill-gold-wash stroke-rust',
  waiting: 'fill-slate-wash stroke-slate',
  signed: 'fill-moss stroke-moss',
  review: 'fill-thistle-wash stroke-thistle',
  stem: 'fill-card stroke-edge',
}

const LABEL = 0.052 // height of a label, of the plot's radius

/** The stems of a plot as seen from above, north up, to scale; arrow keys lead from stem to stem. */
export function StemMap({ trees, taxa, radius, chosen, pressure, onChoose, onOpen }: Props) {
  const id = useId()
  const room = radius * 1.13
  const labels = useMemo(
    () =>
      labelPlaces(
        trees.map((tree) => ({
          id: tree.id,
          ...placeOf(tree),
          r: markRadius(tree.diameterMillimetres, radius),
          words: labelOf(tree),
          size: radius * LABEL,
        })),
        room,
      ),
    [trees, radius, room],
  )
  const keys = (event: KeyboardEvent) => {
    if (event.key.startsWith('Arrow')) {
      event.preventDefault()
      const next = neighbour(trees, chosen, event.key)
      if (next) onChoose(next)
    }
    if (event.key === 'Enter' && chosen) onOpen(chosen)
  }
  return (
    <div
      role="listbox"
      aria-label="Stem map; arrow keys go from stem to stem, Enter opens one"
      aria-activedescendant={chosen ? `${id}-${chosen}` : undefined}
      tabIndex={0}
      onKeyDown={keys}
    >
      <svg
        viewBox={`${-room} ${-room} ${2 * room} ${2 * room}`}
        role="presentation"
        className="aspect-square w-full rounded-plain border border-line bg-card select-none"
      >
        <Ground radius={radius} />
        {pressure && <Pressed trees={trees} radius={radius} />}
        {trees.map((tree) => (
          <Stem
            key={tree.id}
            id={`${id}-${tree.id}`}
            tree={tree}
            words={`${labelOf(tree)}: tree ${tree.tag}, ${identityOf(tree, taxa)}, ${stateOf(
              tree,
              trees.find((one) => one.id === tree.cloneOf),
            )}`}
            radius={radius}
            label={labels.get(tree.id)}
            chosen={tree.id === chosen}
            onChoose={onChoose}
            onOpen={onOpen}
          />
        ))}
        <Joins trees={trees} />
      </svg>
    </div>
  )
}

type StemProps = {
  readonly id: string
  readonly tree: TreeRow
  readonly words: string
  readonly radius: number
  readonly label: LabelPlace | undefined
  readonly chosen: boolean
  readonly onChoose: (id: string) => void
  readonly onOpen: (id: string) => void
}

const Stem = memo(function Stem({ id, tree, words, radius, label, chosen, onChoose, onOpen }: StemProps) {
  const { look } = tree
  const { x, y } = placeOf(tree)
  const r = markRadius(tree.diameterMillimetres, radius)
  const size = radius * LABEL
  return (
    <g
      id={id}
      role="option"
      aria-selected={chosen}
      aria-label={words}
      data-tag={tree.tag}
      data-look={look}
      transform={`translate(${x.toFixed(3)} ${y.toFixed(3)})`}
      onClick={() => onChoose(tree.id)}
      onDoubleClick={() => onOpen(tree.id)}
      className="cursor-pointer"
    >
      <circle
        r={r * 2}
        className={chosen ? 'fill-thistle-wash stroke-thistle' : 'fill-transparent'}
        strokeWidth={r * 0.25}
      />
      {tree.thistle?.spines.map((spine, i, all) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: a spine is known by its place on the head
          key={i}
          d={spinePath(spine.points, spineBearing(i, all.length))}
          transform={`scale(${r})`}
          className={spine.points < 0 ? 'fill-rust-wash stroke-rust' : 'fill-gold stroke-gold'}
          strokeWidth={0.08}
        />
      ))}
      <circle
        r={look === 'plain' ? r * 0.6 : r}
        className={FILLS[look]}
        strokeWidth={look === 'contested' ? r * 0.34 : r * 0.2}
        strokeDasharray={look === 'contested' ? `${r * 0.5} ${r * 0.34}` : undefined}
      />
      {look === 'waiting' && (
        <path d={`M0,${-r * 0.6}V0H${r * 0.5}`} className="fill-none stroke-slate" strokeWidth={r * 0.22} />
      )}
      {look === 'review' && <circle r={r * 0.4} className="fill-none stroke-thistle" strokeWidth={r * 0.2} />}
      {look === 'signed' && (
        <path
          d={`M${-r * 0.45},0l${r * 0.32},${r * 0.36}l${r * 0.6},${-r * 0.7}`}
          className="fill-none stroke-card"
          strokeWidth={r * 0.3}
        />
      )}
      <text
        x={label?.x}
        y={label?.y}
        textAnchor={label?.anchor}
        fontSize={size}
        className={`figure ${chosen ? 'fill-ink font-bold' : 'fill-ink'}`}
        paintOrder="stroke"
        strokeWidth={size * 0.22}
        stroke="var(--color-leaf)"
      >
        {tree.tag}
        {tree.groupId && (
          <tspan fontSize={size * 0.82} className="fill-quiet font-normal">
            {' '}
            {groupCode(tree.groupId)}
          </tspan>
        )}
      </text>
    </g>
  )
})

/** Stems to be favoured, ringed, and a line from each neighbour that presses one, the wider the harder. */
function Pressed({ trees, radius }: { readonly trees: readonly TreeRow[]; readonly radius: number }) {
  return (
    <g className="pointer-events-none">
      {trees
        .filter((tree) => tree.favoured)
        .map((tree) => {
          const to = placeOf(tree)
          return (
            <g key={tree.id} data-favoured={tree.tag}>
              <circle
                cx={to.x}
                cy={to.y}
                r={markRadius(tree.diameterMillimetres, radius) * 2.4}
                className="fill-gold-wash stroke-ink"
                strokeWidth={radius * 0.012}
              />
              {tree.pressing.map(({ tag, share }) => {
                const neighbourTree = trees.find((one) => one.tag === tag)
                if (!neighbourTree) return null
                const from = placeOf(neighbourTree)
                return (
                  <path
                    key={tag}
                    data-presses={tag}
                    d={`M${from.x.toFixed(2)},${from.y.toFixed(2)}L${to.x.toFixed(2)},${to.y.toFixed(2)}`}
                    className="stroke-rust"
                    strokeLinecap="round"
                    strokeWidth={radius * (0.006 + 0.04 * share)}
                  />
                )
              })}
            </g>
          )
        })}
    </g>
  )
}

/** Lines from the stems of a clone to the stem that bears its call. */
function Joins({ trees }: { readonly trees: readonly TreeRow[] }) {
  const lines = trees.flatMap((tree) => {
    const bearer = tree.cloneOf && trees.find((one) => one.id === tree.cloneOf)
    if (!bearer) return []
    const [from, to] = [placeOf(tree), placeOf(bearer)]
    return [`M${from.x.toFixed(2)},${from.y.toFixed(2)}L${to.x.toFixed(2)},${to.y.toFixed(2)}`]
  })
  return lines.length > 0 ? (
    <path
      d={lines.join('')}
      className="pointer-events-none stroke-edge"
      strokeWidth={0.08}
      strokeDasharray="0.3 0.2"
    />
  ) : null
}

/** What stands beside a stem: its tag, and its group. */
function labelOf({ tag, groupId }: TreeRow): string {
  return groupId ? `${tag} ${groupCode(groupId)}` : `${tag}`
}

/** Two letters for a group on the map: those of its words, or its first two. */
function groupCode(groupId: string): string {
  const [first = '', second] = groupId.split('-')
  return second ? first.charAt(0) + second.charAt(0) : first.slice(0, 2)
}

const SHOWN = TREE_LOOKS.filter((look) => look !== 'stem') // a stem is drawn as a line to its clone

/** What the marks and the letters on the map mean. */
export function MapLegend({
  groups,
  taxa,
}: {
  readonly groups: readonly string[]
  readonly taxa: readonly NamedTaxon[]
}) {
  return (
    <ul aria-label="Marks on the map" className="flex flex-wrap gap-x-4 text-sm">
      {SHOWN.map((look) => (
        <li key={look} className="flex items-center gap-1.5">
          <svg viewBox="-1.4 -1.4 2.8 2.8" className="size-4" aria-hidden="true">
            <circle
              r={look === 'plain' ? 0.6 : 1}
              className={FILLS[look]}
              strokeWidth={look === 'contested' ? 0.34 : 0.2}
              strokeDasharray={look === 'contested' ? '0.5 0.34' : undefined}
            />
            {look === 'waiting' && (
              <path d="M0,-0.6V0H0.5" className="fill-none stroke-slate" strokeWidth={0.22} />
            )}
            {look === 'review' && <circle r={0.4} className="fill-none stroke-thistle" strokeWidth={0.2} />}
            {look === 'signed' && (
              <path d="M-0.45,0l0.32,0.36l0.6,-0.7" className="fill-none stroke-card" strokeWidth={0.3} />
            )}
          </svg>
          {LOOK_WORDS[look]}
        </li>
      ))}
      {groups.map((groupId) => (
        <li key={groupId}>
          <span className="figure font-bold">{groupCode(groupId)}</span> {groupWords(groupId, taxa)}
        </li>
      ))}
    </ul>
  )
}
