import { scaleLinear } from 'd3-scale'
import { Link } from 'react-router'
import type { SeasonWeek } from '../../api/types'
import { day } from '../../ui/words'
import { treesOf } from './queries'

const HIGH = 120
const WIDE = 26 // of a week

/** What was signed week by week: trees for the first time, and again by others. */
export function Weeks({ weeks }: { readonly weeks: readonly SeasonWeek[] }) {
  if (weeks.length === 0) return <p>Nothing is signed yet.</p>
  const planned = weeks.some(({ due }) => due != null)
  const soFar = weeks.map((_, i) => weeks.slice(0, i + 1).reduce((sum, { first }) => sum + first, 0))
  const last = weeks.at(-1)
  const most = Math.max(...weeks.map(({ first, further }) => first + further))
  const y = scaleLinear([0, most], [0, HIGH])
  return (
    <>
      <svg
        viewBox={`0 -16 ${weeks.length * WIDE} ${HIGH + 16}`}
        className="max-h-52 w-full overflow-visible"
        preserveAspectRatio="xMinYMax meet"
        aria-hidden="true"
      >
        {weeks.map(({ from, first, further }, i) => (
          <g key={from} transform={`translate(${i * WIDE} 0)`}>
            <rect
              y={HIGH - y(first)}
              width={WIDE - 4}
              height={y(first)}
              className="fill-thistle stroke-thistle"
            />
            <rect
              y={HIGH - y(first + further)}
              width={WIDE - 4}
              height={y(further)}
              className="fill-card stroke-thistle"
            />
            <text x={(WIDE - 4) / 2} y={HIGH - y(first + further) - 4} textAnchor="middle" fontSize={10}>
              {first + further}
            </text>
          </g>
        ))}
      </svg>
      <p className="flex justify-between text-sm">
        <span>week of {day(weeks[0]?.from ?? '')}</span>
        <span>{weeks.length > 1 && `week of ${day(weeks.at(-1)?.from ?? '')}`}</span>
      </p>
      {last?.due != null && (
        <p>
          {soFar.at(-1)} trees signed by the end of that week, {last.due} planned:{' '}
          <strong>{aheadOrBehind((soFar.at(-1) ?? 0) - last.due)}</strong>.
        </p>
      )}
      <p className="text-sm text-quiet">Filled: trees signed for the first time. Open: signed once more.</p>
      <details>
        <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
          The same as a table
        </summary>
        <table className="w-full text-left">
          <thead>
            <tr className="border-b-2 border-ink">
              <th scope="col">week of</th>
              <th scope="col" className="text-right">
                first
              </th>
              <th scope="col" className="text-right">
                once more
              </th>
              {planned && (
                <>
                  <th scope="col" className="text-right">
                    so far
                  </th>
                  <th scope="col" className="text-right">
                    planned
                  </th>
                </>
              )}
            </tr>
          </thead>
          <tbody>
            {weeks.map(({ from, first, further, due }, i) => (
              <tr key={from} className="border-b border-line">
                <th scope="row" className="font-normal">
                  <Link
                    to={treesOf('week', from, `Signed in the week of ${day(from)}`)}
                    className="inline-flex min-h-6 items-center text-thistle underline"
                  >
                    {day(from)}
                  </Link>
                </th>
                <td className="figure text-right">{first}</td>
                <td className="figure text-right">{further}</td>
                {planned && (
                  <>
                    <td className="figure text-right">{soFar[i]}</td>
                    <td className="figure text-right">{due}</td>
                  </>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </>
  )
}

function aheadOrBehind(trees: number): string {
  if (trees === 0) return 'as planned'
  return trees > 0 ? `${trees} ahead` : `${-trees} behind`
}
