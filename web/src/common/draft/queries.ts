import { type QueryClient, queryOptions } from '@tanstack/react-query'
import { api, dataOf, requireDone } from '../../api/client'
import type { DraftStart, LifeStage, ProposalKind } from '../../api/codes'
import { Away, failure } from '../../api/problem'
import type { Draft, Effects } from '../../api/types'
import type { SheetFile } from './sheetFile'

export const draftsQuery = queryOptions({
  queryKey: ['drafts'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/drafts', { signal })),
})

/** The ways in which a number can be taken, which never change while the server runs. */
export const waysQuery = queryOptions({
  queryKey: ['ways'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/measuring-ways', { signal })),
  staleTime: Number.POSITIVE_INFINITY,
})

export const draftQuery = (draftId: string) =>
  queryOptions({
    queryKey: ['drafts', draftId],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/drafts/{draftId}', { params: { path: { draftId } }, signal })),
  })

export const draftDifferencesQuery = (draftId: string, revision: number) =>
  queryOptions({
    queryKey: ['drafts', draftId, 'differences', revision],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/drafts/{draftId}/differences', { params: { path: { draftId } }, signal })),
  })

export const draftSeasonQuery = (draftId: string, revision: number, stage: LifeStage) =>
  queryOptions({
    queryKey: ['drafts', draftId, 'season', revision, stage],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/drafts/{draftId}/season', {
          params: { path: { draftId }, query: { stage } },
          signal,
        }),
      ),
    staleTime: Number.POSITIVE_INFINITY,
  })

/** Fetches anew all that a draft's end changes, and nothing of the draft itself, which is no longer there. */
export async function draftEnded(client: QueryClient, draftId: string): Promise<void> {
  const own = (key: readonly unknown[]) => key[0] === 'drafts' && key[1] === draftId
  client.removeQueries({ predicate: (query) => own(query.queryKey), type: 'inactive' })
  await client.invalidateQueries({ predicate: (query) => !own(query.queryKey) })
}

/** Begins a draft; the answer is the one that is there in the end. */
export async function begin(body: {
  readonly from: DraftStart
  readonly versionId?: string
  readonly groupId?: string
  readonly title?: string
  readonly region?: string
}): Promise<Draft> {
  return dataOf(
    await api.PUT('/api/drafts/{draftId}', {
      params: { path: { draftId: crypto.randomUUID() } },
      body,
    }),
  )
}

const AS_IT_IS = {
  headers: { 'content-type': 'application/octet-stream' },
  bodySerializer: (body: unknown) => body as never,
}

/** Begins a draft with a file. */
export async function sendSheet(file: File): Promise<Draft> {
  return dataOf(
    await api.PUT('/api/drafts/{draftId}/file', {
      params: { path: { draftId: crypto.randomUUID() } },
      ...AS_IT_IS,
      body: file as never, // as it is; the document knows no type for bytes
    }),
  )
}

/** Takes over what verified trees would change of one character. */
export async function takeProposal(
  draftId: string,
  body: {
    readonly surveyId: string
    readonly character: string
    readonly kind: ProposalKind
  },
): Promise<Draft> {
  return dataOf(await api.PUT('/api/drafts/{draftId}/proposals', { params: { path: { draftId } }, body }))
}

/** Takes the profiles of a table over. */
export async function sendMatrix(draftId: string, file: File): Promise<Draft> {
  return dataOf(
    await api.PUT('/api/drafts/{draftId}/matrix', {
      params: { path: { draftId } },
      ...AS_IT_IS,
      body: file as never,
    }),
  )
}

export async function sendChange(
  draftId: string,
  change: { readonly revision: number; readonly sheet: SheetFile },
): Promise<Draft> {
  return dataOf(
    await api.PUT('/api/drafts/{draftId}/sheet', {
      params: { path: { draftId } },
      body: { revision: change.revision, sheet: change.sheet as never },
    }),
  )
}

export async function saveVersion(draftId: string, body: { readonly note: string; readonly over?: string }) {
  return dataOf(await api.PUT('/api/drafts/{draftId}/version', { params: { path: { draftId } }, body }))
}

export async function discard(draftId: string): Promise<void> {
  requireDone(await api.DELETE('/api/drafts/{draftId}', { params: { path: { draftId } } }))
}

/** What would become of the calls on record; `tell` hears how far it has come, the last time with what came out. */
export async function readEffects(
  draftId: string,
  signal: AbortSignal,
  tell: (effects: Effects) => void,
): Promise<void> {
  let rest = ''
  let ended = false
  const hear = (text: string) => {
    const lines = (rest + text).split('\n')
    rest = lines.pop() ?? ''
    for (const line of lines) {
      const effects = JSON.parse(line) as Effects
      ended = effects.counts !== undefined && effects.counts !== null
      tell(effects)
    }
  }
  const { data, error, response } = await api.GET('/api/drafts/{draftId}/effects', {
    params: { path: { draftId } },
    parseAs: 'stream',
    signal,
  })
  if (!response.ok || !data) throw failure(response.status, error)
  const reader = (data as unknown as ReadableStream<BufferSource>)
    .pipeThrough(new TextDecoderStream())
    .getReader()
  try {
    for (let part = await reader.read(); !part.done; part = await reader.read()) hear(part.value)
  } catch (broken) {
    if (signal.aborted) throw broken
    throw new Away()
  }
  if (!ended)
    throw new Error('The server stopped before every call was read. Nothing was changed; try it again.')
}
