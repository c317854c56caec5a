import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import { benchQuery } from '../../common/bench/queries'
import { Notice } from '../../ui/Notice'
import { OpenBench } from './OpenBench'

/** Fetches one tree and the sheet it is read on. */
export function BenchPage() {
  const { surveyId = '', treeId = '' } = useParams()
  const bench = useQuery(benchQuery(surveyId, treeId))
  const sheet = useQuery({
    ...sheetQuery(bench.data?.sheetVersionId ?? ''),
    enabled: bench.data !== undefined,
  })
  const failed = bench.error ?? sheet.error
  if (failed && !bench.data) {
    return (
      <main className="p-4">
        <Notice tone="wrong">{wordsOf(failed)}</Notice>
      </main>
    )
  }
  if (!bench.data || !sheet.data) {
    return (
      <main className="p-4">
        <p role="status">{bench.failureReason ? wordsOf(bench.failureReason) : 'Fetching the tree …'}</p>
      </main>
    )
  }
  return <OpenBench key={`${treeId} ${sheet.data.versionId}`} bench={bench.data} sheet={sheet.data} />
}
