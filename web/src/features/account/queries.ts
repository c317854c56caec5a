import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'
import { Problem } from '../../api/problem'
import type { Observer } from '../../api/types'

/** Who is signed in; null for nobody. */
export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: async ({ signal }): Promise<Observer | null> => {
    try {
      return dataOf(await api.GET('/api/session', { signal }))
    } catch (error) {
      if (error instanceof Problem && error.status === 401) return null
      throw error
    }
  },
  staleTime: Number.POSITIVE_INFINITY,
})

/** Where another device on the same network reaches this server. */
export const reachQuery = queryOptions({
  queryKey: ['reach'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/reach', { signal })).addresses,
})
