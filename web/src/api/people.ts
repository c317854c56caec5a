import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from './client'

/** Everybody who may sign in; for leads. */
export const peopleQuery = queryOptions({
  queryKey: ['people'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/people', { signal })),
})
