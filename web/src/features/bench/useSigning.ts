import { useMutation, useQueryClient } from '@tanstack/react-query'
import { keep, readKept } from '../../api/kept'
import { useObserver } from '../../api/observer'
import { Problem } from '../../api/problem'
import type { Bench, Determination, NewDetermination } from '../../api/types'
import { benchQuery, sendDetermination } from '../../common/bench/queries'
import { keepReasons } from './reasons'
import { forgetUndo } from './undo'

/** Signs the observer's call, under one id until it is answered, so that a retry does not sign twice. */
export function useSigning(bench: Bench, onSigned: (signed: Determination | undefined) => void) {
  const queries = useQueryClient()
  const observer = useObserver().callSign
  const { surveyId, id: treeId } = bench.tree
  const idKey = `signing.${treeId}`
  return useMutation({
    mutationFn: async (signed: NewDetermination) => {
      const id = readKept(idKey, '') || crypto.randomUUID()
      keep(idKey, id)
      try {
        return await sendDetermination(surveyId, treeId, id, signed)
      } catch (error) {
        if (error instanceof Problem) keep(idKey, undefined)
        throw error
      }
    },
    onSuccess: (answer) => {
      keep(idKey, undefined)
      forgetUndo(observer, treeId)
      keepReasons(treeId, {})
      queries.setQueryData(benchQuery(surveyId, treeId).queryKey, answer)
      queries.invalidateQueries({
        queryKey: ['surveys', surveyId],
        predicate: ({ queryKey }) => queryKey[2] !== 'trees',
      })
      onSigned(answer.determinations.find((one) => one.observer === observer && !one.superseded))
    },
    onError: () => queries.invalidateQueries(benchQuery(surveyId, treeId)),
  })
}
