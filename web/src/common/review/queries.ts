import { keepPreviousData, queryOptions, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { fetchAnew } from '../../api/anew'
import { api, dataOf, requireDone } from '../../api/client'
import type { CaseReason, ReviewOutcome } from '../../api/codes'
import { kept } from '../../api/shelf'
import type { ReviewCase } from '../../api/types'

/** Marks what stands by a settled case as the truth, or takes that back. */
export async function sendVerification(
  surveyId: string,
  caseId: string,
  verified: boolean,
): Promise<ReviewCase> {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/review/{caseId}/verifications/{verificationId}', {
      params: { path: { surveyId, caseId, verificationId: crypto.randomUUID() } },
      body: { verified },
    }),
  )
}

/** What of the queue is shown; nothing said: everything. */
export type Filter = {
  readonly settled?: boolean
  readonly mine?: boolean
  readonly group?: string
  readonly plot?: string
  readonly reason?: CaseReason
  readonly days?: number
  readonly from?: number
}

const SELDOM = 60_000 // milliseconds; news come by themselves, unless something stands between

export const queueQuery = (surveyId: string, filter: Filter) =>
  queryOptions({
    ...kept,
    queryKey: ['surveys', surveyId, 'review', 'queue', filter],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/review', {
          params: { path: { surveyId }, query: filter },
          signal,
        }),
      ),
    placeholderData: keepPreviousData,
    refetchInterval: SELDOM,
  })

export const caseQuery = (surveyId: string, caseId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'review', 'case', caseId],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/review/{caseId}', {
          params: { path: { surveyId, caseId } },
          signal,
        }),
      ),
    refetchInterval: SELDOM,
  })

/** The latest review of a tree; null: it never had one. */
export const caseOfTreeQuery = (surveyId: string, treeId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'review', 'tree', treeId],
    queryFn: async ({ signal }): Promise<ReviewCase | null> => {
      const answer = await api.GET('/api/surveys/{surveyId}/trees/{treeId}/review', {
        params: { path: { surveyId, treeId } },
        signal,
      })
      requireDone(answer)
      return answer.data ?? null
    },
    refetchInterval: SELDOM,
  })

export async function sendTaken(surveyId: string, caseId: string, up: boolean): Promise<ReviewCase> {
  const params = { path: { surveyId, caseId } }
  const path = '/api/surveys/{surveyId}/review/{caseId}/taken'
  return dataOf(up ? await api.PUT(path, { params }) : await api.DELETE(path, { params }))
}

export async function sendWord(
  surveyId: string,
  caseId: string,
  wordId: string,
  body: { character?: string | null; body: string },
): Promise<ReviewCase> {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/review/{caseId}/words/{wordId}', {
      params: { path: { surveyId, caseId, wordId } },
      body,
    }),
  )
}

export async function sendDecision(
  surveyId: string,
  caseId: string,
  decisionId: string,
  body: {
    outcome: ReviewOutcome
    stands?: string | null
    taxon?: string | null
    reasons: string
    version: number
  },
): Promise<ReviewCase> {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/review/{caseId}/decisions/{decisionId}', {
      params: { path: { surveyId, caseId, decisionId } },
      body,
    }),
  )
}

/** Fetches the reviews of a survey anew as soon as the server says that one changed; without news they are asked for. */
export function useNews(surveyId: string | undefined): void {
  const queries = useQueryClient()
  useEffect(() => {
    if (!surveyId) return
    const news = new EventSource(`/api/surveys/${surveyId}/review/news`)
    const changed = () => void fetchAnew(queries, ['surveys', surveyId, 'review'])
    news.addEventListener('case', changed)
    // what changed before the news came through, or while they stood still here or at the server
    news.addEventListener('open', changed)
    news.addEventListener('again', changed)
    return () => news.close()
  }, [surveyId, queries])
}

/** The tree of a case as it was entered: where it stands, and how thick it is. */
export const caseTreeQuery = (surveyId: string, treeId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'review', 'tree', treeId],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/trees/{treeId}', {
          params: { path: { surveyId, treeId } },
          signal,
        }),
      ),
  })

/** The print of a settled case's file. */
export const caseFileQuery = (surveyId: string, caseId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'review', 'file', caseId],
    queryFn: async ({ signal }) => {
      const file = dataOf(
        await api.GET('/api/surveys/{surveyId}/review/{caseId}/file', {
          params: { path: { surveyId, caseId } },
          signal,
        }),
      ) as unknown as { readonly sha256: string }
      return file.sha256
    },
  })
