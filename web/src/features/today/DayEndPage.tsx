import { useQuery } from '@tanstack/react-query'
import { Printer } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { DayEnd } from '../../api/types'
import { signedWords } from '../../common/bench/outcomeWords'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { SurveyHead } from '../../ui/SurveyHead'
import { usePaper } from '../../ui/usePaper'
import { counted, day, time } from '../../ui/words'
import { dayEndQuery } from './queries'

const LINK = 'inline-flex min-h-11 items-center font-semibold text-thistle underline'

/** "2026-09-14": today where the device is. */
function today(): string {
  return new Date().toLocaleDateString('sv-SE') // whose dates are written so
}

/** When a day begins where the device is; `days` later the day after it. */
function midnight(of: string, days = 0): string {
  const [year = 0, month = 1, date = 1] = of.split('-').map(Number)
  return new Date(year, month - 1, date + days).toISOString()
}

/** What an observer did in a day, and what is left of it. */
export function DayEndPage() {
  const observer = useObserver()
  const chosen = useSurvey()
  const { survey } = chosen
  usePaper(`Day’s end, ${observer.callSign}, ${survey?.name ?? ''}`)
  const [on, setOn] = useState(today)
  const isDay = /^\d{4}-\d\d-\d\d$/.test(on)
  const end = useQuery({
    ...dayEndQuery(survey?.id ?? '', isDay ? midnight(on) : '', isDay ? midnight(on, 1) : ''),
    enabled: survey !== undefined && isDay,
  })
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4 print:overflow-visible print:p-0">
      <div className="mx-auto w-full max-w-3xl">
        <SurveyHead chosen={chosen} title={`Day’s end, ${observer.callSign}`} />
        <div className="flex flex-wrap items-end gap-x-5 gap-y-2 print:hidden">
          <Field label="Day" type="date" value={on} onChange={(event) => setOn(event.target.value)} />
          <Button onClick={() => window.print()}>
            <Printer aria-hidden className="mr-1 inline size-4" />
            Print
          </Button>
          <Link to="/today" className={LINK}>
            Today
          </Link>
        </div>
        {end.isError && !end.data && <Notice tone="wrong">{wordsOf(end.error)}</Notice>}
        {end.failureReason && end.data && (
          <Notice tone="waiting">
            This is how it stood when it was last fetched. {wordsOf(end.failureReason)}
          </Notice>
        )}
        {survey && isDay && end.isPending && <OnItsWay of={end}>Gathering the day …</OnItsWay>}
        {survey && end.data && <Day surveyId={survey.id} on={on} end={end.data} />}
      </div>
    </main>
  )
}

type Props = { readonly surveyId: string; readonly on: string; readonly end: DayEnd }

function Day({ surveyId, on, end: { began, ended, minutes, plots, unsigned, carried } }: Props) {
  const signed = plots.reduce((all, plot) => all + plot.signed.length, 0)
  const tree = (id: string) => `/surveys/${surveyId}/trees/${id}`
  return (
    <div className="mt-3 grid grid-cols-1 gap-5">
      <p className="text-lg">
        {began && ended ? (
          <>
            {day(on)}, {[...new Set([time(began), time(ended)])].join(' to ')}, in{' '}
            {counted(plots.length, 'plot')}: {signed === 0 ? 'no tree' : counted(signed, 'tree')} signed
            {minutes > 0 && `, ${counted(minutes, 'minute')} at ${signed === 1 ? 'it' : 'them'}`}.
          </>
        ) : (
          `Nothing was read or signed on ${day(on)}.`
        )}
      </p>
      <Unsigned
        title="Begun and not signed"
        surveyId={surveyId}
        trees={unsigned.filter((one) => one.today)}
      />
      {carried.length > 0 && (
        <section aria-label="Samples that you carry">
          <h2 className="text-xl">Samples that you carry</h2>
          <ul className="divide-y divide-line border-y border-line bg-card">
            {carried.map((one) => (
              <li key={one.code} className="flex min-h-11 flex-wrap items-center gap-x-4 px-3">
                <span className="figure font-semibold">{one.code}</span>
                <Link to={tree(one.treeId)} className={LINK}>
                  {one.plotCode}, tree {one.tag}
                </Link>
                {one.tissue}
              </li>
            ))}
          </ul>
          <Link to="/samples" className={`${LINK} print:hidden`}>
            Pack them into a parcel
          </Link>
        </section>
      )}
      {plots.map((plot) => (
        <section key={plot.id} aria-label={plot.code}>
          <h2 className="text-xl">{plot.code}</h2>
          <p className="text-quiet">
            {counted(plot.read, 'tree')} read, {plot.open} of the plot still open
          </p>
          <ul className="divide-y divide-line border-y border-line bg-card">
            {plot.signed.map((one) => (
              <li
                key={one.treeId}
                className="flex min-h-11 flex-wrap items-center justify-between gap-x-4 px-3"
              >
                <Link to={tree(one.treeId)} className={LINK}>
                  Tree {one.tag}
                </Link>
                <span>
                  {signedWords({ outcome: one.outcome, month: one.month ?? null, commonName: one.name })}
                  {one.contested && <strong>, contested</strong>}
                </span>
              </li>
            ))}
          </ul>
        </section>
      ))}
      <Unsigned
        title="Not signed yet, from before"
        surveyId={surveyId}
        trees={unsigned.filter((one) => !one.today)}
      />
    </div>
  )
}

type UnsignedProps = {
  readonly title: string
  readonly surveyId: string
  readonly trees: DayEnd['unsigned']
}

function Unsigned({ title, surveyId, trees }: UnsignedProps) {
  if (trees.length === 0) return null
  return (
    <section aria-label={title}>
      <h2 className="text-xl">{title}</h2>
      <ul className="divide-y divide-line border-y border-line bg-card">
        {trees.map((one) => (
          <li key={one.treeId} className="flex min-h-11 flex-wrap items-center justify-between gap-x-4 px-3">
            <Link to={`/surveys/${surveyId}/trees/${one.treeId}`} className={LINK}>
              {one.plotCode}, tree {one.tag}
            </Link>
            <span>
              {one.groupTitle}, {counted(one.readings, 'reading')}
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
