import { type ReactNode, useState } from 'react'
import { Link } from 'react-router'
import type { GroupLesson } from '../../api/types'
import { counted, percent } from '../../ui/words'

const SIZE = 260
const LEFT = 50
const TOP = 8
const RIGHT = 10
const BOTTOM = 46

const x = (share: number) => LEFT + share * (SIZE - LEFT - RIGHT)
const y = (share: number) => SIZE - BOTTOM - share * (SIZE - BOTTOM - TOP)

type Bin = GroupLesson['bins'][number]
type Props = {
  readonly surveyId: string
  readonly group: GroupLesson
  /** What stands above the names of a point. */
  readonly children: ReactNode
}

/** What was believed, and how often it came true: on the line at best. A point chosen or hovered names its trees. */
export function ReliabilityCurve({ surveyId, group, children }: Props) {
  const filled = group.bins.filter((bin) => bin.shares > 0)
  const [chosen, setChosen] = useState<number>()
  const most = Math.max(1, ...filled.map((bin) => bin.shares))
  const at = (bin: Bin) => ({ cx: x(bin.meanShare ?? 0), cy: y(bin.observed ?? 0) })
  const bin = filled.find((one) => one.from === chosen)
  return (
    <div className="mt-2 grid grid-cols-1 items-start gap-x-8 gap-y-3 md:grid-cols-[minmax(0,23rem)_minmax(0,1fr)]">
      <figure aria-label={`Believed and come true, ${group.title}`}>
        <div className="relative max-w-92">
          <svg viewBox={`0 0 ${SIZE} ${SIZE}`} className="w-full" aria-hidden="true">
            <path d={`M${x(0)},${y(0)}H${x(1)}M${x(0)},${y(0)}V${y(1)}`} className="stroke-ink" />
            <path d={`M${x(0)},${y(0)}L${x(1)},${y(1)}`} className="stroke-edge" strokeDasharray="4 3" />
            {[0, 0.5, 1].map((tick) => (
              <g key={tick} className="fill-quiet text-[11px]">
                <text x={x(tick)} y={y(0) + 20} textAnchor="middle">
                  {100 * tick}
                </text>
                <text x={x(0) - 12} y={y(tick) + 4} textAnchor="end">
                  {100 * tick}
                </text>
              </g>
            ))}
            <text x={x(0.5)} y={SIZE - 6} textAnchor="middle" className="fill-ink text-[12px]">
              believed, %
            </text>
            <text
              x={12}
              y={y(0.5)}
              textAnchor="middle"
              transform={`rotate(-90 12 ${y(0.5)})`}
              className="fill-ink text-[12px]"
            >
              came true, %
            </text>
            <polyline
              points={filled.map((one) => `${at(one).cx},${at(one).cy}`).join(' ')}
              className="fill-none stroke-moss-ink"
              strokeWidth="1.5"
            />
            {filled.map((one) => (
              <circle
                key={one.from}
                {...at(one)}
                r={4 + 4 * Math.sqrt(one.shares / most)}
                className={`stroke-ink ${chosen === one.from ? 'fill-thistle' : 'fill-gold'}`}
              />
            ))}
          </svg>
          {/* each point is reached anywhere above or below it: points may lie close together, columns never do */}
          {filled.map((one) => (
            <button
              key={one.from}
              type="button"
              aria-pressed={chosen === one.from}
              aria-label={`Believed ${percent(one.meanShare ?? 0)}, came true ${percent(one.observed ?? 0)}, ${counted(one.shares, 'name')}`}
              onMouseEnter={() => setChosen(one.from)}
              onFocus={() => setChosen(one.from)}
              onClick={() => setChosen(one.from)}
              className="absolute aria-pressed:bg-thistle/10"
              style={{
                left: `${(100 * x(one.from)) / SIZE}%`,
                width: `${(100 * (x(one.to) - x(one.from))) / SIZE}%`,
                top: `${(100 * y(1)) / SIZE}%`,
                height: `${(100 * (y(0) - y(1))) / SIZE}%`,
              }}
            />
          ))}
        </div>
        <figcaption className="text-sm text-quiet">
          Every name of every verified tree is counted, larger points stand for more. Below the line: believed
          more than came true.
        </figcaption>
      </figure>
      <div>
        {children}
        {/* of one height, so that nothing below moves */}
        <section
          aria-label="Names of the point"
          className="mt-3 h-56 overflow-y-auto border-t border-line pt-2"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, and keys must reach what lies below
          tabIndex={0}
        >
          {bin ? (
            <Trees surveyId={surveyId} bin={bin} />
          ) : (
            <p className="text-quiet">Point at one to see its trees.</p>
          )}
        </section>
      </div>
    </div>
  )
}

function Trees({ surveyId, bin }: { readonly surveyId: string; readonly bin: Bin }) {
  return (
    <>
      <p>
        <b>
          {counted(bin.shares, 'name')} believed {percent(bin.meanShare ?? 0)} on average,{' '}
          {percent(bin.observed ?? 0)} came true.
        </b>{' '}
        {bin.shares > bin.points.length && `The ${bin.points.length} furthest off:`}
      </p>
      <ul className="text-sm">
        {bin.points.map((point) => (
          <li key={`${point.tree} ${point.taxon}`} className="flex gap-3">
            <span className="figure w-12 shrink-0 text-right">{percent(point.share)}</span>
            <span className="w-36 shrink-0">{point.taxon}</span>
            <span className={`w-16 shrink-0 ${point.right ? 'text-moss-ink' : 'text-rust-ink'}`}>
              {point.right ? 'true' : 'not true'}
            </span>
            <span className="min-w-0 truncate" title={point.tree}>
              {point.treeId ? (
                <Link className="text-thistle underline" to={`/surveys/${surveyId}/trees/${point.treeId}`}>
                  {point.tree}
                </Link>
              ) : (
                point.tree
              )}
            </span>
          </li>
        ))}
      </ul>
    </>
  )
}
