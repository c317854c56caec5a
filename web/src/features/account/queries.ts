import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'
import type { Observer } from '../../api/types'

/** Who is signed in; null for nobody. */
export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: async ({ signal }): Promise<Observer | null> => {
    const answer = await api.GET('/api/session', { signal })
    return answer.response.status === 204 ? null : dataOf(answer)
  },
  staleTime: Number.POSITIVE_INFINITY,
})

/** Where another device on the same network reaches this server. */
export const reachQuery = queryOptions({
  queryKey: ['reach'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/reach', { signal })).addresses,
})

/** The observer's tokens for scripts, without their secrets. */
export const tokensQuery = queryOptions({
  queryKey: ['tokens'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/tokens', { signal })),
})
