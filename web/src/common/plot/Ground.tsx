import { memo } from 'react'
import { ringsOf } from './places'

/** Edge, distance rings, north and a scale bar. */
export const Ground = memo(function Ground({ radius }: { readonly radius: number }) {
  const small = radius * 0.045
  const [bar = 1] = [10, 5, 2, 1].filter((one) => one <= radius / 2)
  const corner = radius * 1.08
  return (
    // biome-ignore lint/a11y/noAriaHiddenOnFocusable: a drawn ground takes no focus
    <g aria-hidden="true">
      <circle r={radius} className="fill-leaf stroke-ink" strokeWidth={radius * 0.006} />
      {ringsOf(radius).map((ring) => (
        <g key={ring}>
          <circle r={ring} className="fill-none stroke-line" strokeWidth={radius * 0.006} />
          <text x={radius * 0.01} y={ring - small * 0.25} fontSize={small} className="figure fill-quiet">
            {ring} m
          </text>
        </g>
      ))}
      <path
        d={`M0,${-radius}V${radius}M${-radius},0H${radius}`}
        className="stroke-line"
        strokeWidth={radius * 0.004}
      />
      <path
        d={`M0,${-radius * 1.1}l${small * 0.5},${small * 1.3}l${-small * 0.5},${-small * 0.3}l${-small * 0.5},${small * 0.3}Z`}
        className="fill-ink"
      />
      <text x={small * 0.8} y={-radius * 1.04} fontSize={small * 1.1} className="fill-ink font-bold">
        N
      </text>
      <path
        d={`M${-corner},${corner - small}v${small * 0.5}h${bar}v${-small * 0.5}`}
        className="fill-none stroke-ink"
        strokeWidth={radius * 0.008}
      />
      <text x={-corner + bar + small * 0.4} y={corner} fontSize={small} className="figure fill-ink">
        {bar} m
      </text>
    </g>
  )
})
