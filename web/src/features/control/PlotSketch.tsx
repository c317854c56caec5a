import type { ControlCard, ControlTree, NearStem } from '../../api/types'
import { Ground } from '../../common/plot/Ground'
import { labelPlaces } from '../../common/plot/labels'
import { placeOf } from '../../common/plot/places'

type Tree = Pick<ControlTree | ControlCard, 'treeId' | 'tag' | 'azimuthDegrees' | 'distanceMetres' | 'near'>
type Props = {
  /** approved ones */
  readonly trees: readonly Tree[]
  /** the one in hand */
  readonly here?: string | undefined
}

const STEP = 5 // metres by which the ground grows

/** The trees of a plot that may be cut, crossed, and around them what must not be touched, ringed; north is up. */
export function PlotSketch({ trees, here }: Props) {
  const stems = trees.map((tree) => ({ tree, at: placeOf(tree) }))
  const others = new Map<number, { readonly near: NearStem; readonly at: ReturnType<typeof placeOf> }>()
  for (const { tree, at } of stems)
    for (const near of tree.near) {
      const from = placeOf({ azimuthDegrees: near.degrees, distanceMetres: near.metres })
      others.set(near.tag, { near, at: { x: at.x + from.x, y: at.y + from.y } })
    }
  const far = Math.max(4, ...[...stems, ...others.values()].map(({ at }) => Math.hypot(at.x, at.y)))
  const radius = Math.ceil(far / STEP) * STEP
  const room = radius * 1.14
  const size = radius * 0.085
  const large = size * 1.15
  const r = size * 0.5
  const labels = labelPlaces(
    [
      ...stems.map(({ tree: { treeId, tag }, at }) => ({
        id: treeId,
        ...at,
        r,
        words: `${tag}`,
        size: large,
      })),
      ...[...others].map(([tag, { at }]) => ({ id: `${tag}`, ...at, r, words: `${tag}`, size })),
    ],
    room,
  )
  const label = (id: string) => {
    const { x, y, anchor } = labels.get(id) ?? { x: 0, y: 0, anchor: 'start' }
    return { x, y, textAnchor: anchor }
  }
  return (
    <svg
      viewBox={`${-room} ${-room} ${2 * room} ${2 * room}`}
      role="img"
      aria-label={`Plan: ${stems.map(({ tree }) => `tree ${tree.tag}`).join(', ')} may be cut; ${[...others.keys()].map((tag) => `tree ${tag}`).join(', ') || 'nothing near'} must not be touched`}
      className="aspect-square w-full rounded-plain border border-line bg-card"
    >
      <Ground radius={radius} />
      {[...others.values()].map(({ near, at }) => (
        <g key={near.tag} transform={`translate(${at.x} ${at.y})`}>
          <circle
            r={r}
            className={near.kind === 'keep' ? 'fill-moss stroke-ink' : 'fill-card stroke-ink'}
            strokeWidth={radius * (near.kind === 'keep' ? 0.016 : 0.008)}
          />
          <text {...label(`${near.tag}`)} fontSize={size} className="figure fill-ink">
            {near.tag}
          </text>
        </g>
      ))}
      {stems.map(({ tree, at }) => (
        <g key={tree.treeId} transform={`translate(${at.x} ${at.y})`}>
          {tree.treeId === here && (
            <circle r={size * 1.1} className="fill-gold-wash stroke-gold" strokeWidth={radius * 0.01} />
          )}
          <path
            d={`M${-size / 2},${-size / 2}l${size},${size}M${size / 2},${-size / 2}l${-size},${size}`}
            className="stroke-rust"
            strokeWidth={radius * 0.022}
          />
          <text {...label(tree.treeId)} fontSize={large} className="figure fill-ink font-bold">
            {tree.tag}
          </text>
        </g>
      ))}
    </svg>
  )
}
