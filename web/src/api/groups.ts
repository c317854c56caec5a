import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from './client'

export const groupsQuery = queryOptions({
  queryKey: ['groups'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/sheets', { signal })),
  staleTime: 60_000,
})
