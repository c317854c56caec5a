import { queryOptions } from '@tanstack/react-query'
import { api, dataOf, requireDone } from '../../api/client'

export const lessonsQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'lessons'],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/lessons', { params: { path: { surveyId } }, signal })),
  })

export const proposalsQuery = (surveyId: string, groupId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'lessons', groupId],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/lessons/{groupId}', {
          params: { path: { surveyId, groupId } },
          signal,
        }),
      ),
  })

/** Adds a file of specimens of a group, each with its truth. */
export async function addVerified(groupId: string, file: File): Promise<void> {
  requireDone(
    await api.PUT('/api/verified-files/{fileId}', {
      params: { path: { fileId: crypto.randomUUID() }, query: { groupId, name: file.name } },
      headers: { 'content-type': 'application/octet-stream' },
      bodySerializer: (body: unknown) => body as never,
      body: file as never, // as it is; the document knows no type for bytes
    } as never),
  )
}

/** Takes such a file out. */
export async function removeVerified(fileId: string): Promise<void> {
  requireDone(
    await api.DELETE('/api/verified-files/{fileId}', {
      params: { path: { fileId } },
    }),
  )
}
