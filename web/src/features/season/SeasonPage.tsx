import { useQuery } from '@tanstack/react-query'
import { Printer } from 'lucide-react'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { SeasonAtGlance, SeasonFigure, SeasonWait } from '../../api/types'
import { reasonKindWords } from '../../common/bench/judgementWords'
import { Button } from '../../ui/Button'
import { FirstSteps } from '../../ui/FirstSteps'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { SurveyHead } from '../../ui/SurveyHead'
import { usePaper } from '../../ui/usePaper'
import { counted, monthName } from '../../ui/words'
import { PlanForm } from './PlanForm'
import { Figure, Part } from './parts'
import { seasonQuery, treesOf } from './queries'
import { SeasonMap } from './SeasonMap'
import { Weeks } from './Weeks'

/** The season at a glance: what a lead looks at each morning. */
export function SeasonPage() {
  const observer = useObserver()
  const chosen = useSurvey()
  const { survey } = chosen
  usePaper(`Season ${survey?.season ?? ''}: ${survey?.name ?? ''}`)
  const season = useQuery({ ...seasonQuery(survey?.id ?? ''), enabled: survey !== undefined })
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4 print:overflow-visible print:p-0">
      <div className="mx-auto w-full max-w-6xl">
        <SurveyHead
          chosen={chosen}
          title="Season"
          {...(season.data?.own && { words: 'Calls, weeks and minutes are your own.' })}
        />
        {survey && (
          <div className="flex flex-wrap items-center gap-x-5 print:hidden">
            <Link
              to="/season/compared"
              className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
            >
              {observer.role === 'lead' ? 'Seasons compared, and the next one' : 'Seasons compared'}
            </Link>
            <Button onClick={() => window.print()}>
              <Printer aria-hidden className="mr-1 inline size-4" />
              Print
            </Button>
          </div>
        )}
        {season.isError && !season.data && <Notice tone="wrong">{wordsOf(season.error)}</Notice>}
        {survey && season.isPending && <OnItsWay of={season}>Counting the season …</OnItsWay>}
        {survey && season.data?.plots.length === 0 && <FirstSteps survey={survey} />}
        {survey && season.data && season.data.plots.length > 0 && (
          <AtGlance surveyId={survey.id} season={season.data} />
        )}
      </div>
    </main>
  )
}

const WAITS: Readonly<Record<SeasonWait['what'], string>> = {
  'blind-reading': 'to be read blind',
  decision: 'for a decision',
  laboratory: 'for the laboratory',
  weighing: 'with a result to be weighed',
  control: 'approved for control, nothing done yet',
}

type Props = { readonly surveyId: string; readonly season: SeasonAtGlance }

function AtGlance({ surveyId, season }: Props) {
  const observer = useObserver()
  const { plots, lines, plan, weeks, groups, reasons, waits, comeBack, mistaken, walked } = season
  return (
    <div className="mt-3 grid grid-cols-1 items-start gap-6 lg:grid-cols-2 print:grid-cols-2">
      <div className="grid grid-cols-1 gap-6">
        <SeasonMap surveyId={surveyId} plots={plots} lines={lines} />
        <Part title="Contested, by group">
          {groups.length === 0 && <p>Nothing is signed yet.</p>}
          <Table heads={['group', 'trees', 'contested', 'overruled']}>
            {groups.map(({ groupId, title, trees, contested, overruled }) => (
              <tr key={groupId} className="border-b border-line">
                <th scope="row" className="py-1 font-normal">
                  <Link to={`/groups/${groupId}`} className="text-thistle underline">
                    {title}
                  </Link>
                </th>
                <Figure>
                  <Behind figure="group" of={groupId} trees={trees} title={`${title}: signed`}>
                    {trees}
                  </Behind>
                </Figure>
                <Figure>
                  <Behind figure="contested" of={groupId} trees={contested} title={`${title}: contested`}>
                    {contested}
                  </Behind>{' '}
                  <span className="text-quiet">
                    {trees > 0 && `${Math.round((100 * contested) / trees)} %`}
                  </span>
                </Figure>
                <Figure>
                  <Behind figure="overruled" of={groupId} trees={overruled} title={`${title}: overruled`}>
                    {overruled}
                  </Behind>
                </Figure>
              </tr>
            ))}
          </Table>
          {reasons.length > 0 && (
            <ul className="mt-2 divide-y divide-line border-y border-line" aria-label="Reasons">
              {reasons.map(({ reason, calls }) => (
                <li key={reason} className="flex justify-between gap-4">
                  {reasonKindWords(reason)}
                  <Behind
                    figure="reason"
                    of={reason}
                    trees={calls}
                    title={`Contested: ${reasonKindWords(reason)}`}
                  >
                    <span className="figure">{calls}</span>
                  </Behind>
                </li>
              ))}
            </ul>
          )}
        </Part>
        {mistaken.length > 0 && (
          <Part title="Taken for each other">
            <ul className="divide-y divide-line border-y border-line bg-card">
              {mistaken.map(({ groupId, first, second, firstName, secondName, seasons }) => (
                <li
                  key={`${groupId} ${first} ${second}`}
                  className="flex min-h-11 flex-wrap items-center justify-between gap-x-4 px-3"
                >
                  <span>
                    {firstName} and {secondName}
                  </span>
                  <span className="flex gap-4">
                    {seasons.map(({ season, own, trees }) => (
                      <span key={`${season} ${own}`}>
                        {season}:{' '}
                        {own ? (
                          <Behind
                            figure="mistaken"
                            of={`${groupId}|${first}|${second}`}
                            trees={trees}
                            title={`${firstName} and ${secondName}`}
                          >
                            {trees}
                          </Behind>
                        ) : (
                          <span className="figure">{trees}</span>
                        )}
                      </span>
                    ))}
                  </span>
                </li>
              ))}
            </ul>
            <p className="text-sm text-quiet">
              Trees that two signed under different names, a review’s last word among them.
            </p>
          </Part>
        )}
      </div>
      <div className="grid grid-cols-1 gap-6 max-lg:order-first print:order-none">
        <Part title="What waits">
          <ul className="divide-y divide-line border-y border-line bg-card">
            {waits.map(({ what, trees, days }) => {
              return (
                <li key={what} className="flex min-h-11 flex-wrap items-center justify-between gap-x-3 px-3">
                  <Behind figure="waiting" of={what} trees={trees} title={`Trees ${WAITS[what]}`}>
                    {counted(trees, 'tree')} {WAITS[what]}
                  </Behind>
                  {days != null && (
                    <span className="text-quiet">
                      {days === 0 ? 'since today' : `the oldest for ${counted(days, 'day')}`}
                    </span>
                  )}
                </li>
              )
            })}
            {comeBack.length > 0 && (
              <li className="flex min-h-11 flex-wrap items-center gap-x-3 px-3">
                To come back to:
                {comeBack.map(({ month, trees }) => (
                  <Behind
                    key={month}
                    figure="come-back"
                    of={month}
                    trees={trees}
                    title={`To come back to in ${monthName(month)}`}
                  >
                    {monthName(month)} {trees}
                  </Behind>
                ))}
              </li>
            )}
          </ul>
        </Part>
        <Part title="Week by week">
          <Weeks weeks={weeks} />
          {observer.role === 'lead' && <PlanForm key={surveyId} surveyId={surveyId} plan={plan} />}
        </Part>
        <Part title="Who was out">
          <Table heads={['observer', 'days', 'trees', 'minutes a tree']}>
            {walked.map(({ observer, days, trees, minutes }) => (
              <tr key={observer} className="border-b border-line">
                <th scope="row" className="py-1 font-normal">
                  {observer}
                </th>
                <Figure>{days}</Figure>
                <Figure>
                  <Behind figure="observer" of={observer} trees={trees} title={`Signed by ${observer}`}>
                    {trees}
                  </Behind>
                </Figure>
                <Figure>{minutes == null ? '–' : minutes.toFixed(0)}</Figure>
              </tr>
            ))}
          </Table>
          <p className="text-sm text-quiet">
            To plan days by. Trees differ, and so do the days: this is no ranking.
          </p>
        </Part>
      </div>
    </div>
  )
}

function Table({ heads, children }: { readonly heads: readonly string[]; readonly children: ReactNode }) {
  return (
    <table className="w-full text-left">
      <thead>
        <tr className="border-b-2 border-ink">
          {heads.map((head, i) => (
            <th key={head} scope="col" className={i > 0 ? 'pl-3 text-right' : ''}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>{children}</tbody>
    </table>
  )
}

type BehindProps = {
  readonly figure: SeasonFigure
  readonly of: string | number
  readonly trees: number
  readonly title: string
  readonly children: ReactNode
}

/** A figure that leads to its trees, if it has any. */
function Behind({ figure, of, trees, title, children }: BehindProps) {
  if (trees === 0) return <span>{children}</span>
  return (
    <Link
      to={treesOf(figure, of, title)}
      className="inline-flex min-h-6 min-w-6 items-center justify-end font-semibold text-thistle underline"
    >
      {children}
    </Link>
  )
}
