import { groupsQuery } from '../../api/groups'
import { sheetFileQuery, sheetQuery } from '../../api/sheets'
import { shelved } from '../../api/shelf'
import { surveysQuery } from '../../api/surveys'
import type { BenchRecord, Group, Plot, Sheet, Survey } from '../../api/types'
import { figures } from '../../reckoner/reckoner'
import { type PackOf, packKey } from '../along/pack'
import { plotKey } from '../plot/keys'
import { outbox } from './outbox'

/**
 * A tree that was entered on this device and that the server does not have yet, as its Bench begins; undefined: there is no
 * such tree here, or what it needs is not along.
 */
export async function freshTree(surveyId: string, treeId: string): Promise<BenchRecord | undefined> {
  const entered = outbox
    .snapshot()
    .findLast((one) => one.treeId === treeId && one.entered.kind === 'tree')?.entered
  if (entered?.kind !== 'tree' || !entered.body.groupId) return undefined
  const { body, plotId } = entered
  const pack = await shelved<PackOf>(packKey(surveyId))
  const plot = await shelved<Plot>(plotKey(surveyId, plotId))
  const survey = (await shelved<readonly Survey[]>(surveysQuery.queryKey))?.find((one) => one.id === surveyId)
  const group = (await shelved<readonly Group[]>(groupsQuery.queryKey))?.find(
    (one) => one.groupId === body.groupId,
  )
  if (!pack || !plot || !survey || !group) return undefined
  const { versionId } = group
  const sheet = await shelved<Sheet>(sheetQuery(versionId).queryKey)
  const file = await shelved<unknown>(sheetFileQuery(versionId).queryKey)
  if (!sheet || file === undefined) return undefined
  await figures.open(versionId, async () => ({ version: sheet.version, file }))
  const { stage, origin } = body
  const month = new Date().getMonth() + 1
  const state = await figures.ask<'untouched'>({
    what: 'untouched',
    versionId,
    tree: body,
    ground: plot.habitat,
    rules: pack.rules,
    lacking: pack.lacking,
    month,
  })
  return {
    tree: {
      id: treeId,
      surveyId,
      surveyName: survey.name,
      woundingAllowed: pack.rules.woundingAllowed,
      laboratoryUsed: pack.rules.laboratoryUsed,
      closed: pack.rules.closed,
      plotId,
      plotCode: plot.code,
      tag: body.tag,
      groupId: group.groupId,
      stems: 1,
      diameterMillimetres: body.diameterMillimetres,
      stage,
      origin,
      habitat: state.visit.circumstances.habitat,
    },
    sheetVersionId: versionId,
    sheetVersion: sheet.version,
    newerVersion: null,
    state,
    setAside: [],
    thisMonth: month,
    determinations: [],
    blind: false,
    signedAs: null,
    firstTree: false,
    memoryAids: {},
  }
}
