import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { CASE_REASONS, type CaseReason } from '../../api/codes'
import { groupsQuery } from '../../api/groups'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { ReviewRow, Survey } from '../../api/types'
import { plotsQuery } from '../../common/plot/queries'
import { ageOf, needOf, reasonOf, whyNotOf } from '../../common/review/caseWords'
import { queueQuery, useNews } from '../../common/review/queries'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { FirstSteps } from '../../ui/FirstSteps'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { OnItsWay } from '../../ui/OnItsWay'
import { SurveyHead } from '../../ui/SurveyHead'
import { Thistle } from '../../ui/Thistle'
import { counted, day } from '../../ui/words'

const SHOWN = [
  { value: 'mine', text: 'for me' },
  { value: 'open', text: 'all open' },
  { value: 'settled', text: 'settled' },
] as const

type Shown = (typeof SHOWN)[number]['value']

const AGES = [
  { value: '', text: 'any age' },
  { value: '7', text: 'a week and more' },
  { value: '30', text: 'a month and more' },
  { value: '90', text: 'three months and more' },
] as const

/** The calls that somebody should look at again. */
export function ReviewPage() {
  const chosen = useSurvey()
  useNews(chosen.survey?.id)
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-5xl">
        <SurveyHead chosen={chosen} title="Review" />
        {chosen.survey && <Queue key={chosen.survey.id} survey={chosen.survey} />}
      </div>
    </main>
  )
}

function Queue({ survey }: { readonly survey: Survey }) {
  const [shown, setShown] = useState<Shown>('mine')
  const [group, setGroup] = useState('')
  const [plot, setPlot] = useState('')
  const [reason, setReason] = useState<CaseReason | ''>('')
  const [days, setDays] = useState('')
  const [from, setFrom] = useState(0)
  const groups = useQuery(groupsQuery)
  const plots = useQuery(plotsQuery(survey.id))
  const queue = useQuery(
    queueQuery(survey.id, {
      settled: shown === 'settled',
      mine: shown === 'mine',
      ...(group && { group }),
      ...(plot && { plot }),
      ...(reason && { reason }),
      ...(days && { days: Number(days) }),
      from,
    }),
  )
  const narrowed = <T,>(set: (value: T) => void) => {
    return (value: T) => {
      set(value)
      setFrom(0)
    }
  }
  if (plots.data?.length === 0) return <FirstSteps survey={survey} />
  return (
    <>
      <div className="mt-3 flex flex-wrap items-center justify-between gap-3">
        <OneOf label="Cases shown" options={SHOWN} value={shown} onChange={narrowed(setShown)} />
        <span className="flex flex-wrap gap-x-5">
          {survey.laboratoryUsed && (
            <Link
              to="/samples"
              className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
            >
              Samples and the laboratory
            </Link>
          )}
          <Link
            to="/quality"
            className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
          >
            How far observers agree
          </Link>
        </span>
      </div>
      <div className="my-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
        <Choice
          label="Group"
          options={[
            { value: '', text: 'all groups' },
            ...(groups.data ?? []).map((one) => ({ value: one.groupId, text: one.title })),
          ]}
          value={group}
          onChange={narrowed(setGroup)}
        />
        <Choice
          label="Plot"
          options={[
            { value: '', text: 'all plots' },
            ...(plots.data ?? []).map((one) => ({ value: one.id, text: one.code })),
          ]}
          value={plot}
          onChange={narrowed(setPlot)}
        />
        <Choice
          label="Reason"
          options={[
            { value: '' as const, text: 'any reason' },
            ...CASE_REASONS.map((code) => ({ value: code, text: reasonOf(code) })),
          ]}
          value={reason}
          onChange={narrowed(setReason)}
        />
        <Choice label="Open for" options={AGES} value={days} onChange={narrowed(setDays)} />
      </div>
      {queue.isError && <Notice tone="wrong">{wordsOf(queue.error)}</Notice>}
      {!queue.data && !queue.isError && <OnItsWay of={queue}>Fetching the queue …</OnItsWay>}
      {queue.data && (
        <section aria-label="Cases">
          <p className="mb-2 text-quiet">
            {queue.data.inAll === 0 ? 'No case' : counted(queue.data.inAll, 'case')}
            {reason &&
              shown !== 'settled' &&
              '; why a tree is reviewed is not told to whoever may read it blind'}
            .
          </p>
          <ul className="divide-y divide-line border-y border-line bg-card">
            {queue.data.rows.map((row) => (
              <li key={row.id}>
                <CaseRow surveyId={survey.id} row={row} />
              </li>
            ))}
          </ul>
          <div className="mt-3 flex gap-2">
            {from > 0 && <Button onClick={() => setFrom(Math.max(0, from - 30))}>Earlier ones</Button>}
            {queue.data.next != null && (
              <Button onClick={() => setFrom(queue.data.next ?? 0)}>The next ones</Button>
            )}
          </div>
        </section>
      )}
    </>
  )
}

function CaseRow({ surveyId, row }: { readonly surveyId: string; readonly row: ReviewRow }) {
  const differ = new Set(row.calls.map((one) => one.name)).size > 1
  return (
    <Link
      to={`/surveys/${surveyId}/review/${row.id}`}
      className="grid min-h-14 items-center gap-x-4 gap-y-1 px-3 py-2 hover:bg-thistle-wash sm:grid-cols-[12rem_minmax(0,1fr)_12rem_8.5rem]"
    >
      <span>
        <span className="block font-semibold">
          {row.plotCode}, tree {row.tag}
        </span>
        <span className="text-sm text-quiet">{row.groupTitle}</span>
      </span>
      <span className="leading-snug">
        {row.blind && <span className="text-quiet">what was read is kept from you</span>}
        {row.calls.map((call) => (
          <span key={call.observer} className="flex items-center gap-2">
            {call.thistle && (
              <Thistle
                figures={call.thistle}
                signed
                reviewed={row.outcome === 'agree'}
                className="size-11 shrink-0"
              />
            )}
            <span>
              <strong>{call.observer}</strong> {call.name}
            </span>
          </span>
        ))}
        {row.reasons.length > 0 && (
          <span className="text-sm text-quiet">
            {row.reasons.map(reasonOf).join(', ')}
            {differ && '; they differ'}
          </span>
        )}
      </span>
      <span>
        <span className={`block ${row.mayDo ? 'font-bold' : ''}`}>{needOf(row)}</span>
        {!row.mayDo && row.whyNot && <span className="text-sm text-quiet">{whyNotOf(row.whyNot)}</span>}
      </span>
      <span className="text-sm text-quiet sm:text-right">
        {row.outcome ? `from ${day(row.openedAt)}` : `open ${ageOf(row.openedAt)}`}
      </span>
    </Link>
  )
}
