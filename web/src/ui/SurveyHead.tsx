import { Link } from 'react-router'
import { useObserver } from '../api/observer'
import { wordsOf } from '../api/problem'
import { useSurveyInAddress } from '../api/surveys'
import type { Survey } from '../api/types'
import { Button } from './Button'
import { Notice } from './Notice'
import { OnItsWay } from './OnItsWay'
import { PageTitle } from './PageTitle'
import { SurveyChoice } from './SurveyChoice'

type Props = {
  readonly chosen: {
    readonly surveys: readonly Survey[]
    readonly survey: Survey | undefined
    readonly error: Error | null
    readonly isFetched: boolean
    readonly failureReason: Error | null
    readonly choose: (id: string) => void
  }
  readonly title: string
  readonly words?: string
}

/** Which survey the page is about, as its address says; another can be chosen. */
export function SurveyHead({ chosen, title, words }: Props) {
  const { surveys, survey, error, isFetched, choose } = chosen
  useSurveyInAddress(survey)
  if (error) return <Notice tone="wrong">{wordsOf(error)}</Notice>
  if (!survey) {
    if (!isFetched) return <OnItsWay of={chosen}>Fetching the surveys …</OnItsWay>
    return surveys.length > 0 ? <NotYours surveys={surveys} onChoose={choose} /> : <NoSurvey />
  }
  return (
    <>
      <div className="my-2 flex flex-wrap items-end justify-between gap-x-3 gap-y-1">
        <div>
          <PageTitle>{title}</PageTitle>
          <h1 className="text-2xl">{title}</h1>
          <p className="text-quiet">
            <span className={surveys.length > 1 ? 'max-sm:not-print:sr-only' : ''}>
              {survey.name}, season {survey.season}.
            </span>{' '}
            {words}
          </p>
        </div>
        <SurveyChoice surveys={surveys} survey={survey} onChoose={choose} />
      </div>
      {survey.closedAt && (
        <Notice tone="waiting">This survey is closed: everything can be read, nothing changed.</Notice>
      )}
    </>
  )
}

type NotYoursProps = { readonly surveys: readonly Survey[]; readonly onChoose: (id: string) => void }

/** Where a link leads to a survey that the observer does not belong to. */
function NotYours({ surveys, onChoose }: NotYoursProps) {
  return (
    <section className="my-2 grid max-w-prose gap-3">
      <PageTitle>Not your survey</PageTitle>
      <h1 className="text-2xl">Not your survey</h1>
      <Notice tone="wrong">
        You do not belong to the survey that this address names, or there is none. Its lead can add you to it.
      </Notice>
      <p>The same page of a survey of yours:</p>
      <ul className="grid gap-2">
        {surveys.map((one) => (
          <li key={one.id}>
            <Button onClick={() => onChoose(one.id)}>
              {one.name}, {one.season}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What comes first where there is no survey yet: for a lead to set one up, for others to be added to one. */
function NoSurvey() {
  const observer = useObserver()
  if (observer.role !== 'lead') {
    return <Notice tone="plain">You do not belong to a survey yet. A lead adds you to one.</Notice>
  }
  return (
    <section className="my-2 grid max-w-prose gap-3">
      <PageTitle>First steps</PageTitle>
      <h1 className="text-2xl">Begin with a survey</h1>
      <ol className="list-decimal pl-6">
        <li>Set the survey up: its name, its season, what its calls are for.</li>
        <li>Record its plots and trees by hand, or import them from a table or a map.</li>
        <li>Invite your crew: each gets a link for choosing a passphrase.</li>
      </ol>
      <Link
        to={`/surveys/${crypto.randomUUID()}/settings`}
        className="inline-flex min-h-11 w-fit items-center rounded-plain border border-thistle bg-thistle px-4 font-semibold text-card"
      >
        New survey
      </Link>
      <p className="text-quiet">
        To look around first: <code className="figure whitespace-nowrap">./goldthistle demo</code>, on the
        machine that this runs on, starts a copy with made-up surveys at an address of its own. Nothing done
        there reaches what you set up here.
      </p>
    </section>
  )
}
