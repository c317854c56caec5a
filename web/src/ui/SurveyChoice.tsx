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
