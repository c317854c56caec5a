import type { Judgement, Sheet } from '../../api/types'
import { taxonName } from '../../common/bench/judgementWords'
import { Term } from '../../ui/Term'
import { percent } from '../../ui/words'

type Props = {
  readonly sheet: Sheet
  readonly ancestry: Judgement['ancestries'][number]
  readonly probabilities: readonly number[]
}

/** What the descent most likely is, in words: a pure parent first, where the model says so. */
function descentWords(sheet: Sheet, ancestry: Props['ancestry']) {
  const { mean, low, high, likelyPure } = ancestry
  const second = taxonName(sheet, ancestry.second)
  const range = `${percent(mean)} of its descent from ${second}, likely ${percent(low)} to ${percent(high)}.`
  if (!likelyPure) return range
  const share = likelyPure === ancestry.first ? ancestry.pureFirst : ancestry.pureSecond
  return `Most likely pure ${taxonName(sheet, likelyPure)} (${(share ?? 0).toFixed(2)}), or a backcross. ${range}`
}

const WIDTH = 300
const HEIGHT = 54

/** How likely each descent between a hybrid's parents is, from all of the first to all of the second. */
export function Ancestry({ sheet, ancestry, probabilities }: Props) {
  const [first, second] = [taxonName(sheet, ancestry.first), taxonName(sheet, ancestry.second)]
  const inner = probabilities.slice(1, -1) // the ends are masses of their own: a pure parent each
  // on one scale with the ends: the hill's mean height is what is believed of all mixtures together
  const heights = inner.map((p) => p * inner.length)
  const most = Math.max(1, ...heights)
  const x = (share: number) => share * WIDTH
  const y = (height: number) => (HEIGHT - (height / most) * (HEIGHT - 6)).toFixed(1)
  const curve = heights
    .map((height, i) => `${x((i + 1) / (heights.length + 1)).toFixed(1)},${y(height)}`)
    .join('L')
  const pure = [probabilities[0] ?? 0, probabilities.at(-1) ?? 0]
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
        {pure.map((share, i) => (
          <path
            key={i === 0 ? 'first' : 'second'}
            d={`M${x(i)},${HEIGHT}V${y(share)}`}
            className="stroke-slate"
            strokeWidth="7"
          />
        ))}
        <path d={`M${x(0.5)},${HEIGHT}v6M0,${HEIGHT}H${WIDTH}`} className="stroke-ink" />
        <path d={`M${x(ancestry.mean)},0V${HEIGHT + 6}`} className="stroke-thistle" strokeWidth="2.5" />
      </svg>
      <p className="flex justify-between text-sm">
        <span>all {first}</span>
        <span>half</span>
        <span>all {second}</span>
      </p>
      <p className="text-sm">
        {descentWords(sheet, ancestry)} The bars at the ends are the pure parents, the hill between them
        mixtures; this is not the share of belief in the hybrid. <Term id="index">Hybrid index</Term>{' '}
        <span className="figure">{figure(ancestry.index)}</span>, <Term id="mosaic" />{' '}
        <span className="figure">{figure(ancestry.mosaic)}</span>: near 0 all of it is halfway, near 1 each
        feature takes after one parent.
      </p>
    </section>
  )
}
