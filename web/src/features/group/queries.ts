import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'

/** What is asked when taxa are to be parted. */
export type Question = {
  readonly versionId: string
  readonly month: number
  readonly stage: string
  readonly school: string | undefined
  readonly taxa: readonly string[]
}

/** How well each character parts some taxa; a sheet version never changes, so neither does the answer. */
export const separationQuery = ({ versionId, month, stage, school, taxa }: Question) =>
  queryOptions({
    queryKey: ['sheets', versionId, 'separation', month, stage, school ?? '', taxa],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/sheets/{versionId}/separation', {
          params: {
            path: { versionId },
            query: { month, stage, taxa: [...taxa], ...(school ? { school } : {}) },
          },
          signal,
        }),
      ),
    staleTime: Number.POSITIVE_INFINITY,
  })
