import { useParams } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { useAsItStands } from '../../common/bench/asItStands'
import { Notice } from '../../ui/Notice'
import { OpenBench } from './OpenBench'

/** One tree as it stands on this device. */
export function BenchPage() {
  const { surveyId = '', treeId = '' } = useParams()
  const stands = useAsItStands(useObserver().callSign, surveyId, treeId)
  if (stands instanceof Error) {
    return (
      <main className="p-4">
        <Notice tone="wrong">{wordsOf(stands)}</Notice>
      </main>
    )
  }
  if (!stands) {
    return (
      <main className="p-4">
        <p role="status">Fetching the tree …</p>
      </main>
    )
  }
  return <OpenBench key={`${treeId} ${stands.sheet.versionId}`} stands={stands} />
}
