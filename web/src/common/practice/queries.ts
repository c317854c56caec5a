import { queryOptions } from '@tanstack/react-query'
import { api, dataOf, requireDone } from '../../api/client'
import { kept } from '../../api/shelf'
import { madeOf, type Try } from './practiceStore'

export const practiceQuery = queryOptions({
  ...kept,
  queryKey: ['practice'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/practice', { signal })),
})

export const crewQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['practice', 'crew', surveyId],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/practice', { params: { path: { surveyId } }, signal })),
  })

/** Sets what a survey asks to be practised in a group, from now on. */
export async function setRule(surveyId: string, groupId: string, needed: number, of: number) {
  requireDone(
    await api.PUT('/api/surveys/{surveyId}/practice/{groupId}', {
      params: { path: { surveyId, groupId } },
      body: { needed, of },
    }),
  )
}

/** Hands a try that was called to the server. */
export async function sendTry(one: Try) {
  if (!one.called) throw new Error('a tree that was not called is not sent')
  return dataOf(
    await api.PUT('/api/practice/tries/{tryId}', {
      params: { path: { tryId: one.id } },
      body: {
        ...madeOf(one),
        sheetVersionId: one.versionId,
        setId: one.setId ?? null,
        begunAt: new Date(one.begunAt).toISOString(),
        endedAt: new Date(one.called.at).toISOString(),
        belief: one.called.belief ?? null,
      },
    }),
  )
}
