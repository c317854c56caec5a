import { wordsOf } from '../api/problem'
import type { Survey } from '../api/types'
import { Choice } from './Choice'
import { Notice } from './Notice'

type Props = {
  readonly chosen: {
    readonly surveys: readonly Survey[]
    readonly survey: Survey | undefined
    readonly error: Error | null
    readonly isFetched: boolean
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
    return isFetched ? (
      <Notice tone="plain">You do not belong to a survey yet. Its lead adds you to one.</Notice>
    ) : (
      <p role="status">Fetching the surveys …</p>
    )
  }
  return (
    <>
      <div className="my-2 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-2xl">{title}</h1>
          <p className="text-quiet">
            {survey.name}, season {survey.season}. {words}
          </p>
        </div>
        {surveys.length > 1 && (
          <Choice
            label="Survey"
            options={surveys.map((one) => ({
              value: one.id,
              text: `${one.name.split(',')[0]} ${one.season}${one.closedAt ? ', closed' : ''}`,
            }))}
            value={survey.id}
            onChange={choose}
          />
        )}
      </div>
      {survey.closedAt && (
        <Notice tone="waiting">This survey is closed: everything can be read, nothing changed.</Notice>
      )}
    </>
  )
}
