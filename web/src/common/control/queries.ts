import { queryOptions } from '@tanstack/react-query'
import { api, dataOf, requireDone } from '../../api/client'
import { kept } from '../../api/shelf'
import type { Said } from './lookStore'

export const controlQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['control', surveyId],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/control', { params: { path: { surveyId } }, signal })),
  })

export const cardsQuery = queryOptions({
  ...kept,
  queryKey: ['control-cards'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/control/cards', { signal })),
})

export const treeSaidQuery = (surveyId: string, treeId: string) =>
  queryOptions({
    queryKey: ['control', surveyId, treeId],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/control/trees/{treeId}', {
          params: { path: { surveyId, treeId } },
          signal,
        }),
      ),
  })

/** Approves a tree for control, or takes that back. */
export async function approveTree(
  surveyId: string,
  treeId: string,
  approvalId: string,
  determinationId: string,
  approved: boolean,
): Promise<void> {
  requireDone(
    await api.PUT('/api/surveys/{surveyId}/control/trees/{treeId}/approvals/{approvalId}', {
      params: { path: { surveyId, treeId, approvalId } },
      body: { determinationId, approved },
    }),
  )
}

/** Hands what was said at a tree to the server; answers with what that says of a look. */
export async function sendSaid({ id, surveyId, said }: Said): Promise<string | undefined> {
  if (said.kind === 'look') {
    const result = dataOf(
      await api.PUT('/api/surveys/{surveyId}/control/looks/{lookId}', {
        params: { path: { surveyId, lookId: id } },
        body: said.body,
      }),
    )
    return result.verdict
  }
  requireDone(
    await api.PUT('/api/surveys/{surveyId}/control/works/{workId}', {
      params: { path: { surveyId, workId: id } },
      body: said.body,
    }),
  )
  return undefined
}
