import { queryOptions } from '@tanstack/react-query'
import { api, dataOf, requireDone } from '../../api/client'
import { limits } from '../../api/limits'
import { Away, Problem } from '../../api/problem'
import { kept } from '../../api/shelf'
import type { BenchAnswer } from '../../api/types'
import { Ages } from './ages'
import { freshTree } from './freshTree'
import { fileOf } from './outboxFiles'
import type { OnCall, Unsent } from './unsent'

const NOT_FOUND = 404
export const todayQuery = (surveyId: string) =>
  queryOptions({
    ...kept,
    queryKey: ['surveys', surveyId, 'today'],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/today', { params: { path: { surveyId } }, signal })),
    refetchInterval: (query) => (query.state.data?.unplayed ? 3000 : 60_000),
  })

export const benchQuery = (surveyId: string, treeId: string) =>
  queryOptions({
    ...kept,
    queryKey: ['surveys', surveyId, 'trees', treeId, 'bench'],
    queryFn: async ({ signal }): Promise<BenchAnswer> => {
      try {
        return dataOf(
          await api.GET('/api/surveys/{surveyId}/trees/{treeId}/bench', {
            params: { path: { surveyId, treeId } },
            signal,
          }),
        )
      } catch (error) {
        // a tree that was entered here may not have arrived yet
        const fresh = isNotThere(error) ? await freshTree(surveyId, treeId) : undefined
        if (fresh) return fresh
        throw error
      }
    },
    refetchInterval: 5000, // the same observer may work on a second device
  })

function isNotThere(error: unknown): boolean {
  return error instanceof Away || (error instanceof Problem && error.status === NOT_FOUND)
}

const ages = new Ages()

/** For how long something waited here, as the server wants to know it. */
function heldBack(treeId: string, at: number): { heldBackSeconds?: number } {
  const seconds = ages.of(treeId, at, Date.now())
  return seconds > 0 ? { heldBackSeconds: seconds } : {}
}

/** Hands what was entered on a tree's call to the server, which answers how the tree stands then. */
export async function sendOnCall(
  { surveyId, treeId, id, at }: Unsent,
  entered: OnCall,
): Promise<BenchAnswer> {
  const path = { surveyId, treeId }
  switch (entered.kind) {
    case 'reading':
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/readings/{readingId}', {
          params: { path: { ...path, readingId: id }, query: heldBack(treeId, at) },
          body: entered.reading,
        }),
      )
    case 'mark':
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/gate/{markId}', {
          params: { path: { ...path, markId: id } },
          body: { item: entered.item, mark: entered.mark },
        }),
      )
    case 'caution':
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/wounding-caution', { params: { path } }),
      )
    case 'circumstances':
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/circumstances', {
          params: { path, query: heldBack(treeId, at) },
          body: entered.circumstances,
        }),
      )
    case 'tier':
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/tier', {
          params: { path },
          body: { tier: entered.tier },
        }),
      )
    case 'group':
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/group', {
          params: { path },
          body: { groupId: entered.groupId },
        }),
      )
    case 'photo':
      return await sendPhoto({ ...path, photoId: id }, entered.character)
    case 'signature':
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/determinations/{determinationId}', {
          params: { path: { ...path, determinationId: id }, query: heldBack(treeId, at) },
          body: entered.signed,
        }),
      )
  }
}

/** Sends a photo as it is. */
async function sendPhoto(
  path: { surveyId: string; treeId: string; photoId: string },
  character: string,
): Promise<BenchAnswer> {
  const file = await fileOf(path.photoId)
  if (!file) {
    throw new Problem(
      410,
      'about:blank',
      'This photo is not on this device any more, since the browser threw it away. Everything else is kept. Drop it here, and take it again if you can.',
    )
  }
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/photos/{photoId}', {
      params: { path, query: { character } },
      body: file as never, // the file itself, whatever the document says of bodies
      bodySerializer: (body) => body as unknown as Blob,
      headers: { 'Content-Type': file.type || 'application/octet-stream' },
    }),
  )
}

/** Tells the server that this device reckoned otherwise. */
export async function sendFigureDifference(surveyId: string, treeId: string, where: string): Promise<void> {
  requireDone(
    await api.POST('/api/surveys/{surveyId}/trees/{treeId}/figure-differences', {
      params: { path: { surveyId, treeId } },
      body: { where: where.slice(0, limits.FigureDifference.where.longest) },
    }),
  )
}

/** Goes on with the newest version of the sheet. */
export async function moveToNewest(surveyId: string, treeId: string) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/newest-sheet', {
      params: { path: { surveyId, treeId } },
    }),
  )
}

/** Where a photo's file is. */
export function photoAddress(surveyId: string, treeId: string, photoId: string): string {
  return `/api/surveys/${surveyId}/trees/${treeId}/photos/${photoId}`
}

/** Keeps the observer's own note on a character; an empty one forgets it. */
export async function sendMemoryAid(groupId: string, characterId: string, body: string): Promise<void> {
  requireDone(
    await api.PUT('/api/memory-aids/{groupId}/{characterId}', {
      params: { path: { groupId, characterId } },
      body: { body },
    }),
  )
}

/** Where to go on to from a tree; asked anew after each signature. */
export const nextTreeQuery = (surveyId: string, treeId: string, after: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'trees', treeId, 'next', after],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/trees/{treeId}/next', {
          params: { path: { surveyId, treeId } },
          signal,
        }),
      ),
  })
