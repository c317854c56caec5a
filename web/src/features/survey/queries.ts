import { keepPreviousData, queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'
import type { SurveySettings } from '../../api/types'

export async function sendSettings(surveyId: string, body: SurveySettings) {
  return dataOf(await api.PUT('/api/surveys/{surveyId}', { params: { path: { surveyId } }, body }))
}

export async function sendSurveyClosed(surveyId: string, closed: boolean) {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/closed', { params: { path: { surveyId } }, body: { closed } }),
  )
}

/** The share of belief at which mistakes of these costs lose the same either way. */
export const thresholdQuery = (query: { readonly wrongYes: number; readonly wrongNo: number }) =>
  queryOptions({
    queryKey: ['threshold', query],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/threshold', { params: { query }, signal })),
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
  })
