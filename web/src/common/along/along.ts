import {
  type QueryClient,
  type QueryKey,
  queryOptions,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query'
import { useEffect, useSyncExternalStore } from 'react'
import { api, dataOf } from '../../api/client'
import { groupsQuery } from '../../api/groups'
import { sheetFileQuery, sheetQuery } from '../../api/sheets'
import { shelve, shelved, unshelve } from '../../api/shelf'
import { surveysQuery } from '../../api/surveys'
import type { Along, BenchRecord, Sheet } from '../../api/types'
import { ownPictureOf } from '../../draw/ownPicture'
import { benchQuery, todayQuery } from '../bench/queries'
import { plotQuery, plotsQuery, plotTreesQuery, taxaQuery } from '../plot/queries'
import { queueQuery } from '../review/queries'
import { type PackOf, type PlotAlong, packKey } from './pack'

const AT_ONCE = 5 // plots of one request
const STALE = 1000 * 60 * 15 // milliseconds after which what is along is fetched anew, where there is a network

/** What of a survey is along; null: nothing. */
export const packQuery = (surveyId: string) =>
  queryOptions({
    queryKey: packKey(surveyId),
    queryFn: async (): Promise<PackOf | null> => (await shelved<PackOf>(packKey(surveyId))) ?? null,
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
  })

/** How far taking along has come; undefined: nothing is being taken. */
export type Progress = { readonly done: number; readonly of: number }

/** Takes plots along, one request after the other, so that it can be seen how far it is. */
class Taking {
  private readonly listeners = new Set<() => void>()
  private state: Progress | Error | undefined

  snapshot = () => this.state
  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  private tell(state: Progress | Error | undefined) {
    this.state = state
    for (const listener of this.listeners) listener()
  }

  /**
   * Fetches these plots, and what every page in the woods asks for; plots that were along stay. Quietly: nobody asked for it,
   * so nothing is told where it fails.
   */
  async take(
    queries: QueryClient,
    surveyId: string,
    plotIds: readonly string[],
    quietly = false,
  ): Promise<void> {
    if (this.state && !(this.state instanceof Error)) return
    this.tell({ done: 0, of: plotIds.length })
    try {
      const before = (await shelved<PackOf>(packKey(surveyId)))?.plots ?? []
      const taken: PlotAlong[] = []
      let last: Along | undefined
      for (let from = 0; from < plotIds.length; from += AT_ONCE) {
        const plot = plotIds.slice(from, from + AT_ONCE)
        last = dataOf(
          await api.GET('/api/surveys/{surveyId}/along', { params: { path: { surveyId }, query: { plot } } }),
        )
        taken.push(...(await keepPlots(surveyId, last)))
        this.tell({ done: Math.min(from + AT_ONCE, plotIds.length), of: plotIds.length })
      }
      if (!last) throw new Error('There is no plot to take along.')
      await keepSheets(queries, last)
      await keepLists(queries, surveyId)
      const ids = taken.map((one) => one.id)
      const pack: PackOf = {
        plots: [...before.filter((one) => !ids.includes(one.id)), ...taken].sort((a, b) =>
          a.code.localeCompare(b.code),
        ),
        rules: last.rules,
        lacking: last.lacking,
        lasts: (await navigator.storage?.persist?.()) ?? false,
      }
      await shelve([[packKey(surveyId), pack]])
      await queries.invalidateQueries(packQuery(surveyId))
      this.tell(undefined)
    } catch (error) {
      if (quietly) {
        this.tell(undefined)
        return
      }
      this.tell(whyNot(error))
    }
  }

  /** Frees what was along of these plots. What waits to be handed in stays. */
  async letGo(queries: QueryClient, surveyId: string, plots: readonly PlotAlong[]): Promise<void> {
    const pack = await shelved<PackOf>(packKey(surveyId))
    if (!pack) return
    const ids = plots.map((one) => one.id)
    const left = pack.plots.filter((one) => !ids.includes(one.id))
    await unshelve(
      plots.flatMap((plot) => [
        plotQuery(surveyId, plot.id).queryKey,
        plotTreesQuery(surveyId, plot.id).queryKey,
        ...plot.calls.map((treeId) => benchQuery(surveyId, treeId).queryKey),
      ]),
    )
    if (left.length === 0) await unshelve([packKey(surveyId)])
    else await shelve([[packKey(surveyId), { ...pack, plots: left }]])
    await queries.invalidateQueries(packQuery(surveyId))
  }
}

/** Why plots could not be taken along, in words. */
function whyNot(error: unknown): Error {
  if (!(error instanceof DOMException)) return error instanceof Error ? error : new Error(String(error))
  return new Error(
    error.name === 'QuotaExceededError'
      ? 'This device has no room for all of it. What was along before is still there; let plots go that you do not walk today, or free some room, and take along again.'
      : 'This browser keeps nothing on this device, as a private window does, so nothing can be taken along. Everything works while there is a network; open Goldthistle in an ordinary window for the woods.',
  )
}

async function keepPlots(surveyId: string, along: Along): Promise<readonly PlotAlong[]> {
  const at = Date.now()
  await shelve(
    along.plots.flatMap(({ plot, trees, calls }): (readonly [QueryKey, unknown])[] => [
      [plotQuery(surveyId, plot.id).queryKey, plot],
      [plotTreesQuery(surveyId, plot.id).queryKey, trees],
      ...calls.map((call): readonly [QueryKey, BenchRecord] => [
        benchQuery(surveyId, call.tree.id).queryKey,
        call,
      ]),
    ]),
  )
  return along.plots.map((one) => ({
    id: one.plot.id,
    code: one.plot.code,
    trees: one.trees.length,
    calls: one.calls.map((call) => call.tree.id),
    at,
    bytes: JSON.stringify(one).length,
  }))
}

/** Sheets never change, so those that are there are not fetched again. */
async function keepSheets(queries: QueryClient, along: Along): Promise<void> {
  for (const { versionId } of along.sheets) {
    for (const query of [sheetQuery(versionId), sheetFileQuery(versionId)]) {
      if ((await shelved(query.queryKey)) !== undefined) continue
      const answer: unknown = await queries.ensureQueryData(query as ReturnType<typeof sheetFileQuery>)
      await shelve([[query.queryKey, answer]])
    }
    await keepPictures(await queries.ensureQueryData(sheetQuery(versionId)))
  }
}

/** The pictures of a sheet's own; the service worker keeps what is fetched. */
async function keepPictures(sheet: Sheet): Promise<void> {
  for (const { draw } of sheet.characters.flatMap((character) => character.states)) {
    const picture = draw && ownPictureOf(draw.part, draw.parameters)
    if (picture) await fetch(picture)
  }
}

/** The lists that pages show in the woods too. */
async function keepLists(queries: QueryClient, surveyId: string): Promise<void> {
  const now = { staleTime: 0, retry: false }
  await queries.fetchQuery({ ...surveysQuery, ...now })
  await queries.fetchQuery({ ...todayQuery(surveyId), ...now })
  await queries.fetchQuery({ ...plotsQuery(surveyId), ...now })
  await queries.fetchQuery({ ...queueQuery(surveyId, { mine: true }), ...now })
  await queries.fetchQuery({ ...groupsQuery, ...now })
  await queries.fetchQuery({ ...taxaQuery, ...now })
}

export const taking = new Taking()

/** What is along, how taking is going on, and how to change it. */
export function useAlong(surveyId: string) {
  const queries = useQueryClient()
  const pack = useQuery(packQuery(surveyId)).data ?? undefined
  const state = useSyncExternalStore(taking.subscribe, taking.snapshot)
  return {
    pack,
    progress: state instanceof Error ? undefined : state,
    error: state instanceof Error ? state : undefined,
    take: (plotIds: readonly string[]) => void taking.take(queries, surveyId, plotIds),
    letGo: (plots: readonly PlotAlong[]) => void taking.letGo(queries, surveyId, plots),
  }
}

/** Fetches what is along anew by itself once it is old, where there is a network. */
export function useFreshPack(surveyId: string): void {
  const queries = useQueryClient()
  const pack = useQuery({ ...packQuery(surveyId), enabled: surveyId !== '' }).data
  useEffect(() => {
    if (!pack) return
    const look = () => {
      const old = pack.plots.filter((one) => Date.now() - one.at > STALE)
      if (old.length > 0 && navigator.onLine) {
        void taking.take(
          queries,
          surveyId,
          old.map((one) => one.id),
          true,
        )
      }
    }
    look()
    const timer = window.setInterval(look, STALE)
    window.addEventListener('online', look)
    return () => {
      window.clearInterval(timer)
      window.removeEventListener('online', look)
    }
  }, [queries, surveyId, pack])
}
