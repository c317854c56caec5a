import { experimental_createQueryPersister, type PersistedQuery } from '@tanstack/query-persist-client-core'
import { hashKey, type QueryClient, type QueryKey } from '@tanstack/react-query'
import { createStore, delMany, get, set, setMany } from 'idb-keyval'
import { readKept } from './kept'
import type { Observer } from './types'

/** Where this browser remembers who is signed in, so that a page opens without a network too. */
export const SIGNED_IN = 'signed-in'

const LONGEST = 1000 * 60 * 60 * 24 * 60 // milliseconds; what was not fetched for two months is let go
const PREFIX = 'tree-data'

const store = createStore('goldthistle-along', 'answers') // opened when it is first asked
const written = new Map<string, unknown>()

/** Each observer of a shared tablet has a shelf of their own. */
function place(key: string): string {
  return `${readKept<Observer | null>(SIGNED_IN, null)?.id ?? 'nobody'}/${key}`
}

/**
 * Keeps answers of the server on this device, each by itself: a page shows what was kept at once, and what is new as soon as
 * it comes. A device that keeps nothing (a private window, no room) works as if there were nothing kept.
 */
const persister = experimental_createQueryPersister<PersistedQuery>({
  storage: {
    getItem: async (key) => {
      try {
        const query = await get<PersistedQuery>(place(key), store)
        if (query) written.set(key, query.state.data)
        return query
      } catch {
        return undefined
      }
    },
    setItem: async (key, query) => {
      if (query.state.data === undefined) return // it is told again once it is there
      if (written.get(key) === query.state.data) return // the same answer as before is not written again
      try {
        await set(place(key), query, store)
        written.set(key, query.state.data)
      } catch {
        written.delete(key) // no room: it is asked for again
      }
    },
    removeItem: async (key) => {
      written.delete(key)
      try {
        await delMany([place(key)], store)
      } catch {
        // there is nothing to remove where nothing can be kept
      }
    },
  },
  serialize: (query) => query,
  deserialize: (query) => query,
  maxAge: LONGEST,
  prefix: PREFIX,
  filters: { predicate: ({ meta }) => meta?.kept === true },
})

/** For the options of queries whose answers are kept. */
export const kept = { meta: { kept: true } }

/** Looks on the shelf before the server is asked, and puts there what it answers. */
export const persist = persister.persisterFn

/** Keeps every answer that is to be kept, whichever way it came: asked for, or with something that was handed in. */
export function keepAnswers(queries: QueryClient): void {
  queries.getQueryCache().subscribe((event) => {
    if (event.type === 'updated' && event.action.type === 'success' && event.query.meta?.kept === true) {
      void persister.persistQuery(event.query)
    }
  })
}

/** Puts answers on the shelf as if their pages had asked for them; throws where there is no room. */
export async function shelve(answers: readonly (readonly [QueryKey, unknown])[]): Promise<void> {
  const now = Date.now()
  await setMany(
    answers.map(([queryKey, data]) => {
      const queryHash = hashKey(queryKey)
      const query: PersistedQuery = { buster: '', queryKey, queryHash, state: stateOf(data, now) }
      written.delete(`${PREFIX}-${queryHash}`)
      return [place(`${PREFIX}-${queryHash}`), query]
    }),
    store,
  )
}

function stateOf(data: unknown, dataUpdatedAt: number): PersistedQuery['state'] {
  return {
    data,
    dataUpdatedAt,
    dataUpdateCount: 1,
    error: null,
    errorUpdateCount: 0,
    errorUpdatedAt: 0,
    fetchFailureCount: 0,
    fetchFailureReason: null,
    fetchMeta: null,
    isInvalidated: false,
    status: 'success',
    fetchStatus: 'idle',
  }
}

/** What is kept under a key; undefined: nothing. */
export async function shelved<T>(queryKey: QueryKey): Promise<T | undefined> {
  const query = await get<PersistedQuery>(place(`${PREFIX}-${hashKey(queryKey)}`), store)
  return query?.state.data as T | undefined
}

/** Takes from the shelf what is kept under these keys. */
export async function unshelve(keys: readonly QueryKey[]): Promise<void> {
  await delMany(
    keys.map((key) => {
      written.delete(`${PREFIX}-${hashKey(key)}`)
      return place(`${PREFIX}-${hashKey(key)}`)
    }),
    store,
  )
}
