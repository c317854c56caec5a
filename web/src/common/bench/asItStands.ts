import {
  type QueryClient,
  queryOptions,
  replaceEqualDeep,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import { groupsQuery } from '../../api/groups'
import { Away, Problem } from '../../api/problem'
import { sheetFileQuery, sheetQuery } from '../../api/sheets'
import type { Bench, BenchAnswer, NewDetermination, Sheet } from '../../api/types'
import type { EnteredOnCall, LaidOut } from '../../reckoner/questions'
import { ahead, Broken, figures } from '../../reckoner/reckoner'
import { outbox } from './outbox'
import { benchQuery, sendFigureDifference } from './queries'
import type { Unsent } from './unsent'

// by the time one of them is handled the page knows of all that was entered
const INPUTS = ['keydown', 'pointerdown', 'click'] as const

/** A tree as it stands on this device: what the server told of it, and what was entered since. */
export type AsItStands = {
  readonly bench: Bench
  readonly sheet: Sheet
  /** What the server told. */
  readonly onRecord: BenchAnswer
  /** Today's, 1-12. */
  readonly month: number
  /** What the server does not have yet, in its order; what was refused among it. */
  readonly unsent: readonly Unsent[]
  /** What is to be known of where the figures come from; undefined: from here, as they should. */
  readonly warning: string | undefined
}

const NOT_ALONG =
  'There is no network, and this tree is not along. What is along is named under “Today”; this page opens by itself when there is a network.'

const shown = new Set<() => void>()

/** Lets the page know at once of what was entered, for whoever goes on within the same press. */
export function showEntered(): void {
  for (const show of shown) show()
}

function unsentOf(observer: string, treeId: string): readonly Unsent[] {
  return outbox.snapshot().filter((entry) => entry.observer === observer && entry.treeId === treeId)
}

/** What was entered as the core reads it; what belongs elsewhere is left out. */
export function onCall(unsent: readonly Unsent[]): readonly EnteredOnCall[] {
  return unsent.flatMap((entry): readonly EnteredOnCall[] => {
    const { id, entered } = entry
    const at = new Date(entry.at).toISOString()
    switch (entered.kind) {
      case 'reading':
        return [{ ...entered, id, at }]
      case 'mark':
        return [{ ...entered, at }]
      case 'signature':
        return [{ ...entered.signed, kind: 'signature', id, at, observer: entry.observer }]
      case 'photo':
        return [{ kind: 'photo', photo: pictured(entry, entered.character, entered.sizeBytes) }]
      case 'aid':
      case 'tree':
      case 'closed':
        return []
      default:
        return [entered]
    }
  })
}

function pictured(entry: Unsent, character: string, sizeBytes: number) {
  return {
    id: entry.id,
    callId: entry.id, // the server makes the call when the first entry of it arrives
    character,
    sha256: '',
    sizeBytes,
    recordedAt: new Date(entry.at).toISOString(),
  }
}

/** Makes the sheets known to the core that a tree's calls are read on. */
async function openSheets(
  core: typeof figures,
  queries: QueryClient,
  onRecord: BenchAnswer,
  entered: readonly EnteredOnCall[],
): Promise<void> {
  const groups = entered.flatMap((one) => (one.kind === 'group' ? [one.groupId] : []))
  const newest = groups.length > 0 ? await queries.ensureQueryData(groupsQuery) : []
  const versions = [
    onRecord.state.sheetVersionId,
    ...onRecord.setAside.map((call) => call.sheetVersionId),
    ...newest.filter((one) => groups.includes(one.groupId)).map((one) => one.versionId),
  ]
  await Promise.all(
    versions.map((versionId) =>
      core.open(versionId, async () => {
        const [sheet, file] = await Promise.all([
          queries.ensureQueryData(sheetQuery(versionId)),
          queries.ensureQueryData(sheetFileQuery(versionId)),
        ])
        return { version: sheet.version, file }
      }),
    ),
  )
}

const FRESH = 1000 * 60 * 60 * 12 // milliseconds for which what the server said of the month holds

/** Today's month, 1-12: the server's, unless it told it long ago; a device's clock may be off by a month. */
function monthOf(queries: QueryClient, onRecord: BenchAnswer): number {
  const { surveyId, id } = onRecord.tree
  const told = queries.getQueryState(benchQuery(surveyId, id).queryKey)?.dataUpdatedAt ?? 0
  const now = new Date()
  return now.getTime() - told < FRESH ? onRecord.thisMonth : now.getMonth() + 1
}

/** The tree with what was entered since, as the core lays it out. */
function put(onRecord: BenchAnswer, laidOut: LaidOut, unsent: readonly Unsent[]): Bench {
  const aids = unsent.flatMap(({ entered }) =>
    entered.kind === 'aid' ? [[entered.characterId, entered.body] as const] : [],
  )
  const determinations = [...laidOut.signatures, ...onRecord.determinations].map((one) =>
    laidOut.superseded.includes(one.id) ? { ...one, superseded: true } : one,
  )
  return {
    ...onRecord,
    ...laidOut.call,
    sheetVersionId: laidOut.sheetVersionId,
    photos: laidOut.photos,
    cautionRead: laidOut.cautionRead,
    signedAs: laidOut.signedAs ?? null,
    determinations,
    memoryAids:
      aids.length > 0 ? { ...onRecord.memoryAids, ...Object.fromEntries(aids) } : onRecord.memoryAids,
  }
}

/** The entries, each with why the core would refuse it, where the server has not said so yet. */
function withRefusals(
  unsent: readonly Unsent[],
  weighed: readonly Unsent[],
  refused: LaidOut['refused'],
): readonly Unsent[] {
  const parts = weighed.filter((entry) => onCall([entry]).length > 0)
  return unsent.map((entry) => {
    const why = refused[parts.indexOf(entry)]
    return why ? { ...entry, refused: why.detail } : entry
  })
}

type Shown = Omit<AsItStands, 'sheet'>

/** What the core is asked of: what is on record, and what was entered since. */
type Asked = { readonly onRecord: BenchAnswer; readonly unsent: readonly Unsent[] }

function isSame(a: Asked | undefined, b: Asked): boolean {
  return (
    a?.onRecord === b.onRecord &&
    a.unsent.length === b.unsent.length &&
    a.unsent.every((entry, i) => entry === b.unsent[i])
  )
}

/** What the page shows of a tree: the core's figures, drawn once for each thing that is entered. */
function useLaidOut(observer: string, surveyId: string, treeId: string): Shown | Error | undefined {
  const queries = useQueryClient()
  const onRecord = useQuery(benchQuery(surveyId, treeId)).data
  const [laidOut, setLaidOut] = useState<Shown | Error>()
  const layAgain = useRef<() => void>(undefined)
  const isThere = onRecord !== undefined
  useEffect(() => {
    if (!isThere) return
    let asked = 0
    let answered = 0
    let stopped = false
    let last: Asked | undefined
    const lay = async () => {
      const there = queries.getQueryData(benchQuery(surveyId, treeId).queryKey)
      if (!there) return
      const next = { onRecord: there, unsent: unsentOf(observer, treeId) }
      if (isSame(last, next)) return // an answer is told twice: by its record, and by what no longer waits
      last = next
      const turn = ++asked
      const figured = await laid(queries, next.onRecord, next.unsent)
      if (stopped || turn < asked) return // something was entered meanwhile, and is shown with it
      if (figured instanceof Error || figured.warning !== undefined) last = undefined // it is tried again
      answered = turn
      // at once, so that no touch falls between this answer and the page that shows it
      flushSync(() =>
        setLaidOut((before) => (figured instanceof Error ? figured : replaceEqualDeep(before, figured))),
      )
    }
    const show = () => {
      if (answered === asked) return
      const unsent = unsentOf(observer, treeId)
      flushSync(() =>
        setLaidOut((before) => {
          if (!before || before instanceof Error) return before
          // what was handed in since the last figures is on record, but not in them yet
          const handedIn = before.unsent.filter((one) => !unsent.some(({ id }) => id === one.id))
          return { ...before, unsent: [...handedIn, ...unsent] }
        }),
      )
    }
    const stopHearing = outbox.subscribe(() => void lay())
    for (const input of INPUTS) window.addEventListener(input, show, true)
    shown.add(show)
    layAgain.current = () => void lay()
    void lay()
    return () => {
      stopped = true
      stopHearing()
      shown.delete(show)
      layAgain.current = undefined
      for (const input of INPUTS) window.removeEventListener(input, show, true)
    }
  }, [queries, isThere, observer, surveyId, treeId])
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is on record is taken from where it is kept; here it only tells that it is new
  useEffect(() => layAgain.current?.(), [onRecord])
  return laidOut && !(laidOut instanceof Error) && laidOut.bench.tree.id !== treeId ? undefined : laidOut
}

async function laid(
  queries: QueryClient,
  onRecord: BenchAnswer,
  unsent: readonly Unsent[],
): Promise<Shown | Error> {
  const weighed = unsent.filter((entry) => !entry.refused)
  const entered = onCall(weighed)
  const { id: treeId, surveyId } = onRecord.tree
  try {
    await openSheets(figures, queries, onRecord, entered)
    figures.begin(treeId, onRecord)
    const month = monthOf(queries, onRecord)
    const laidOut = await figures.ask<'laidOut'>({
      what: 'laidOut',
      treeId,
      entered,
      month,
      compare: entered.length === 0 && onRecord.figures !== undefined,
    })
    if (laidOut.differs !== '') {
      tellDifference(surveyId, treeId, laidOut.differs)
      return byServer(
        onRecord,
        unsent,
        'This device reckoned other figures than the server, whose figures are shown. It was told.',
      )
    }
    const refusals = withRefusals(unsent, weighed, laidOut.refused)
    const bench = put(onRecord, laidOut, unsent)
    return { bench, onRecord, month, unsent: refusals, warning: undefined }
  } catch (error) {
    if (!(error instanceof Broken)) return error instanceof Error ? error : new Error(String(error))
    return byServer(
      onRecord,
      unsent,
      `This device cannot reckon by itself (${error.message}), so the figures come from the server, when it answers. Load the page anew when there is a network.`,
    )
  }
}

const told = new Set<string>()

/** Tells the server once where figures differ; what could not be told is told with the next figures of that tree. */
function tellDifference(surveyId: string, treeId: string, where: string): void {
  const what = `${treeId} ${where}`
  if (told.has(what)) return
  told.add(what)
  sendFigureDifference(surveyId, treeId, where).catch(() => told.delete(what))
}

/** What the server reckoned, where nothing can be reckoned here. */
function byServer(onRecord: BenchAnswer, unsent: readonly Unsent[], warning: string): Shown | Error {
  if (!hasFigures(onRecord)) return new Error(warning)
  const { photos, cautionRead } = onRecord.state
  const bench = { ...onRecord, photos, cautionRead }
  return { bench, onRecord, month: onRecord.thisMonth, unsent, warning }
}

function hasFigures(onRecord: BenchAnswer): onRecord is BenchAnswer & Omit<Bench, 'photos' | 'cautionRead'> {
  return onRecord.figures !== undefined
}

/** A tree and its sheet as they stand on this device; an error: why they cannot be shown; undefined: one moment. */
export function useAsItStands(
  observer: string,
  surveyId: string,
  treeId: string,
): AsItStands | Error | undefined {
  const onRecord = useQuery(benchQuery(surveyId, treeId))
  const laidOut = useLaidOut(observer, surveyId, treeId)
  const versionId = laidOut instanceof Error ? undefined : laidOut?.bench.sheetVersionId
  const sheet = useQuery({ ...sheetQuery(versionId ?? ''), enabled: versionId !== undefined })
  if (laidOut instanceof Error) return laidOut
  if (laidOut && sheet.data) return { ...laidOut, sheet: sheet.data }
  if (!onRecord.data && onRecord.failureReason instanceof Away) return new Away(NOT_ALONG)
  return (onRecord.data ? undefined : onRecord.error) ?? sheet.error ?? undefined
}

/** What a signature would be on a tree as it stands; throws the words of why it cannot be. */
export async function signatureOn(
  stands: AsItStands,
  signed: NewDetermination,
  id: string,
  observer: string,
) {
  const entered = onCall(stands.unsent.filter((entry) => !entry.refused))
  const at = new Date().toISOString()
  const laidOut = await figures.ask<'laidOut'>({
    what: 'laidOut',
    treeId: stands.bench.tree.id,
    entered: [...entered, { ...signed, kind: 'signature', id, at, observer }],
    month: stands.month,
    compare: false,
  })
  const why = laidOut.refused[entered.length]
  if (why) throw new Problem(422, `/problems/${why.type}`, why.detail, why.refusals)
  return laidOut.signatures[0]
}

const BEFORE_MONTHS = 250 // milliseconds; whoever presses on needs no months yet, but the whole processor

/** Waits; throws when it is called off. */
function rest(milliseconds: number, signal: AbortSignal): Promise<void> {
  return new Promise((go, stop) => {
    const timer = setTimeout(go, milliseconds)
    signal.addEventListener('abort', () => {
      clearTimeout(timer)
      stop(signal.reason)
    })
  })
}

/** In which months a tree could be settled; it changes with every reading. */
export function outlookQuery(stands: AsItStands) {
  const { bench, unsent } = stands
  return queryOptions({
    queryKey: ['outlook', bench.tree.id, bench.sheetVersionId, bench.readings.map((one) => one.id)],
    queryFn: async ({ client, signal }) => {
      await rest(BEFORE_MONTHS, signal)
      const today = new Date()
      const entered = onCall(unsent.filter((entry) => !entry.refused))
      await openSheets(ahead, client, stands.onRecord, entered)
      ahead.begin(bench.tree.id, stands.onRecord)
      return await ahead.ask<'outlook'>({
        what: 'outlook',
        treeId: bench.tree.id,
        entered,
        year: today.getFullYear(),
        month: stands.month,
      })
    },
    retry: false,
  })
}
