import { queryOptions } from '@tanstack/react-query'
import { api, dataOf, requireDone } from '../../api/client'
import type { Tier } from '../../api/codes'
import type { Circumstances, NewDetermination } from '../../api/types'
import type { Unsent } from './unsent'

const LONGEST_PROMPT = 30 // seconds; what takes no longer counts as read when it arrives

export const todayQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'today'],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/today', { params: { path: { surveyId } }, signal })),
    refetchInterval: (query) => (query.state.data?.unplayed ? 3000 : 60_000),
  })

export const benchQuery = (surveyId: string, treeId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'trees', treeId, 'bench'],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/trees/{treeId}/bench', {
          params: { path: { surveyId, treeId } },
          signal,
        }),
      ),
    refetchInterval: 5000, // the same observer may work on a second device
  })

/** Hands what was entered to the server; a reading tells how long it waited here. */
export async function sendEntered({ surveyId, treeId, id, entered, at }: Unsent) {
  const path = { surveyId, treeId }
  switch (entered.kind) {
    case 'reading': {
      const seconds = Math.floor((Date.now() - at) / 1000)
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/readings/{readingId}', {
          params: {
            path: { ...path, readingId: id },
            query: seconds > LONGEST_PROMPT ? { heldBackSeconds: seconds } : {},
          },
          body: entered.reading,
        }),
      )
    }
    case 'mark':
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/gate/{markId}', {
          params: { path: { ...path, markId: id } },
          body: { item: entered.item, mark: entered.mark },
        }),
      )
    default:
      return dataOf(
        await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/wounding-caution', { params: { path } }),
      )
  }
}

export async function sendGroup(surveyId: string, treeId: string, groupId: string) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/group', {
      params: { path: { surveyId, treeId } },
      body: { groupId },
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

/** Sends a photo as it is; the id is made once, so that a retry does not keep it twice. */
export async function sendPhoto(surveyId: string, treeId: string, id: string, character: string, file: File) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/photos/{photoId}', {
      params: { path: { surveyId, treeId, photoId: id }, query: { character } },
      body: file as never, // the file itself, whatever the document says of bodies
      bodySerializer: (body) => body as unknown as Blob,
      headers: { 'Content-Type': file.type || 'application/octet-stream' },
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

export async function sendCircumstances(surveyId: string, treeId: string, body: Circumstances) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/circumstances', {
      params: { path: { surveyId, treeId } },
      body,
    }),
  )
}

export async function sendTier(surveyId: string, treeId: string, tier: Tier) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/tier', {
      params: { path: { surveyId, treeId } },
      body: { tier },
    }),
  )
}

/** In which months the tree could be settled; it changes with every reading. */
export const outlookQuery = (surveyId: string, treeId: string, readings: readonly string[]) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'trees', treeId, 'outlook', readings],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/trees/{treeId}/outlook', {
          params: { path: { surveyId, treeId } },
          signal,
        }),
      ),
  })

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

export async function sendDetermination(
  surveyId: string,
  treeId: string,
  id: string,
  body: NewDetermination,
) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/trees/{treeId}/determinations/{determinationId}', {
      params: { path: { surveyId, treeId, determinationId: id } },
      body,
    }),
  )
}
