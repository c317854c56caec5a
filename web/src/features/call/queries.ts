import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'
import type { Circumstances, NewDetermination } from '../../api/types'
import type { Unsent } from './outbox'

export const surveysQuery = queryOptions({
  queryKey: ['surveys'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/surveys', { signal })),
})

export const treesQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'trees'],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/trees', { params: { path: { surveyId } }, signal })),
  })

export const benchQuery = (surveyId: string, treeId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'trees', treeId, 'bench'],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/trees/{treeId}/bench', {
          params: { path: { surveyId, treeId } },
          signal,
        }),
      ),
  })

/** A sheet version never changes, so it is asked for once. */
export const sheetQuery = (versionId: string) =>
  queryOptions({
    queryKey: ['sheets', versionId],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/sheets/{versionId}', { params: { path: { versionId } }, signal })),
    staleTime: Number.POSITIVE_INFINITY,
  })

export async function sendReading({ surveyId, treeId, id, reading }: Unsent) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/readings/{readingId}', {
      params: { path: { surveyId, treeId, readingId: id } },
      body: reading,
    }),
  )
}

export async function sendCircumstances(surveyId: string, treeId: string, body: Circumstances) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/circumstances', {
      params: { path: { surveyId, treeId } },
      body,
    }),
  )
}

export async function sendTier(surveyId: string, treeId: string, tier: string) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/tier', {
      params: { path: { surveyId, treeId } },
      body: { tier },
    }),
  )
}

/** In which months the tree could be settled; it changes with every reading. */
export const outlookQuery = (surveyId: string, treeId: string, readings: readonly string[]) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'trees', treeId, 'outlook', readings],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/trees/{treeId}/outlook', {
          params: { path: { surveyId, treeId } },
          signal,
        }),
      ),
  })

export async function sendDetermination(
  surveyId: string,
  treeId: string,
  id: string,
  body: NewDetermination,
) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/determinations/{determinationId}', {
      params: { path: { surveyId, treeId, determinationId: id } },
      body,
    }),
  )
}
