import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'
import { keep, readKept } from '../../api/kept'
import { SIGNED_IN } from '../../api/shelf'
import type { Observer } from '../../api/types'

/** Who is signed in; null for nobody. This browser remembers it, so that a page opens without a network too. */
export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: async ({ signal }): Promise<Observer | null> => {
    const answer = await api.GET('/api/session', { signal })
    const observer = answer.response.status === 204 ? null : dataOf(answer)
    rememberSignedIn(observer)
    return observer
  },
  initialData: () => readKept<Observer | null>(SIGNED_IN, null) ?? undefined,
  initialDataUpdatedAt: 0,
  staleTime: 1000 * 60 * 60,
})

/** Remembers who is signed in here; null: nobody is. What is told once, at signing in, is not told again by a reload. */
export function rememberSignedIn(observer: Observer | null): void {
  keep(SIGNED_IN, observer ? { ...observer, notices: [] } : undefined)
}

/** Where another device on the same network reaches this server, and what it is to trust. */
export const reachQuery = queryOptions({
  queryKey: ['reach'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/reach', { signal })),
})

/** The observer's tokens for scripts, without their secrets. */
export const tokensQuery = queryOptions({
  queryKey: ['tokens'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/tokens', { signal })),
})
