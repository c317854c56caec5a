import { queryOptions, useQuery } from '@tanstack/react-query'
import { useEffect, useSyncExternalStore } from 'react'
import { useMatch, useSearchParams } from 'react-router'
import { api, dataOf } from './client'
import { keep, readKept, subscribeToKept } from './kept'
import { kept } from './shelf'
import type { Survey } from './types'

export const surveysQuery = queryOptions({
  ...kept,
  queryKey: ['surveys'],
  queryFn: async ({ signal }) => dataOf(await api.GET('/api/surveys', { signal })),
})

/** What an address calls the survey that its page is about. */
const IN_ADDRESS = 'survey'
const IN_HAND = 'survey'
const IN_THIS_TAB = 'goldthistle.survey'

/** The survey that this tab works on: another tab may hold another; a new one begins with what was chosen last. */
function inHand(): string {
  return sessionStorage.getItem(IN_THIS_TAB) ?? readKept(IN_HAND, '')
}

function take(id: string): void {
  sessionStorage.setItem(IN_THIS_TAB, id)
  keep(IN_HAND, id) // last, since it tells whoever listens
}

type Chosen = {
  readonly surveys: readonly Survey[]
  /** undefined while they are fetched, where the address names one that is none of the observer's, or when they belong to none */
  readonly survey: Survey | undefined
  readonly error: Error | null
  readonly isFetched: boolean
  /** why they have not come yet, while they are asked for again */
  readonly failureReason: Error | null
  readonly choose: (id: string) => void
}

/** The survey that a page is about: the one that its address names, else the one in hand, which stays so from page to page and after a reload. */
export function useSurvey(enabled = true): Chosen {
  const { data: surveys = [], error, isFetched, failureReason } = useQuery({ ...surveysQuery, enabled })
  const [search, setSearch] = useSearchParams()
  const path = useMatch('/surveys/:surveyId/*')?.params.surveyId
  const hand = useSyncExternalStore(subscribeToKept, inHand)
  const named = search.get(IN_ADDRESS)
  const of = (id: string | null | undefined) => surveys.find((one) => one.id === id)
  const survey = named === null ? (of(path) ?? of(hand) ?? surveys[0]) : of(named)
  const choose = (id: string) => {
    take(id)
    if (named !== null) setSearch(withSurvey(id), { replace: true })
  }
  return { surveys, survey, error, isFetched, failureReason, choose }
}

function withSurvey(id: string) {
  return (search: URLSearchParams) => {
    const named = new URLSearchParams(search)
    named.set(IN_ADDRESS, id)
    return named
  }
}

/** Takes the survey of whatever page is open in hand, so that the pages after it are about the same. */
export function useTakenInHand(survey: Survey | undefined): void {
  const id = survey?.id
  useEffect(() => {
    if (id !== undefined && id !== inHand()) take(id)
  }, [id])
}

/** Names the survey of a page in its address, so that whoever opens it again, here or elsewhere, sees the same. */
export function useSurveyInAddress(survey: Survey | undefined): void {
  const [search, setSearch] = useSearchParams()
  const id = survey?.id
  const isNamed = search.has(IN_ADDRESS)
  useEffect(() => {
    if (id !== undefined && !isNamed) setSearch(withSurvey(id), { replace: true })
  }, [id, isNamed, setSearch])
}
