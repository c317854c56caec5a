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
