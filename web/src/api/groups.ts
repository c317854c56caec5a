import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from './client'
import { kept } from './shelf'
import type { Group, Survey } from './types'

export const groupsQuery = queryOptions({
  ...kept,
  queryKey: ['groups'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/sheets', { signal })),
  staleTime: 60_000,
})

/** The groups that a survey calls: those that it names, or all where it names none. */
export function groupsOf({ groups }: Survey, all: readonly Group[]): readonly Group[] {
  return groups.length === 0 ? all : all.filter((one) => groups.includes(one.groupId))
}
