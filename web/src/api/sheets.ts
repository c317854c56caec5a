import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from './client'

/** A sheet version never changes, so it is asked for once. */
export const sheetQuery = (versionId: string) =>
  queryOptions({
    queryKey: ['sheets', versionId],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/sheets/{versionId}', { params: { path: { versionId } }, signal })),
    staleTime: Number.POSITIVE_INFINITY,
  })
