import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { sheetFileQuery, sheetQuery } from '../../api/sheets'
import type { Bench, BenchRecord, PracticeResult, Sheet } from '../../api/types'
import { onCall } from '../../common/bench/asItStands'
import { madeOf, type Try } from '../../common/practice/practiceStore'
import type { PracticeTree } from '../../reckoner/questions'
import { figures } from '../../reckoner/reckoner'

/** A practice tree as it stands on this device. */
export type StandingTry = {
  readonly sheet: Sheet
  readonly tree: NonNullable<PracticeTree['tree']>
  readonly bench: Bench
  /** Once it is called. */
  readonly result: PracticeResult | undefined
}

/** Lays a try out with what was entered; an error: why it cannot be; undefined: one moment. */
export function usePracticeTree(one: Try): StandingTry | Error | undefined {
  const sheet = useQuery(sheetQuery(one.versionId))
  const file = useQuery(sheetFileQuery(one.versionId))
  const [laid, setLaid] = useState<StandingTry | Error>()
  useEffect(() => {
    if (!sheet.data || file.data === undefined) return
    let wanted = true
    layOut(one, sheet.data, file.data).then(
      (next) => wanted && setLaid(next),
      (error: unknown) => wanted && setLaid(error instanceof Error ? error : new Error(String(error))),
    )
    return () => {
      wanted = false
    }
  }, [one, sheet.data, file.data])
  const failed = sheet.error ?? file.error
  if (failed && (!sheet.data || file.data === undefined)) return failed
  if (laid && !(laid instanceof Error) && laid.bench.tree.id !== one.id) return undefined
  return laid
}

async function layOut(one: Try, sheet: Sheet, file: unknown): Promise<StandingTry> {
  await figures.open(one.versionId, async () => ({ version: sheet.version, file }))
  const { tree, state, refused } = await figures.ask<'practiceTree'>({
    what: 'practiceTree',
    versionId: one.versionId,
    seed: one.seed,
    one: one.one,
    other: one.other,
  })
  if (!tree || !state) throw new Error(refused ?? 'this pair cannot be practised')
  const onRecord: BenchRecord = {
    tree: {
      id: one.id,
      surveyId: '',
      surveyName: 'practice',
      woundingAllowed: true,
      laboratoryUsed: false,
      closed: false,
      plotId: '',
      plotCode: 'practice',
      tag: 0,
      groupId: sheet.groupId,
      stems: 1,
      diameterMillimetres: 0,
      stage: state.visit.circumstances.stage,
      origin: state.visit.circumstances.origin,
      habitat: [],
    },
    sheetVersionId: one.versionId,
    sheetVersion: sheet.version,
    newerVersion: null,
    state,
    setAside: [],
    thisMonth: tree.month,
    determinations: [],
    blind: false,
    signedAs: null,
    firstTree: false,
    memoryAids: {},
  }
  figures.begin(one.id, onRecord)
  const laidOut = await figures.ask<'laidOut'>({
    what: 'laidOut',
    treeId: one.id,
    entered: onCall(one.entries),
    month: tree.month,
    compare: false,
  })
  const result = one.called
    ? await figures.ask<'practiceResult'>({
        what: 'practiceResult',
        versionId: one.versionId,
        made: madeOf(one),
      })
    : undefined
  const bench: Bench = { ...onRecord, ...laidOut.call, photos: [], cautionRead: true }
  return { sheet, tree, bench, result }
}
