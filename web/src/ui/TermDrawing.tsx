import { pile } from '../draw/beam'
import { spineBearing, spinePath } from '../draw/spinePath'
import { Seeds } from './Seeds'

/** The drawings of the glossary, where a picture says more than the sentence beside it. */
export function TermDrawing({ draw }: { readonly draw: string }) {
  switch (draw) {
    case 'seeds':
      return (
        <span className="mt-2 flex items-center gap-3">
          <Seeds seeds={0} /> hardly anything <Seeds seeds={4} /> most
        </span>
      )
    case 'beam':
      return <Beam />
    case 'notch':
      return (
        <svg viewBox="0 0 200 24" className="mt-2 w-full" aria-hidden="true">
          <path d="M0,13H200" className="stroke-line" strokeWidth="9" />
          <path d="M0,13H84" className="stroke-gold" strokeWidth="9" />
          <path d="M130,2V23M125,2h10" className="fill-none stroke-thistle" strokeWidth="3" />
        </svg>
      )
    default:
      return <Head />
  }
}

function Beam() {
  const [one, two] = pile([12, 5], -1)
  const [other] = pile([4], 1)
  return (
    <svg viewBox="-162 -50 324 84" className="mt-2 w-full" aria-hidden="true">
      <path d="M0,2L-15,32H15Z" className="fill-card stroke-ink" strokeWidth="2" />
      <g transform="rotate(-5)">
        <rect x="-158" y="-4" width="316" height="6" className="fill-ink" />
        {[one, two].map(
          (block) => block && <rect key={block.y} {...block} className="fill-gold-wash stroke-gold" />,
        )}
        {other && <rect {...other} className="fill-slate-wash stroke-slate" />}
      </g>
    </svg>
  )
}

const SPINES = [14, 9, -6] // points of three readings, two for the lead

function Head() {
  return (
    <svg viewBox="-2.1 -2.1 4.2 4.2" className="mt-2 h-20" aria-hidden="true">
      {SPINES.map((points, i) => (
        <path
          key={points}
          d={spinePath(points, spineBearing(i, SPINES.length))}
          className={points < 0 ? 'fill-rust-wash stroke-rust' : 'fill-gold stroke-gold'}
          strokeWidth="0.08"
        />
      ))}
      <circle r="1" className="fill-gold-wash stroke-moss" strokeWidth="0.2" />
    </svg>
  )
}
