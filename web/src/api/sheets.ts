import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from './client'
import { kept } from './shelf'

/** A sheet version never changes, so it is asked for once. */
export const sheetQuery = (versionId: string) =>
  queryOptions({
    ...kept,
    queryKey: ['sheets', versionId],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/sheets/{versionId}', { params: { path: { versionId } }, signal })),
    staleTime: Number.POSITIVE_INFINITY,
  })

/** The same as its file, which the browser's core reads. */
export const sheetFileQuery = (versionId: string) =>
  queryOptions({
    ...kept,
    queryKey: ['sheets', versionId, 'file'],
    queryFn: async ({ signal }): Promise<unknown> =>
      dataOf(await api.GET('/api/sheets/{versionId}/file', { params: { path: { versionId } }, signal })),
    staleTime: Number.POSITIVE_INFINITY,
  })
