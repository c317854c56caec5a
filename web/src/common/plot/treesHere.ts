import { queryOptions, useQuery } from '@tanstack/react-query'
import { useObserver } from '../../api/observer'
import type { NextTree, Plot, TreeRow } from '../../api/types'
import type { HereRow } from '../../reckoner/questions'
import { Broken, figures } from '../../reckoner/reckoner'
import { useOutbox } from '../bench/outbox'
import type { Unsent } from '../bench/unsent'
import { plotQuery, plotTreesQuery } from './queries'

/** What was entered on a plot and its trees and is not handed in yet. */
function ofPlot(entries: readonly Unsent[], plotId: string, trees: readonly TreeRow[]): readonly Unsent[] {
  const known = new Set(trees.map((one) => one.id))
  for (const { entered, treeId } of entries) {
    if (entered.kind === 'tree' && entered.plotId === plotId) known.add(treeId)
  }
  return entries.filter(
    ({ entered, treeId }) => known.has(treeId) || (entered.kind === 'closed' && entered.plotId === plotId),
  )
}

/** The trees of a plot with what was entered since, by tag; how they stand after it is the core's to say. */
export function treesHere(
  plotId: string,
  trees: readonly TreeRow[],
  entries: readonly Unsent[],
): readonly HereRow[] {
  const rows = new Map<string, HereRow>(trees.map((one) => [one.id, one]))
  for (const entry of ofPlot(entries, plotId, trees)) {
    const after = entered(rows.get(entry.treeId), entry)
    if (after) rows.set(entry.treeId, after)
  }
  return [...rows.values()].sort((a, b) => a.tag - b.tag)
}

/** The same as the plot shows them. */
async function asTheyLook(
  plotId: string,
  trees: readonly TreeRow[],
  entries: readonly Unsent[],
): Promise<readonly TreeRow[]> {
  const all = treesHere(plotId, trees, entries)
  const known = new Set<HereRow>(trees)
  const changed = all.filter((one) => !known.has(one))
  const looks = await looksOf(changed)
  return all.map((one) => ({ standsAs: 'open', ...one, ...looks[changed.indexOf(one)] }))
}

/** How trees stand and look; nothing where the core cannot be loaded: they are shown all the same, as they were before. */
async function looksOf(trees: readonly HereRow[]) {
  try {
    return await figures.ask<'looks'>({ what: 'looks', trees })
  } catch (error) {
    if (error instanceof Broken) return []
    throw error
  }
}

/** A tree after one more entry; undefined: as before. */
function entered(before: HereRow | undefined, { treeId, entered: what }: Unsent): HereRow | undefined {
  switch (what.kind) {
    case 'tree':
      return {
        look: 'open',
        toDo: true,
        contested: false,
        reviewed: false,
        readings: 0,
        pressing: [],
        leadersInDoubt: false,
        ...before,
        ...what.body,
        favoured: what.body.favoured ?? before?.favoured ?? false,
        version: what.body.version ?? before?.version ?? 0,
        id: treeId,
      }
    case 'reading':
      return before && { ...before, readings: before.readings + 1 }
    case 'group':
      return before && { ...before, readAs: what.groupId }
    case 'signature':
      return (
        before && {
          ...before,
          signedAs: what.signed.outcome,
          standsName: null,
          comeBackMonth: what.signed.month ?? null,
          reviewed: false,
        }
      )
    default:
      return undefined
  }
}

/** A plot and its trees as they stand on this device. */
export function usePlotHere(surveyId: string, plotId: string) {
  const entries = useOutbox(useObserver().callSign)
  const plot = useQuery(plotQuery(surveyId, plotId))
  const trees = useQuery(plotTreesQuery(surveyId, plotId))
  const here = ofPlot(entries, plotId, trees.data ?? [])
  const rows = useQuery({
    queryKey: ['trees here', plotId, trees.dataUpdatedAt, here],
    queryFn: () => asTheyLook(plotId, trees.data ?? [], here),
    enabled: trees.data !== undefined && here.length > 0,
    staleTime: Number.POSITIVE_INFINITY,
    retry: false,
    gcTime: 0,
    placeholderData: (before) => before,
  })
  const closed = here.findLast(({ entered: what }) => what.kind === 'closed')?.entered
  return {
    plot: plot.data && withClosed(plot.data, closed?.kind === 'closed' ? closed.closed : undefined),
    trees: here.length > 0 ? (rows.data ?? trees.data) : trees.data,
    error: plot.error ?? trees.error ?? rows.error,
    away: plot.failureReason ?? trees.failureReason,
  }
}

function withClosed(plot: Plot, closed: boolean | undefined): Plot {
  if (closed === undefined || closed === Boolean(plot.closedAt)) return plot
  return { ...plot, closedAt: closed ? new Date().toISOString() : null }
}

/** The tree to go on to, from what is on this device. */
export function nextHereQuery(treeId: string, trees: readonly TreeRow[], after: string) {
  return queryOptions({
    queryKey: ['next here', treeId, after, trees.map((one) => [one.id, one.standsAs, one.readings > 0])],
    queryFn: async (): Promise<NextTree> =>
      trees.some((one) => one.id === treeId)
        ? await figures.ask<'next'>({ what: 'next', hereId: treeId, trees })
        : { left: 0 },
    retry: false,
  })
}
