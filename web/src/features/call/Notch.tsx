import type { Judgement } from '../../api/types'

const WIDTH = 200
const POINTS_ON_IT = 26 // a little more than the strictest tier asks for

/** How many points the lead's odds have against everything else, and the notch at which it can be signed. */
export function Notch({ judgement }: { readonly judgement: Judgement }) {
  const { threshold, pointsShort } = judgement
  const asked = 10 * Math.log10(threshold / (1 - threshold))
  const has = asked - pointsShort
  const place = (value: number) => Math.min(1, Math.max(0, value / POINTS_ON_IT)) * WIDTH
  const words =
    pointsShort > 0
      ? `${Math.max(0, has).toFixed(1)} of the ${asked.toFixed(1)} points asked for`
      : `${has.toFixed(1)} points, more than the ${asked.toFixed(1)} asked for`
  return (
    <figure>
      <svg viewBox={`-2 0 ${WIDTH + 4} 22`} className="w-full" aria-hidden="true">
        <path d={`M0,12H${WIDTH}`} className="stroke-line" strokeWidth="9" />
        <path d={`M0,12H${place(has)}`} className="stroke-gold" strokeWidth="9" />
        <path
          d={`M${place(asked)},1V22M${place(asked) - 5},1h10`}
          className="fill-none stroke-thistle"
          strokeWidth="3"
        />
      </svg>
      <figcaption className="text-sm">
        {words} at the <span className="font-bold text-thistle">notch</span>
      </figcaption>
    </figure>
  )
}
