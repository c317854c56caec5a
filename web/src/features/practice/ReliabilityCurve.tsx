import type { PracticeBin } from '../../api/types'
import { percent } from '../../ui/words'

const SIDE = 200 // units
const LEAST = 3 // radius of a point
const MOST = 9

type Props = { readonly own: readonly PracticeBin[]; readonly sheets: readonly PracticeBin[] }

/** How often one was right by how sure one was, beside how often the sheet was by its shares. */
export function ReliabilityCurve({ own, sheets }: Props) {
  const tries = own.reduce((sum, bin) => sum + bin.tries, 0)
  return (
    <section>
      <h2 className="text-lg">As sure as right?</h2>
      <p className="text-sm text-quiet">
        On the line one is right as often as one is sure; below it, less often. ● you, ◇ the sheet on your
        readings.
      </p>
      <svg viewBox={`-34 -8 ${SIDE + 50} ${SIDE + 40}`} className="w-full max-w-96" aria-hidden="true">
        <rect width={SIDE} height={SIDE} fill="none" className="stroke-ink" strokeWidth="1" />
        <path d={`M0,${SIDE}L${SIDE},0`} className="stroke-quiet" strokeDasharray="4 3" fill="none" />
        {[0, 0.5, 1].map((at) => (
          <g key={at} className="fill-ink" fontSize="11">
            <text x={at * SIDE} y={SIDE + 15} textAnchor="middle">
              {100 * at} %
            </text>
            <text x="-5" y={SIDE - at * SIDE + 4} textAnchor="end">
              {100 * at}
            </text>
          </g>
        ))}
        <Points bins={sheets} open />
        <Points bins={own} />
      </svg>
      <table className="w-full text-left text-sm">
        <caption className="sr-only">How often you were right by how sure you were</caption>
        <thead>
          <tr className="border-b border-ink">
            <th scope="col">sure</th>
            <th scope="col">trees</th>
            <th scope="col">right</th>
          </tr>
        </thead>
        <tbody>
          {own
            .filter((bin) => bin.tries > 0)
            .map((bin) => (
              <tr key={bin.from} className="border-b border-line">
                <th scope="row" className="figure font-normal">
                  {percent(bin.meanBelief ?? 0)}
                </th>
                <td className="figure">{bin.tries}</td>
                <td className="figure">{percent(bin.right / bin.tries)}</td>
              </tr>
            ))}
        </tbody>
      </table>
      {tries === 0 && <p>No tree called yet.</p>}
    </section>
  )
}

function Points({ bins, open = false }: { readonly bins: readonly PracticeBin[]; readonly open?: boolean }) {
  return bins
    .filter((bin) => bin.tries > 0)
    .map((bin) => {
      const [x, y] = [(bin.meanBelief ?? 0) * SIDE, SIDE - (bin.right / bin.tries) * SIDE]
      const r = Math.min(MOST, LEAST + Math.sqrt(bin.tries) / 2)
      return open ? (
        <path
          key={bin.from}
          d={`M${x - r},${y}L${x},${y - r}L${x + r},${y}L${x},${y + r}Z`}
          className="fill-card stroke-ink"
          strokeWidth="1.5"
        />
      ) : (
        <circle key={bin.from} cx={x} cy={y} r={r} className="fill-slate stroke-ink" strokeWidth="1" />
      )
    })
}
