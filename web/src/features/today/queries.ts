import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'
import { kept } from '../../api/shelf'

/** What an observer did from one midnight to the next, as instants. */
export const dayEndQuery = (surveyId: string, from: string, to: string) =>
  queryOptions({
    ...kept,
    queryKey: ['surveys', surveyId, 'today', from, to],
    queryFn: async ({ signal }) =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/today/end', {
          params: { path: { surveyId }, query: { from, to } },
          signal,
        }),
      ),
  })
