import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'
import type { LifeStage, School } from '../../api/codes'

/** What is asked when taxa are to be parted. */
export type Question = {
  readonly versionId: string
  readonly month: number
  readonly stage: LifeStage
  readonly school: School | undefined
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

/** Through the year; a sheet version never changes, so neither does the answer. */
export const seasonQuery = (
  versionId: string,
  query: { readonly stage: LifeStage; readonly wounding: boolean; readonly school?: School },
) =>
  queryOptions({
    queryKey: ['sheets', versionId, 'season', query],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/sheets/{versionId}/season', {
          params: { path: { versionId }, query },
          signal,
        }),
      ),
    staleTime: Number.POSITIVE_INFINITY,
  })

export const versionsQuery = (groupId: string) =>
  queryOptions({
    queryKey: ['sheets', 'versions', groupId],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/sheets/versions', { params: { query: { groupId } }, signal })),
  })

/** What is different between two versions; neither ever changes. */
export const differencesQuery = (from: string, to: string) =>
  queryOptions({
    queryKey: ['sheets', 'differences', from, to],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/sheets/differences', { params: { query: { from, to } }, signal })),
    staleTime: Number.POSITIVE_INFINITY,
  })
