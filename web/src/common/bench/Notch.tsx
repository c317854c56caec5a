import type { Bench } from '../../api/types'
import { Term } from '../../ui/Term'
import { barWords } from './judgementWords'

const WIDTH = 300
const MOST = 26 // points on the bar, a little more than the strictest tier asks for
const SHY = 0.6 // points by which the bar stays short of the notch while anything is missing

/**
 * How far the lead has come, and the notch at which it can be signed. The notch is drawn at what all conditions ask for:
 * while any of them is open, the bar stays short of it.
 */
export function Notch({ bench }: { readonly bench: Bench }) {
  const { pointsAsked, pointsToGo, missing } = bench
  const open = missing.length > 0
  const has = Math.min(pointsAsked - pointsToGo, open ? pointsAsked - SHY : MOST)
  const place = (value: number) => Math.min(1, Math.max(0, value / MOST)) * WIDTH
  return (
    <figure data-guide="notch">
      <svg viewBox={`-2 0 ${WIDTH + 4} 22`} className="w-full" aria-hidden="true">
        <path d={`M0,12H${WIDTH}`} className="stroke-line" strokeWidth="9" />
        <path d={`M0,12H${place(has)}`} className="stroke-gold" strokeWidth="9" />
        <path
          d={`M${place(pointsAsked)},1V22M${place(pointsAsked) - 5},1h10`}
          className="fill-none stroke-thistle"
          strokeWidth="3"
        />
      </svg>
      <figcaption className="flex justify-between gap-2 text-sm">
        <span>
          <span className="figure">{barWords(bench)}</span>
        </span>
        <span>
          {open ? 'short of the ' : 'past the '}
          <Term id="notch" />
        </span>
      </figcaption>
    </figure>
  )
}
