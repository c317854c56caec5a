import { queryOptions } from '@tanstack/react-query'
import { api, dataOf, requireDone } from '../../api/client'
import type { NewSeason, SeasonFigure, SeasonPlan } from '../../api/types'

export const seasonQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'season'],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/season', { params: { path: { surveyId } }, signal })),
  })

/** The trees behind a figure. */
export const treesOfFigureQuery = (surveyId: string, figure: SeasonFigure, of: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'season', figure, of],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/season/trees', {
          params: { path: { surveyId }, query: { figure, of } },
          signal,
        }),
      ),
  })

/** Where the trees behind a figure are listed. */
export function treesOf(figure: SeasonFigure, of: string | number, words: string): string {
  return `/season/trees?${new URLSearchParams({ figure, of: `${of}`, words })}`
}

export async function sendPlan(surveyId: string, body: SeasonPlan): Promise<void> {
  requireDone(await api.PUT('/api/surveys/{surveyId}/season/plan', { params: { path: { surveyId } }, body }))
}

export async function sendLines(surveyId: string, file: File) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/season/lines', {
      params: { path: { surveyId } },
      headers: { 'content-type': 'application/octet-stream' },
      body: file as never, // as it is; the document knows no type for bytes
      bodySerializer: (body) => body,
    }),
  )
}

/** The seasons of a survey's district side by side. */
export const comparedQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'season', 'compared'],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/season/compared', { params: { path: { surveyId } }, signal }),
      ),
  })

export async function beginNextSeason(surveyId: string, body: NewSeason) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/season/next', { params: { path: { surveyId } }, body }),
  )
}
