import { queryOptions, useQuery } from '@tanstack/react-query'
import { api, dataOf } from './client'
import { useKeptText } from './kept'
import { kept } from './shelf'
import type { Survey } from './types'

export const surveysQuery = queryOptions({
  ...kept,
  queryKey: ['surveys'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/surveys', { signal })),
})

type Chosen = {
  readonly surveys: readonly Survey[]
  /** undefined while they are fetched, or when the observer belongs to none */
  readonly survey: Survey | undefined
  readonly error: Error | null
  readonly isFetched: boolean
  /** why they have not come yet, while they are asked for again */
  readonly failureReason: Error | null
  readonly choose: (id: string) => void
}

/** The survey that this observer works on, on every page and after a reload. */
export function useSurvey(enabled = true): Chosen {
  const { data: surveys = [], error, isFetched, failureReason } = useQuery({ ...surveysQuery, enabled })
  const [chosen, choose] = useKeptText('survey')
  const survey = surveys.find((one) => one.id === chosen) ?? surveys[0]
  return { surveys, survey, error, isFetched, failureReason, choose }
}
