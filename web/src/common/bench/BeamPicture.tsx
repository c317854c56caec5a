import type { Sheet } from '../../api/types'
import { type Block, blockHeight, HALF_BEAM, pile, tilt } from '../../draw/beam'
import { points } from '../../ui/words'
import type { BeamView } from './beamView'
import { checkName, shortName, taxonName } from './judgementWords'

type Weight = {
  readonly id: string
  readonly label: string
  readonly points: number
  readonly surroundings: boolean
}

const LETTER = 6 // units of width of a letter, at the size that labels are set in
const INSET = 4 // between a block and its label
const HEIGHT = 128 // units; the same whatever lies on the beam
const MOST_BLOCK = 17 // units of height
const LABEL = 13

type Props = { readonly sheet: Sheet; readonly beam: Pick<BeamView, 'view' | 'against'> }

/** The readings as blocks on a balance: the lead's pan at the left, the rival's at the right. It never changes its size. */
export function BeamPicture({ sheet, beam }: Props) {
  const { view, against } = beam
  const weights: Weight[] = view.characters.map((id, j) => ({
    id,
    label: shortName(sheet, id),
    points: against.points[j] ?? 0,
    surroundings: false,
  }))
  if (!view.featuresAlone) {
    weights.unshift({
      id: 'surroundings',
      label: 'surroundings',
      points: against.surroundingsPoints,
      surroundings: true,
    })
  }
  const left = weights.filter((one) => one.points > 0)
  const right = weights.filter((one) => one.points < 0)
  const tallest = Math.max(1, left.length, right.length)
  const height = Math.min(MOST_BLOCK, blockHeight(HEIGHT - 26, tallest))
  const [onLeft, onRight] = placedOn(left, right, height)
  const [lead, rival] = [taxonName(sheet, view.lead), taxonName(sheet, against.rival)]
  const words = `The beam leans to ${against.totalPoints >= 0 ? lead : rival}: ${points(against.totalPoints)} points together. ${weights
    .map((one) => `${one.surroundings ? one.label : checkName(sheet, one.id)} ${points(one.points)}`)
    .join(', ')}.`

  return (
    <svg
      viewBox={`-164 ${-HEIGHT} 328 ${HEIGHT + 34}`}
      className="w-full"
      role="img"
      aria-label={words}
      data-guide="beam"
    >
      <path d="M0,2L-15,32H15Z" className="fill-card stroke-ink" strokeWidth="2" />
      <g transform={`rotate(${tilt(against.totalPoints)})`}>
        <rect x={-HALF_BEAM - 8} y={-4} width={2 * HALF_BEAM + 16} height="6" rx="1" className="fill-ink" />
        <Pile placed={onLeft} side={-1} />
        <Pile placed={onRight} side={1} />
      </g>
    </svg>
  )
}

type PileProps = { readonly placed: readonly Placed[]; readonly side: -1 | 1 }

function Pile({ placed, side }: PileProps) {
  const look = side < 0 ? 'fill-gold-wash stroke-gold' : 'fill-slate-wash stroke-slate'
  const left = side < 0
  return placed.map(({ weight, block, text, inside }) => (
    <g key={weight.id}>
      <rect
        {...block}
        rx="1.5"
        className={look}
        strokeWidth="1.3"
        strokeDasharray={weight.surroundings ? '4 2.5' : undefined}
      />
      <text
        x={labelAt(block, left, inside)}
        y={block.y + block.height / 2 + LABEL * 0.34}
        textAnchor={left ? 'start' : 'end'}
        className="fill-ink"
        style={{ fontSize: Math.min(LABEL, block.height + 1.5) }}
      >
        {text}
      </text>
    </g>
  ))
}

/** A weight with its block, and its label wholly on it or wholly beside it. */
type Placed = {
  readonly weight: Weight
  readonly block: Block
  readonly text: string
  readonly inside: boolean
}

function widthOf(text: string): number {
  return text.length * LETTER + 2 * INSET
}

const BARE = /[ ,]+(on|of|in|the|to|a|and|beneath)$/

/** The labels of a weight from the longest to the shortest; none ends amid a word, or with one that leads on. */
function labelsOf({ label, points: worth }: Weight): readonly string[] {
  const figure = points(worth)
  const words = label.split(' ')
  const shorter = words.map((_, i) => {
    let text = words.slice(0, words.length - i).join(' ')
    while (BARE.test(text)) text = text.replace(BARE, '')
    return `${text.replace(/,$/, '')} ${figure}`
  })
  return [...new Set(shorter), figure]
}

/** A weight with the longest label that its room bears: whole on its block, else beside it, else shortened. */
function placedIn(weight: Weight, block: Block, room: number): Placed {
  for (const text of labelsOf(weight)) {
    if (widthOf(text) <= block.width) return { weight, block, text, inside: true }
    if (widthOf(text) <= room - block.width) return { weight, block, text, inside: false }
  }
  return { weight, block, text: points(weight.points), inside: true }
}

/** How much of its row a placed weight takes up. */
function reach({ block, text, inside }: Placed): number {
  return inside ? block.width : block.width + widthOf(text)
}

/** Both piles, so that of two labels in one row neither runs into the other: the side with more to say gives way. */
function placedOn(
  left: readonly Weight[],
  right: readonly Weight[],
  height: number,
): readonly [readonly Placed[], readonly Placed[]] {
  const row = 2 * HALF_BEAM - INSET
  const blocks = [left, right].map((weights, i) =>
    pile(
      weights.map((one) => Math.abs(one.points)),
      i === 0 ? -1 : 1,
      height,
    ),
  )
  const place = (weights: readonly Weight[], side: 0 | 1, i: number, room: number) => {
    const [weight, block] = [weights[i], blocks[side]?.[i]]
    return weight && block ? [placedIn(weight, block, room)] : []
  }
  const rows = Array.from({ length: Math.max(left.length, right.length) }, (_, i) => {
    const [one] = place(left, 0, i, row)
    const [other] = place(right, 1, i, row)
    if (!one || !other || reach(one) + reach(other) <= row) return [one, other] as const
    const firstGivesWay = widthOf(one.text) >= widthOf(other.text)
    return firstGivesWay
      ? ([place(left, 0, i, row - reach(other))[0], other] as const)
      : ([one, place(right, 1, i, row - reach(one))[0]] as const)
  })
  return [rows.flatMap(([one]) => one ?? []), rows.flatMap(([, other]) => other ?? [])]
}

/** A small block bears its label at its inner side. */
function labelAt(block: Block, left: boolean, inside: boolean): number {
  if (left) return inside ? block.x + INSET : block.x + block.width + INSET
  return inside ? block.x + block.width - INSET : block.x - INSET
}
