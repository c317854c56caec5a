import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useParams } from 'react-router'
import { choiceOf, type LifeStage, STAGES } from '../../api/codes'
import { groupsOf, groupsQuery } from '../../api/groups'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import { useSurvey } from '../../api/surveys'
import type { Sheet } from '../../api/types'
import { useBestChecks } from '../../common/group/useBestChecks'
import { Pick } from '../../ui/Choice'
import { MonthPick } from '../../ui/MonthPick'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PaperPage } from '../../ui/PaperPage'
import { monthName } from '../../ui/words'
import { CardOnPaper, MOST_CHARACTERS } from './FieldCard'

const STAGE_CHOICES = STAGES.map(choiceOf)

/** The field cards of a survey's groups, a page each, to be printed at once. */
export function SurveyCardsPage() {
  const { surveyId = '' } = useParams()
  const survey = useSurvey().surveys.find((one) => one.id === surveyId)
  const groups = useQuery(groupsQuery)
  const [month, setMonth] = useState(new Date().getMonth() + 1)
  const [stage, setStage] = useState<LifeStage>('mature')
  const called = survey ? groupsOf(survey, groups.data ?? []) : []
  return (
    <PaperPage
      title="Field cards"
      head={`Field cards, ${monthName(month)}. ${survey?.name ?? ''}`}
      back={{ to: '/plots', words: 'Back to the plots' }}
      small
      tools={
        <>
          <MonthPick
            label="Month"
            value={month}
            onChange={setMonth}
            className="min-h-11 rounded-plain border border-edge bg-card px-2"
          />
          <Pick
            label="Stage"
            className="min-h-11 rounded-plain border border-edge bg-card px-2"
            options={STAGE_CHOICES}
            value={stage}
            onChange={setStage}
          />
        </>
      }
    >
      {groups.isError && <Notice tone="wrong">{wordsOf(groups.error)}</Notice>}
      {groups.isPending && <OnItsWay of={groups}>Fetching the groups …</OnItsWay>}
      {called.map((group) => (
        <OneCard key={group.versionId} versionId={group.versionId} month={month} stage={stage} />
      ))}
    </PaperPage>
  )
}

type Props = { readonly versionId: string; readonly month: number; readonly stage: LifeStage }

function OneCard({ versionId, month, stage }: Props) {
  const sheet = useQuery(sheetQuery(versionId))
  if (sheet.isError) return <Notice tone="wrong">{wordsOf(sheet.error)}</Notice>
  if (!sheet.data) return <OnItsWay of={sheet}>Fetching a sheet …</OnItsWay>
  return (
    <section
      aria-label={sheet.data.title}
      className="mb-8 text-[9.5pt] leading-tight print:mb-0 print:break-after-page"
    >
      <Weighed sheet={sheet.data} month={month} stage={stage} />
    </section>
  )
}

type WeighedProps = { readonly sheet: Sheet; readonly month: number; readonly stage: LifeStage }

function Weighed({ sheet, month, stage }: WeighedProps) {
  const { best, error, isPending } = useBestChecks(sheet, month, stage, MOST_CHARACTERS)
  if (error) return <Notice tone="wrong">{wordsOf(error)}</Notice>
  if (isPending) return <p role="status">Weighing the characters …</p>
  return <CardOnPaper sheet={sheet} month={month} stage={stage} best={best} />
}
