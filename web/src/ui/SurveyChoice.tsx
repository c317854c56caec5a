import type { Survey } from '../api/types'
import { Choice } from './Choice'

type Props = {
  readonly surveys: readonly Survey[]
  readonly survey: Survey
  readonly onChoose: (id: string) => void
}

/** Another survey for what is about one; nothing where there is no other. */
export function SurveyChoice({ surveys, survey, onChoose }: Props) {
  if (surveys.length < 2) return null
  return (
    <div className="print:hidden">
      <Choice
        label={<span className="max-sm:sr-only">Survey</span>}
        options={surveys.map((one) => ({
          value: one.id,
          text: `${one.name.split(',')[0]} ${one.season}${one.closedAt ? ', closed' : ''}`,
        }))}
        value={survey.id}
        onChange={onChoose}
      />
    </div>
  )
}

/** The head of a part of a page that is about a survey, where the rest of the page is not. */
export function SurveyPartHead({ title, ...chosen }: Props & { readonly title: string }) {
  const { survey } = chosen
  return (
    <div className="flex flex-wrap items-end justify-between gap-3">
      <div>
        <h2 className="text-lg">{title}</h2>
        <p className="text-quiet">
          {survey.name}, season {survey.season}
          {survey.closedAt && ', closed'}
        </p>
      </div>
      <SurveyChoice {...chosen} />
    </div>
  )
}
