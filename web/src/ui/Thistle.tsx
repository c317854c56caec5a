import type { ThistleFigures } from '../api/types'
import { markPath } from '../draw/markPath'
import { filledDisc, spineBearing, spinePath } from '../draw/spinePath'
import { counted, percent } from './words'

type Props = {
  readonly figures: ThistleFigures
  readonly signed: boolean
  /** Whether a review settled it; drawn as a second rim. */
  readonly reviewed?: boolean
  readonly className: string
}

/** The call in words, as the glyph says it. */
export function thistleWords(
  { leadName, rivalName, share, contested, spines }: ThistleFigures,
  signed: boolean,
  reviewed = false,
): string {
  const against = spines.filter((spine) => spine.points < 0).length
  return [
    `${leadName} at ${percent(share)}`,
    `${counted(spines.length, 'reading')} weighed against ${rivalName}, ${against} of them against it`,
    contested ? 'contested' : 'not contested',
    reviewed ? 'reviewed and agreed' : signed ? 'signed' : 'not signed',
  ].join('; ')
}

/** Our glyph for a call: a spine a reading, the head filled to the lead's share and bearing its mark. */
export function Thistle({ figures, signed, reviewed = false, className }: Props) {
  const { spines, share, lead, contested } = figures
  const rim = signed ? 'stroke-moss' : 'stroke-ink'
  return (
    <svg
      viewBox="-2.1 -2.1 4.2 4.2"
      className={className}
      role="img"
      aria-label={thistleWords(figures, signed, reviewed)}
    >
      {spines.map((spine, i) => {
        const against = spine.points < 0
        return (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: a spine is known by its place on the head
            key={i}
            d={spinePath(spine.points, spineBearing(i, spines.length))}
            className={`${against ? 'fill-rust-wash stroke-rust' : 'fill-gold stroke-gold'}`}
            strokeWidth={spine.unsure ? 0.03 : 0.08}
            fillOpacity={spine.unsure ? 0.15 : 1}
          />
        )
      })}
      <circle r="1" className="fill-card" />
      <path d={filledDisc(0.94, share)} className="fill-gold-wash" />
      <circle
        r="1"
        className={`fill-none ${rim}`}
        strokeWidth={signed ? 0.2 : 0.12}
        strokeDasharray={contested ? '0.28 0.2' : undefined}
      />
      {reviewed && <circle r="1.28" className="fill-none stroke-moss" strokeWidth="0.1" />}
      <path d={markPath(lead)} fillRule="evenodd" transform="scale(0.42)" className="fill-ink" />
    </svg>
  )
}
