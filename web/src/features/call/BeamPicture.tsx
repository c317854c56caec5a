import type { Sheet } from '../../api/types'
import { type Block, HALF_BEAM, pile, tilt } from '../../draw/beam'
import { points } from '../../ui/words'
import { checkName, taxonName } from './judgementWords'
import type { BeamView } from './useBeamView'

type Weight = { readonly name: string; readonly points: number; readonly surroundings: boolean }

const LETTER = 5.9 // units of width, for cutting a label to its room
const INSET = 4 // between a block and its label
const LEAST_BEARING = 24 // width of a block that bears its label

type Props = { readonly sheet: Sheet; readonly beam: Pick<BeamView, 'view' | 'against'> }

/** The readings as blocks on a balance: the lead's pan at the left, the rival's at the right. */
export function BeamPicture({ sheet, beam }: Props) {
  const { view, against } = beam
  const weights: Weight[] = view.characters.map((id, j) => ({
    name: checkName(sheet, id),
    points: against.points[j] ?? 0,
    surroundings: false,
  }))
  if (!view.featuresAlone) {
    weights.unshift({ name: 'surroundings', points: against.surroundingsPoints, surroundings: true })
  }
  const left = weights.filter((one) => one.points > 0)
  const right = weights.filter((one) => one.points < 0)
  const height = 24 + 18.5 * Math.max(2, left.length, right.length)
  const [lead, rival] = [taxonName(sheet, view.lead), taxonName(sheet, against.rival)]
  const words = `The beam leans to ${against.totalPoints >= 0 ? lead : rival}: ${points(against.totalPoints)} points together. ${weights
    .map((one) => `${one.name} ${points(one.points)}`)
    .join(', ')}.`

  return (
    <figure>
      <figcaption className="flex justify-between text-sm font-bold">
        <span className="text-gold-ink">for {lead}</span>
        <span className="text-slate">for {rival}</span>
      </figcaption>
      <svg viewBox={`-162 ${-height} 324 ${height + 34}`} className="w-full" role="img" aria-label={words}>
        <path d="M0,2L-15,32H15Z" className="fill-card stroke-ink" strokeWidth="2" />
        <g transform={`rotate(${tilt(against.totalPoints)})`}>
          <rect x={-HALF_BEAM - 8} y={-4} width={2 * HALF_BEAM + 16} height="6" rx="1" className="fill-ink" />
          <Pile weights={left} side={-1} />
          <Pile weights={right} side={1} />
        </g>
      </svg>
    </figure>
  )
}

function Pile({ weights, side }: { readonly weights: readonly Weight[]; readonly side: -1 | 1 }) {
  const blocks = pile(
    weights.map((one) => Math.abs(one.points)),
    side,
  )
  const look = side < 0 ? 'fill-gold-wash stroke-gold' : 'fill-slate-wash stroke-slate'
  return weights.map((weight, i) => {
    const block = blocks[i]
    if (!block) return null
    // a label lies on its block and runs on beyond it; beside a block that is too small to bear it
    const inside = block.width > LEAST_BEARING
    const label = shortened(weight, HALF_BEAM - INSET - (inside ? 0 : block.width))
    const left = side < 0
    return (
      <g key={weight.name}>
        <rect
          {...block}
          rx="1.5"
          className={look}
          strokeWidth="1.3"
          strokeDasharray={weight.surroundings ? '4 2.5' : undefined}
        />
        <text
          x={labelAt(block, left, inside)}
          y={block.y + 12.8}
          textAnchor={left ? 'start' : 'end'}
          className="fill-ink text-[12px]"
        >
          {label}
        </text>
      </g>
    )
  })
}

/** A small block bears its label at its inner side. */
function labelAt(block: Block, left: boolean, inside: boolean): number {
  if (left) return inside ? block.x + INSET : block.x + block.width + INSET
  return inside ? block.x + block.width - INSET : block.x - INSET
}

/** A label that stays in its room. */
function shortened({ name, points: worth }: Weight, room: number): string {
  const figure = points(worth)
  const most = Math.max(4, Math.floor(room / LETTER) - figure.length - 1)
  const first = name.split(',')[0] ?? name
  const short = first.length > most ? `${first.slice(0, most - 1).trimEnd()}…` : first
  return `${short} ${figure}`
}
