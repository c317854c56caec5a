import { queryOptions } from '@tanstack/react-query'
import { api, dataOf, requireDone } from '../../api/client'
import type { PlotBody, TreeBody } from '../../api/types'

export const plotsQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'plots'],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/plots', { params: { path: { surveyId } }, signal })),
  })

export const plotQuery = (surveyId: string, plotId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'plots', plotId],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/plots/{plotId}', {
          params: { path: { surveyId, plotId } },
          signal,
        }),
      ),
  })

export const plotTreesQuery = (surveyId: string, plotId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'plots', plotId, 'trees'],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/plots/{plotId}/trees', {
          params: { path: { surveyId, plotId } },
          signal,
        }),
      ),
    refetchInterval: 15_000, // others of the crew record here too
  })

export const historyQuery = (surveyId: string, treeId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'history', treeId],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/trees/{treeId}/history', {
          params: { path: { surveyId, treeId } },
          signal,
        }),
      ),
    staleTime: 0,
  })

export const taxaQuery = queryOptions({
  queryKey: ['taxa'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/taxa', { signal })),
  staleTime: Number.POSITIVE_INFINITY,
})

export async function sendPlot(surveyId: string, plotId: string, body: PlotBody) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/plots/{plotId}', { params: { path: { surveyId, plotId } }, body }),
  )
}

export async function sendPlotClosed(surveyId: string, plotId: string, closed: boolean) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/plots/{plotId}/closed', {
      params: { path: { surveyId, plotId } },
      body: { closed },
    }),
  )
}

export async function sendTree(surveyId: string, plotId: string, treeId: string, body: TreeBody) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/plots/{plotId}/trees/{treeId}', {
      params: { path: { surveyId, plotId, treeId } },
      body,
    }),
  )
}

/** Strikes a tree that was recorded by mistake. */
export async function strikeTree(surveyId: string, treeId: string): Promise<void> {
  requireDone(
    await api.DELETE('/api/surveys/{surveyId}/trees/{treeId}', {
      params: { path: { surveyId, treeId } },
    }),
  )
}
