import type { Judgement, Sheet } from '../../api/types'
import { Term } from '../../ui/Term'
import { percent } from '../../ui/words'
import { taxonName } from './judgementWords'

type Props = {
  readonly sheet: Sheet
  readonly ancestry: Judgement['ancestries'][number]
  readonly probabilities: readonly number[]
}

const WIDTH = 300
const HEIGHT = 54

/** How likely each descent between a hybrid's parents is, from all of the first to all of the second. */
export function Ancestry({ sheet, ancestry, probabilities }: Props) {
  const [first, second] = [taxonName(sheet, ancestry.first), taxonName(sheet, ancestry.second)]
  const most = Math.max(...probabilities, 1e-9)
  const x = (share: number) => share * WIDTH
  const curve = probabilities
    .map(
      (p, i, all) =>
        `${x(i / (all.length - 1)).toFixed(1)},${(HEIGHT - (p / most) * (HEIGHT - 6)).toFixed(1)}`,
    )
    .join('L')
  const figure = (value: number | undefined | null) =>
    value === undefined || value === null ? '–' : value.toFixed(2)
  return (
    <section aria-label="Ancestry" className="border-t border-line pt-2">
      <h2 className="text-base">
        <Term id="ancestry">Ancestry</Term>, if it comes from a cross
      </h2>
      <svg viewBox={`-4 0 ${WIDTH + 8} ${HEIGHT + 10}`} className="w-full" aria-hidden="true">
        <rect
          x={x(ancestry.low)}
          y="0"
          width={Math.max(1, x(ancestry.high - ancestry.low))}
          height={HEIGHT}
          className="fill-gold-wash"
        />
        <path d={`M0,${HEIGHT}L${curve}L${WIDTH},${HEIGHT}Z`} className="fill-slate-wash stroke-slate" />
        <path d={`M${x(0.5)},${HEIGHT}v6M0,${HEIGHT}H${WIDTH}`} className="stroke-ink" />
        <path d={`M${x(ancestry.mean)},0V${HEIGHT + 6}`} className="stroke-thistle" strokeWidth="2.5" />
      </svg>
      <p className="flex justify-between text-sm">
        <span>all {first}</span>
        <span>half</span>
        <span>all {second}</span>
      </p>
      <p className="text-sm">
        {percent(ancestry.mean)} of its descent from {second}, likely {percent(ancestry.low)} to{' '}
        {percent(ancestry.high)}; this is not the share of belief in the hybrid.{' '}
        <Term id="index">Hybrid index</Term> <span className="figure">{figure(ancestry.index)}</span>,{' '}
        <Term id="mosaic" /> <span className="figure">{figure(ancestry.mosaic)}</span>: near 0 all of it is
        halfway, near 1 each feature takes after one parent.
      </p>
    </section>
  )
}
