import { queryOptions } from '@tanstack/react-query'
import { api, dataOf, requireDone } from '../../api/client'
import type { ArchiveRulesSaid, ImportColumn, ImportFile } from '../../api/types'

const LOOK_AGAIN = 400 // milliseconds, while somebody works on it

/** Whether the server still works on a file. */
export function isAtWork(file: ImportFile): boolean {
  return file.state === 'checking' || file.state === 'storing'
}

export const importQuery = (surveyId: string, importId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'imports', importId],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/imports/{importId}', {
          params: { path: { surveyId, importId } },
          signal,
        }),
      ),
    refetchInterval: ({ state }) => (state.data && isAtWork(state.data) ? LOOK_AGAIN : false),
  })

export async function sendFile(surveyId: string, importId: string, file: File): Promise<ImportFile> {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/imports/{importId}', {
      params: { path: { surveyId, importId }, query: { name: file.name } },
      headers: { 'content-type': 'application/octet-stream' },
      body: file as never, // as it is; the document knows no type for bytes
      bodySerializer: (body) => body,
    }),
  )
}

export async function sendColumns(surveyId: string, importId: string, columns: readonly ImportColumn[]) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/imports/{importId}/columns', {
      params: { path: { surveyId, importId } },
      body: { columns: [...columns] },
    }),
  )
}

export async function sendEncoding(surveyId: string, importId: string, encoding: ImportFile['encoding']) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/imports/{importId}/encoding', {
      params: { path: { surveyId, importId } },
      body: { encoding },
    }),
  )
}

export async function storeImport(surveyId: string, importId: string) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/imports/{importId}/stored', {
      params: { path: { surveyId, importId } },
    }),
  )
}

export async function stopImport(surveyId: string, importId: string) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/imports/{importId}/stopped', {
      params: { path: { surveyId, importId } },
    }),
  )
}

export async function forgetImport(surveyId: string, importId: string): Promise<void> {
  requireDone(
    await api.DELETE('/api/surveys/{surveyId}/imports/{importId}', {
      params: { path: { surveyId, importId } },
    }),
  )
}

/** What an observer stored of files, the newest first. */
export const storedQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'imports', 'stored'],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/imports', { params: { path: { surveyId } }, signal })),
  })

export async function takeImportBack(surveyId: string, importId: string) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/imports/{importId}/taken-back', {
      params: { path: { surveyId, importId } },
    }),
  )
}

/** Under what the archive may be used, and what of it is told less exactly. */
export const rulesQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'exchange-rules'],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/exchange-rules', { params: { path: { surveyId } }, signal }),
      ),
  })

export async function sendRules(surveyId: string, body: ArchiveRulesSaid): Promise<void> {
  requireDone(
    await api.PUT('/api/surveys/{surveyId}/exchange-rules', { params: { path: { surveyId } }, body }),
  )
}
