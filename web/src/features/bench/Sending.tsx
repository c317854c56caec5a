import { notifyManager, type QueryClient, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useObserver } from '../../api/observer'
import { sendElsewhere } from '../../common/bench/handIn'
import { outbox, type Send } from '../../common/bench/outbox'
import { benchQuery, sendOnCall } from '../../common/bench/queries'
import type { Unsent } from '../../common/bench/unsent'
import { useTelling } from '../../common/control/useTelling'
import { useSendPractice } from '../../common/practice/useSending'

// listeners hear of new data before the page is drawn, so that the Bench draws an answer and the emptied outbox in one go
notifyManager.setScheduler(queueMicrotask)

/** Sends the outbox, and what was practised, whatever page is open, and puts what the server answers where the pages find it. */
export function Sending() {
  const observer = useObserver().callSign
  const queries = useQueryClient()
  useSendPractice(observer)
  useTelling(observer)
  useEffect(
    () =>
      outbox.start(observer, senderTo(queries), async ({ surveyId, treeId }) => {
        if (treeId !== '') await queries.refetchQueries(benchQuery(surveyId, treeId))
      }),
    [observer, queries],
  )
  return null
}

function senderTo(queries: QueryClient): Send {
  return async (unsent: Unsent) => {
    const { surveyId, treeId, entered } = unsent
    switch (entered.kind) {
      case 'aid':
        await sendElsewhere(unsent, entered)
        return () => void queries.invalidateQueries(benchQuery(surveyId, treeId))
      case 'tree':
      case 'closed':
        await sendElsewhere(unsent, entered)
        return () => void queries.invalidateQueries({ queryKey: ['surveys', surveyId] })
      default: {
        const answer = await sendOnCall(unsent, entered)
        const bench = benchQuery(surveyId, treeId)
        await queries.cancelQueries(bench)
        return () => {
          queries.setQueryData(bench.queryKey, answer)
          if (entered.kind === 'signature') {
            void queries.invalidateQueries({
              queryKey: ['surveys', surveyId],
              predicate: ({ queryKey }) => queryKey[2] !== 'trees',
            })
          }
        }
      }
    }
  }
}
