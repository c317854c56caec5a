import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import type { ReviewCase } from '../../api/types'
import { outcomeOf, reasonOf } from '../../common/review/caseWords'
import { caseQuery, useNews } from '../../common/review/queries'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { BeforeTheSaw } from './BeforeTheSaw'
import { BlindCase } from './BlindCase'
import { CaseTable } from './CaseTable'

/** One review: the way into a blind reading, or the table at which the readings face each other. */
export function CasePage() {
  const { surveyId = '', caseId = '' } = useParams()
  const found = useQuery(caseQuery(surveyId, caseId))
  useNews(surveyId)
  if (found.isError && !found.data) {
    return (
      <main className="p-4">
        <Notice tone="wrong">{wordsOf(found.error)}</Notice>
      </main>
    )
  }
  if (!found.data) {
    return (
      <main className="p-4">
        <OnItsWay of={found}>Fetching the case …</OnItsWay>
      </main>
    )
  }
  const it = found.data
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-6xl">
        <div className="mb-2 flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <PageTitle>{`Review of ${it.plotCode}, tree ${it.tag}`}</PageTitle>
          <h1 className="text-2xl">
            <Link
              to={`/surveys/${surveyId}/plots/${it.plotId}?tree=${it.treeId}`}
              className="underline decoration-line underline-offset-4"
            >
              {it.plotCode}
            </Link>{' '}
            · tree {it.tag}
          </h1>
          <p>{standing(it)}</p>
          {it.mayDecide && !it.stuck && (
            <a
              href="#decision"
              className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
            >
              To the decision
            </a>
          )}
          <Link
            to="/review"
            className="ml-auto inline-flex min-h-11 items-center font-semibold text-thistle underline"
          >
            All cases
          </Link>
        </div>
        {it.closed && (
          <Notice tone="waiting">This survey is closed: everything can be read, nothing changed.</Notice>
        )}
        {it.blind ? <BlindCase it={it} /> : <WithSheet it={it} />}
      </div>
    </main>
  )
}

function standing(it: ReviewCase): string {
  const why = it.reasons.map(reasonOf).join(', ')
  const state = {
    waiting: it.looks > 1 ? 'waits for a third look' : 'waits for a blind reading',
    reading: it.mine ? 'you are reading it blind' : `${it.takenBy} is reading it blind`,
    table: 'at the table, for a decision',
    laboratory: 'waits for the laboratory',
    settled: outcomeOf(it.decisions.at(-1)?.outcome ?? 'withdrawn'),
  }[it.state]
  return why ? `${state ?? it.state}; reviewed since it is ${why}` : (state ?? it.state)
}

function WithSheet({ it }: { readonly it: ReviewCase }) {
  const sheet = useQuery({ ...sheetQuery(it.sheetVersionId ?? ''), enabled: Boolean(it.sheetVersionId) })
  if (sheet.isError) return <Notice tone="wrong">{wordsOf(sheet.error)}</Notice>
  return sheet.data ? (
    <>
      {(it.reasons.includes('last-look') || it.reasons.includes('wrong-tree')) && (
        <BeforeTheSaw it={it} sheet={sheet.data} />
      )}
      <CaseTable it={it} sheet={sheet.data} />
    </>
  ) : (
    <OnItsWay of={sheet}>Fetching the sheet …</OnItsWay>
  )
}
