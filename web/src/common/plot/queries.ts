import { keepPreviousData, queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'
import { kept } from '../../api/shelf'
import type { PlotBody } from '../../api/types'
import { plotKey } from './keys'

export const plotsQuery = (surveyId: string) =>
  queryOptions({
    ...kept,
    queryKey: ['surveys', surveyId, 'plots'],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/plots', { params: { path: { surveyId } }, signal })),
  })

export const plotQuery = (surveyId: string, plotId: string) =>
  queryOptions({
    ...kept,
    queryKey: plotKey(surveyId, plotId),
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
    ...kept,
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
  ...kept,
  queryKey: ['taxa'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/taxa', { signal })),
  staleTime: Number.POSITIVE_INFINITY,
})

export async function sendPlot(surveyId: string, plotId: string, body: PlotBody) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/plots/{plotId}', { params: { path: { surveyId, plotId } }, body }),
  )
}

/** Trees of a survey by what is typed of their plot and tag. */
export const foundTreesQuery = (surveyId: string, find: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'found', find],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/trees', {
          params: { path: { surveyId }, query: { find } },
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
  })
