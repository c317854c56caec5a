import { useQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { SeasonFigure, TreeOfFigure } from '../../api/types'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { SurveyHead } from '../../ui/SurveyHead'
import { counted } from '../../ui/words'
import { treesOfFigureQuery } from './queries'

/** The trees behind a figure of the season. */
export function TreesOfFigurePage() {
  const chosen = useSurvey()
  const [asked] = useSearchParams()
  const figure = asked.get('figure') as SeasonFigure | null
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-4xl">
        <SurveyHead chosen={chosen} title={asked.get('words') ?? 'Trees'} />
        <Link to="/season" className="inline-flex min-h-11 items-center font-semibold text-thistle underline">
          Back to the season
        </Link>
        {!figure && <Notice tone="plain">This address names no figure of the season.</Notice>}
        {chosen.survey && figure && (
          <Trees surveyId={chosen.survey.id} figure={figure} of={asked.get('of') ?? ''} />
        )}
      </div>
    </main>
  )
}

type Props = { readonly surveyId: string; readonly figure: SeasonFigure; readonly of: string }

function Trees({ surveyId, figure, of }: Props) {
  const found = useQuery(treesOfFigureQuery(surveyId, figure, of))
  if (found.isError) return <Notice tone="wrong">{wordsOf(found.error)}</Notice>
  if (!found.data) return <OnItsWay of={found}>Fetching the trees …</OnItsWay>
  const { trees, inAll } = found.data
  return (
    <>
      <p>
        {counted(inAll, 'tree')}
        {trees.length < inAll && `, the first ${trees.length} of them`}
      </p>
      <ul className="mt-2 divide-y divide-line border-y border-line bg-card">
        {trees.map((tree) => (
          <li key={tree.treeId}>
            <Link
              to={`/surveys/${surveyId}/plots/${tree.plotId}?tree=${tree.treeId}`}
              className="flex min-h-11 flex-wrap items-center justify-between gap-x-4 px-3 hover:bg-thistle-wash"
            >
              <span className="font-semibold">
                {tree.plotCode}, tree {tree.tag}
              </span>
              <span>{standing(tree)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  )
}

function standing({ standsAs, standsName }: TreeOfFigure): string {
  if (standsAs === 'review') return 'to be read blind'
  return standsName ?? standsAs.replaceAll('-', ' ')
}
