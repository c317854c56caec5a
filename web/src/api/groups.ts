import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from './client'
import { kept } from './shelf'

export const groupsQuery = queryOptions({
  ...kept,
  queryKey: ['groups'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/sheets', { signal })),
  staleTime: 60_000,
})
