import { useQuery } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { Survey, Today } from '../../api/types'
import { TakeTodayAlong } from '../../common/along/TakeAlong'
import { timesIn } from '../../common/bench/judgementWords'
import { todayQuery } from '../../common/bench/queries'
import { plotsQuery } from '../../common/plot/queries'
import { ToPractise } from '../../common/practice/ToPractise'
import { needOf } from '../../common/review/caseWords'
import { queueQuery, useNews } from '../../common/review/queries'
import { FirstSteps } from '../../ui/FirstSteps'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { SurveyHead } from '../../ui/SurveyHead'
import { Term } from '../../ui/Term'
import { Thistle } from '../../ui/Thistle'
import { counted, monthName } from '../../ui/words'

const MOST_NAMED = 3 // samples to take; the page of samples has them all

const ROW = 'flex min-h-14 items-center gap-3 px-3 py-2 hover:bg-thistle-wash'

/** What this observer should do today. */
export function TodayPage() {
  const observer = useObserver()
  const chosen = useSurvey()
  const { survey } = chosen
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-6xl">
        <SurveyHead chosen={chosen} title={`Today, ${observer.callSign}`} />
        {survey && <Work key={survey.id} survey={survey} />}
      </div>
    </main>
  )
}

/** Nothing can be done in a survey without plots; it says what comes first. */
function Work({ survey }: { readonly survey: Survey }) {
  const plots = useQuery(plotsQuery(survey.id))
  if (plots.data?.length === 0) return <FirstSteps survey={survey} />
  return <Lists surveyId={survey.id} />
}

function Lists({ surveyId }: { readonly surveyId: string }) {
  const observer = useObserver()
  const today = useQuery(todayQuery(surveyId))
  const second = useQuery(queueQuery(surveyId, { mine: true }))
  useNews(surveyId)
  if (today.isError) return <Notice tone="wrong">{wordsOf(today.error)}</Notice>
  if (!today.data) return <OnItsWay of={today}>Looking what there is to do …</OnItsWay>
  const { walk, walkInAll, settle, settleInAll } = today.data
  return (
    <>
      <TakeTodayAlong surveyId={surveyId} today={today.data} />
      <Link
        to="/today/end"
        className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
      >
        Day’s end: what I did, what is not signed
      </Link>
      <ToPractise surveyId={surveyId} />
      <SamplesToday surveyId={surveyId} samples={today.data.samples} />
      <div className="mt-3 grid items-start gap-5 lg:grid-cols-3">
        <List
          title="Walk"
          words="Plots with trees that nobody signed yet"
          shown={walk.length}
          inAll={walkInAll}
        >
          {walk.map((plot) => (
            <li key={plot.id}>
              <Link to={`/surveys/${surveyId}/plots/${plot.id}`} className={ROW}>
                <span>
                  <span className="block font-semibold">{plot.code}</span>
                  <span className="block">
                    {plot.open > 0 && `${plot.open} not signed`}
                    {plot.begun > 0 && `, ${plot.begun} of them begun by you`}
                    {plot.comeBackNow > 0 &&
                      `${plot.open > 0 ? ', ' : ''}${plot.comeBackNow} to come back to this month`}
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </List>
        <List
          title="Settle"
          words={
            <>
              Your contested calls that {monthName(today.data.month)} can settle, each as a{' '}
              <Term id="thistle" />
            </>
          }
          shown={settle.length}
          inAll={settleInAll}
          after={<Waiting today={today.data} />}
        >
          {settle.map((call) => (
            <li key={call.treeId}>
              <Link to={`/surveys/${surveyId}/trees/${call.treeId}`} className={ROW}>
                <Thistle figures={call.thistle} signed={false} className="size-11 shrink-0" />
                <span>
                  <span className="block font-semibold">
                    {call.plotCode}, tree {call.tag}: {call.thistle.leadName} or {call.thistle.rivalName}
                  </span>
                  <span className="block">
                    A visit now settles it {timesIn(call.chance)}
                    {call.check && `; begin with “${call.check}”`}
                    {call.leftForBest && `; in ${monthName(call.bestMonth)} ${timesIn(call.bestChance)}`}
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </List>
        <List
          title="Second look"
          words={
            observer.role === 'crew'
              ? 'Trees to read without knowing what others made of them'
              : 'Trees to read blind, and cases to decide'
          }
          shown={second.data?.rows.length ?? 0}
          inAll={second.data?.inAll ?? 0}
        >
          {second.data?.rows.map((row) => (
            <li key={row.id}>
              <Link to={`/surveys/${surveyId}/review/${row.id}`} className={ROW}>
                <span>
                  <span className="block font-semibold">
                    {row.plotCode}, tree {row.tag}
                  </span>
                  <span className="block text-quiet">
                    {row.groupTitle}: {needOf(row)}
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </List>
      </div>
    </>
  )
}

type SamplesProps = { readonly surveyId: string; readonly samples: Today['samples'] }

/** What is to be cut for the laboratory, and what came back of it. */
function SamplesToday({ surveyId, samples }: SamplesProps) {
  const back = samples.filter((one) => one.cameBack)
  const wanted = samples.filter((one) => !one.cameBack)
  if (samples.length === 0) return null
  return (
    <section
      aria-label="Samples"
      className="mt-3 flex flex-wrap items-baseline gap-x-5 gap-y-1 rounded-plain border border-line bg-card px-3 py-2"
    >
      {back.length > 0 && (
        <p>
          <strong>Came back:</strong>{' '}
          {back.map((one, i) => (
            <span key={one.code}>
              {i > 0 && ', '}
              <Link
                to={
                  one.caseId
                    ? `/surveys/${surveyId}/review/${one.caseId}`
                    : `/surveys/${surveyId}/trees/${one.treeId}`
                }
                className="inline-flex min-h-6 items-center font-semibold text-thistle underline"
              >
                {one.plotCode}, tree {one.tag}
              </Link>
            </span>
          ))}
        </p>
      )}
      {wanted.length > 0 && (
        <p>
          <strong>To take:</strong>{' '}
          {wanted
            .slice(0, MOST_NAMED)
            .map((one) => `${one.tissue} of ${one.plotCode}, tree ${one.tag}`)
            .join('; ')}
          {wanted.length > MOST_NAMED && ` and ${wanted.length - MOST_NAMED} more`}
        </p>
      )}
      <Link
        to="/samples"
        className="ml-auto inline-flex min-h-6 items-center font-semibold text-thistle underline"
      >
        All samples
      </Link>
    </section>
  )
}

type ListProps = {
  readonly title: string
  readonly words: ReactNode
  readonly shown: number
  readonly inAll: number
  readonly after?: ReactNode
  readonly children: ReactNode
}

function List({ title, words, shown, inAll, after, children }: ListProps) {
  return (
    <section aria-label={title}>
      <h2 className="flex items-baseline justify-between border-b-2 border-ink pb-1 text-xl">
        {title} <span className="figure text-base">{inAll}</span>
      </h2>
      <p className="py-1 text-quiet">{words}</p>
      {inAll === 0 ? (
        <p className="rounded-plain border border-line bg-card px-3 py-4">Nothing now.</p>
      ) : (
        <ul className="divide-y divide-line border-y border-line bg-card">{children}</ul>
      )}
      {shown < inAll && <p className="py-1 text-quiet">and {inAll - shown} more</p>}
      {after}
    </section>
  )
}

/** Calls for which today is not the day: "not today" is a good answer, with a date. */
function Waiting({ today }: { readonly today: Today }) {
  const { waiting, unplayed } = today
  if (waiting.length === 0 && unplayed === 0) return null
  return (
    <ul aria-label="Waiting" className="mt-2 grid gap-1">
      {waiting.map(({ month, calls }) => (
        <li key={month}>
          {month === 0
            ? `${counted(calls, 'call')} that no month is likely to settle: a sample may, or the group only`
            : `${counted(calls, 'call')} better left until ${monthName(month)}`}
        </li>
      ))}
      {unplayed > 0 && (
        <li>
          <span role="status">{counted(unplayed, 'call')} still being played through the year …</span>
        </li>
      )}
    </ul>
  )
}
