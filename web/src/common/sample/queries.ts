import { queryOptions } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'
import type { Analysis, SampleStep, Tissue } from '../../api/codes'
import type { Parcel, Sample } from '../../api/types'

const SELDOM = 10_000 // milliseconds; a laboratory answers when it likes

export const samplesQuery = (surveyId: string) =>
  queryOptions({
    queryKey: ['surveys', surveyId, 'samples'],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/surveys/{surveyId}/samples', { params: { path: { surveyId } }, signal })),
    refetchInterval: SELDOM,
  })

/** What is asked for of a tree. */
export type Asked = {
  readonly treeId: string
  readonly tissue: Tissue
  readonly analysis: Analysis
  /** id of the hybrid whose parents’ shares are wanted; null: the sheet’s first one */
  readonly cross: string | null
  readonly note: string
}

/** Asks for a sample; sent again with the same id, it is the same. */
export async function askForSample(surveyId: string, sampleId: string, asked: Asked): Promise<Sample> {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/samples/{sampleId}', {
      params: { path: { surveyId, sampleId } },
      body: asked,
    }),
  )
}

/** Says what happened to a sample. */
export async function goOn(
  surveyId: string,
  { id, step: from }: Sample,
  stepId: string,
  step: SampleStep,
  note: string,
): Promise<Sample> {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/samples/{sampleId}/steps/{stepId}', {
      params: { path: { surveyId, sampleId: id, stepId } },
      body: { step, from, note },
    }),
  )
}

/** Makes a parcel of samples that were taken. */
export async function makeParcel(
  surveyId: string,
  parcelId: string,
  sampleIds: readonly string[],
): Promise<Parcel> {
  return dataOf(
    await api.PUT('/api/surveys/{surveyId}/parcels/{parcelId}', {
      params: { path: { surveyId, parcelId } },
      body: { sampleIds: [...sampleIds] },
    }),
  )
}
