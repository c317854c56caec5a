import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'

export const fieldCasesQuery = queryOptions({
  queryKey: ['practice', 'cases'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/practice/cases', { signal })),
})

export const setsQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['practice', 'sets', surveyId],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/practice-sets', { params: { path: { surveyId } }, signal }),
      ),
  })

export const setQuery = (surveyId: string, setId: string) =>
  queryOptions({
    queryKey: ['practice', 'sets', surveyId, setId],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/practice-sets/{setId}', {
          params: { path: { surveyId, setId } },
          signal,
        }),
      ),
    refetchInterval: 10_000, // others call their trees meanwhile
  })

export async function openSet(surveyId: string, setId: string, groupId: string) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/practice-sets/{setId}', {
      params: { path: { surveyId, setId } },
      body: { groupId },
    }),
  )
}

export async function closeSet(surveyId: string, setId: string) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/practice-sets/{setId}/closed', {
      params: { path: { surveyId, setId } },
    }),
  )
}
