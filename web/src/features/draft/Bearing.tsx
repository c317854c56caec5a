import { STAGES } from '../../api/codes'
import type { Multipliers } from '../../common/draft/sheetFile'
import { Factors } from './Factors'

const WIDTH = 240
const HEIGHT = 70
const LEFT = 46
const BASE = 56

type Props = {
  readonly values: Multipliers
  readonly disabled: boolean
  readonly wrong: string | undefined
  readonly onChange: (values: Multipliers) => void
}

/** Of how many trees it can be read at all, stage by stage: a curve, and what is dragged to bend it. */
export function Bearing({ values, disabled, wrong, onChange }: Props) {
  return (
    <section aria-label="Borne by" className="grid gap-x-6 gap-y-2 md:grid-cols-2">
      <Factors
        label="Trees that bear it"
        codes={STAGES}
        values={values}
        unlisted={1}
        disabled={disabled}
        wrong={wrong}
        onChange={onChange}
      />
      <figure className="self-center">
        <Curve values={values} />
        <figcaption className="text-sm text-quiet">
          Flowers, fruit, cones: of 1, how many trees have any in their months. 0: it is not asked for at that
          stage. What is found counts in full.
        </figcaption>
      </figure>
    </section>
  )
}

function Curve({ values }: { readonly values: Multipliers }) {
  const points = STAGES.map((stage, i) => ({
    stage,
    x: LEFT + (i * (WIDTH - LEFT - 24)) / (STAGES.length - 1),
    y: BASE - (BASE - 8) * Math.min(1, Math.max(0, values[stage] ?? 1)),
  }))
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full max-w-80"
      role="img"
      aria-label={STAGES.map((stage) => `${stage} ${values[stage] ?? 1}`).join(', ')}
    >
      <path d={`M${LEFT},8H${WIDTH - 10}M${LEFT},${BASE}H${WIDTH - 10}`} className="stroke-line" />
      <text x={LEFT - 6} y="12" textAnchor="end" className="fill-quiet text-[10px]">
        all
      </text>
      <text x={LEFT - 6} y={BASE + 3} textAnchor="end" className="fill-quiet text-[10px]">
        none
      </text>
      <polyline
        points={points.map(({ x, y }) => `${x},${y}`).join(' ')}
        className="fill-none stroke-moss-ink"
        strokeWidth="2"
      />
      {points.map(({ stage, x, y }) => (
        <g key={stage}>
          <circle cx={x} cy={y} r="3.5" className="fill-moss-ink" />
          <text x={x} y={HEIGHT - 2} textAnchor="middle" className="fill-ink text-[10px]">
            {stage}
          </text>
        </g>
      ))}
    </svg>
  )
}
