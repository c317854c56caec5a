import type { QueryClient, QueryKey } from '@tanstack/react-query'

/**
 * Fetches anew what is shown of these keys, since the server has something new to say. What is being fetched for the first time
 * may have been answered before that, and a fetch that is asked for meanwhile joins it: it is asked for once more then.
 */
export async function fetchAnew(queries: QueryClient, queryKey: QueryKey): Promise<void> {
  const first = queries
    .getQueryCache()
    .findAll({ queryKey, fetchStatus: 'fetching' })
    .some(({ state }) => state.data === undefined)
  await queries.invalidateQueries({ queryKey })
  if (first) await queries.invalidateQueries({ queryKey })
}
