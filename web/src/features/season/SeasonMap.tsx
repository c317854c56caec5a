import { useState } from 'react'
import { Link } from 'react-router'
import type { SeasonPlot } from '../../api/types'
import { OneOf } from '../../ui/OneOf'
import { counted, percent } from '../../ui/words'
import { plotsOnMap, wedge } from './plotsOnMap'

const SIZE = 420
const MARGIN = 22

const SHOWN = [
  { value: 'open', text: 'not signed' },
  { value: 'contested', text: 'contested' },
  { value: 'review', text: 'under review' },
  { value: 'agreed', text: 'agreed on' },
] as const

type Shown = (typeof SHOWN)[number]['value']

type Props = {
  readonly surveyId: string
  readonly plots: readonly SeasonPlot[]
  /** longitudes and latitudes of what is drawn beside them */
  readonly lines: readonly (readonly (readonly number[])[])[]
}

/** What it is a share of: agreement is one of trees that two or more read. */
const of = (plot: SeasonPlot, shown: Shown) => (shown === 'agreed' ? plot.twice : plot.stems)

/** The plots where they lie, north up; how much of each mark is filled tells what is chosen. */
export function SeasonMap({ surveyId, plots, lines }: Props) {
  const [shown, setShown] = useState<Shown>('open')
  const { placed, scale, path } = plotsOnMap(plots, SIZE, MARGIN)
  const share = (plot: SeasonPlot) => (of(plot, shown) === 0 ? 0 : plot[shown] / of(plot, shown))
  const without = plots.length - placed.length
  return (
    <section aria-label="Plots on the map">
      <div className="mb-2 flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-xl">Plots</h2>
        <OneOf label="What fills a mark" options={SHOWN} value={shown} onChange={setShown} />
      </div>
      {placed.length > 0 && (
        <svg
          viewBox={`0 0 ${SIZE} ${SIZE}`}
          className="w-full rounded-plain border border-line bg-card"
          aria-hidden="true"
        >
          {lines.length > 0 && (
            <path
              d={lines.map(path).join('')}
              className="fill-none stroke-slate"
              strokeWidth={1}
              data-lines=""
            />
          )}
          <path d={`M${MARGIN},${MARGIN + 14}v-20l-5,8h10l-5,-8`} className="fill-ink stroke-ink" />
          <text x={MARGIN + 10} y={MARGIN + 4} className="fill-ink text-sm">
            N
          </text>
          <path
            d={`M${MARGIN},${SIZE - MARGIN / 2}h${scale.pixels}m0,-5v10m${-scale.pixels},0v-10`}
            className="fill-none stroke-ink"
            strokeWidth={2}
          />
          <text x={MARGIN + scale.pixels + 8} y={SIZE - MARGIN / 2 + 5} className="figure fill-ink text-sm">
            {scale.metres} m
          </text>
          {placed.map(({ plot, x, y, r, name }) => (
            <Link key={plot.id} to={`/surveys/${surveyId}/plots/${plot.id}`} tabIndex={-1}>
              <g transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`} data-plot={plot.code}>
                <title>{`${plot.code}: ${plot[shown]} of ${of(plot, shown)}`}</title>
                <circle r={r} className="fill-card stroke-ink" strokeWidth={1.5} />
                {share(plot) > 0 && <path d={wedge(r, share(plot))} className="fill-thistle" />}
                {name && (
                  <text x={name.x - x} y={name.y - y} textAnchor={name.anchor} className="fill-ink text-xs">
                    {plot.code}
                  </text>
                )}
              </g>
            </Link>
          ))}
        </svg>
      )}
      {without > 0 && <p className="text-quiet">Without a position yet: {counted(without, 'plot')}.</p>}
      <details>
        <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
          The same as a table
        </summary>
        <table className="w-full text-left">
          <thead>
            <tr className="border-b border-ink">
              <th scope="col">plot</th>
              <th scope="col" className="text-right">
                stems
              </th>
              {SHOWN.map(({ value, text }) => (
                <th key={value} scope="col" className="text-right">
                  {text}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {plots.map((plot) => (
              <tr key={plot.id} className="border-b border-line">
                <th scope="row" className="font-normal">
                  <Link to={`/surveys/${surveyId}/plots/${plot.id}`} className="text-thistle underline">
                    {plot.code}
                  </Link>
                </th>
                <td className="figure text-right">{plot.stems}</td>
                {SHOWN.map(({ value }) => (
                  <td key={value} className="figure text-right">
                    {plot[value]}
                    {of(plot, value) > 0 && (
                      <span className="text-quiet"> {percent(plot[value] / of(plot, value))}</span>
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </section>
  )
}
