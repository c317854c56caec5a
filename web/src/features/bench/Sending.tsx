import { notifyManager, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useObserver } from '../../api/observer'
import { outbox } from '../../common/bench/outbox'
import { benchQuery, sendEntered } from '../../common/bench/queries'
import type { Unsent } from '../../common/bench/unsent'

// listeners hear of new data before the page is drawn, so that the Bench draws an answer and the emptied outbox in one go
notifyManager.setScheduler(queueMicrotask)

/** Sends the outbox whatever page is open, and puts what the server answers where the Bench finds it. */
export function Sending() {
  const observer = useObserver().callSign
  const queries = useQueryClient()
  useEffect(
    () =>
      outbox.start(
        observer,
        async (unsent: Unsent) => {
          const answer = await sendEntered(unsent)
          const bench = benchQuery(unsent.surveyId, unsent.treeId)
          await queries.cancelQueries(bench)
          return () => queries.setQueryData(bench.queryKey, answer)
        },
        ({ surveyId, treeId }) => queries.refetchQueries(benchQuery(surveyId, treeId)),
      ),
    [observer, queries],
  )
  return null
}
