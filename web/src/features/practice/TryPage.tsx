import { useParams } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { type Try, useTries } from '../../common/practice/practiceStore'
import { useWaitingPractice } from '../../common/practice/useSending'
import { Notice } from '../../ui/Notice'
import { PageTitle } from '../../ui/PageTitle'
import { PracticeBar } from './PracticeBar'
import { TryBench } from './TryBench'
import { TryResult } from './TryResult'
import { usePracticeTree } from './usePracticeTree'

/** A practice tree: read first, and what became of it once it is called. */
export function TryPage() {
  const { tryId = '' } = useParams()
  const observer = useObserver().callSign
  const one = useTries(observer).find((other) => other.id === tryId)
  const { refused } = useWaitingPractice(observer)
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <PageTitle>Practice: a tree</PageTitle>
      <PracticeBar />
      {refused && <Notice tone="wrong">{refused}</Notice>}
      {one ? (
        <Standing key={one.id} one={one} />
      ) : (
        <div className="p-4">
          <Notice tone="wrong">
            This device knows no such practice tree. It was taken up on another one, or long ago. Take up
            another from “My practice”.
          </Notice>
        </div>
      )}
    </main>
  )
}

function Standing({ one }: { readonly one: Try }) {
  const standing = usePracticeTree(one)
  if (standing instanceof Error) {
    return (
      <div className="p-4">
        <Notice tone="wrong">{wordsOf(standing)}</Notice>
      </div>
    )
  }
  if (!standing) {
    return (
      <p role="status" className="p-4">
        Drawing the tree …
      </p>
    )
  }
  return standing.result ? (
    <TryResult one={one} standing={standing} result={standing.result} />
  ) : (
    <TryBench one={one} standing={standing} />
  )
}
