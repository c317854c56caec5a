import { Link } from 'react-router'
import { useObserver } from '../api/observer'
import { wordsOf } from '../api/problem'
import type { Survey } from '../api/types'
import { Choice } from './Choice'
import { Notice } from './Notice'
import { OnItsWay } from './OnItsWay'
import { PageTitle } from './PageTitle'

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

/** Which survey the page is about; another can be chosen. */
export function SurveyHead({ chosen, title, words }: Props) {
  const { surveys, survey, error, isFetched, choose } = chosen
  if (error) return <Notice tone="wrong">{wordsOf(error)}</Notice>
  if (!survey) {
    return isFetched ? <NoSurvey /> : <OnItsWay of={chosen}>Fetching the surveys …</OnItsWay>
  }
  return (
    <>
      <div className="my-2 flex flex-wrap items-end justify-between gap-3">
        <div>
          <PageTitle>{title}</PageTitle>
          <h1 className="text-2xl">{title}</h1>
          <p className="text-quiet">
            {survey.name}, season {survey.season}. {words}
          </p>
        </div>
        {surveys.length > 1 && (
          <div className="print:hidden">
            <Choice
              label="Survey"
              options={surveys.map((one) => ({
                value: one.id,
                text: `${one.name.split(',')[0]} ${one.season}${one.closedAt ? ', closed' : ''}`,
              }))}
              value={survey.id}
              onChange={choose}
            />
          </div>
        )}
      </div>
      {survey.closedAt && (
        <Notice tone="waiting">This survey is closed: everything can be read, nothing changed.</Notice>
      )}
    </>
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
