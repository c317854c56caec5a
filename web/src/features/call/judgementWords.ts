import type { Bench, Judgement, Sheet, SuggestedCheck } from '../../api/types'
import { amid, counted } from '../../ui/words'

/** The field name of a taxon. */
export function taxonName(sheet: Sheet, id: string): string {
  return sheet.taxa.find((one) => one.id === id)?.commonName ?? id
}

/** The field name of a character. */
export function checkName(sheet: Sheet, id: string): string {
  return sheet.characters.find((one) => one.id === id)?.name ?? id
}

/** The balance that the call's tier decides on. */
export function decidingBalance(bench: Bench) {
  return bench.judgement.decidedOnFeaturesAlone ? bench.figures.featuresAlone : bench.figures.withSurroundings
}

/** A chance as people say it: "3 times in 5". */
export function timesIn(chance: number): string {
  if (chance >= 0.95) return 'almost surely'
  if (chance < 0.03) return 'hardly ever'
  const tens = Math.round(chance * 10)
  if (tens === 5) return 'every second time'
  if (tens % 2 === 0) return `${tens / 2} times in 5`
  return `${tens} times in 10`
}

/** Why a check is suggested, in one sentence. */
export function whyNext(sheet: Sheet, bench: Bench, next: SuggestedCheck): string {
  const character = sheet.characters.find((one) => one.id === next.character)
  if (!character) return ''
  const promise = next.forTheQuorum
    ? 'Another organ must agree'
    : bench.judgement.pointsShort <= 0
      ? 'Would confirm what leads'
      : next.chanceToSettle >= 0.03
        ? `Settles it ${timesIn(next.chanceToSettle)}`
        : 'Narrows it down'
  const harm =
    { none: 'no harm', sample: 'one leaf or twig taken', wound: 'wounds the tree' }[character.harm] ?? ''
  return `${promise} · ${counted(character.minutes, 'minute')} · ${harm}`
}

/** The three rules as sentences. */
export function ruleSentences(sheet: Sheet, bench: Bench): readonly (readonly [string, string])[] {
  const { giveaway, quorum, balance, threshold, pointsShort } = bench.judgement
  const deciding = decidingBalance(bench)
  const lead = taxonName(sheet, deciding.lead)
  return [
    [
      'Giveaway',
      giveaway ? `one feature settles ${taxonName(sheet, giveaway)}` : 'no single feature decides',
    ],
    ['Quorum', quorum ? `enough organs agree on ${taxonName(sheet, quorum)}` : 'not enough organs agree yet'],
    [
      'Balance',
      balance
        ? `${taxonName(sheet, balance)} has the ${Math.round(threshold * 100)} % asked for`
        : `${lead}, ${pointsShort.toFixed(1)} points short of the ${Math.round(threshold * 100)} % asked for`,
    ],
  ]
}

const REASONS: Readonly<Record<string, string>> = {
  unsettled: 'nothing that can be read today would settle it',
  'rules-differ': 'two of the three rules speak for different taxa',
  'strong-contrary': 'one reading speaks ten to one or more against the lead',
  'none-of-these': 'it may well be none of these',
  surprise: 'the readings are strange even for the lead',
  hybrid: 'a hybrid is likely too',
  'observers-differ': 'observers signed different taxa',
}

/** Why a call is contested, in words. */
export function reasonWords(sheet: Sheet, code: string): string {
  const [kind = '', about = ''] = code.split(':')
  if (kind === 'school') {
    return `those who trust ${about === 'field-marks' ? 'field marks' : 'close characters'} more would name another taxon`
  }
  if (kind === 'index') return 'a published function speaks for another taxon'
  if (kind === 'gate') {
    const item = sheet.gate.find((one) => one.id === about)
    return `it fails what every member of the group shares: ${item ? amid(item.name) : about}`
  }
  return REASONS[kind] ?? `${sheet.title}: ${code}`
}

/** A condition of the tier that is not met, in words. */
export function needWords(sheet: Sheet, judgement: Judgement, code: string): string {
  const [kind = '', about = ''] = code.split(':')
  const percent = Math.round(judgement.threshold * 100)
  const words: Readonly<Record<string, string>> = {
    reading: 'at least one reading',
    threshold: `${percent} % for the lead${judgement.decidedOnFeaturesAlone ? ', from the tree alone' : ''}`,
    'features-alone': '60 % for the lead from the tree alone',
    quorum: `${judgement.tier === 'control' ? 'three' : 'two'} organs that agree, none against`,
    zone: 'something read in the hand, with a lens or a knife',
    'same-lead': 'the same lead with the surroundings and without',
    photo: 'a photo on this call, or the label of a voucher that is kept',
    reason: `a written reason for “${checkName(sheet, about)}”`,
    'second-observer': "a second observer's blind agreement, asked for once this is signed",
  }
  return words[kind] ?? code
}

/** The conditions of a tier in the order in which they are ticked off; each is met unless it is still needed. */
export function conditionsOf(judgement: Judgement): readonly string[] {
  const byTier: Readonly<Record<string, readonly string[]>> = {
    tally: ['reading', 'threshold', 'features-alone'],
    record: ['reading', 'threshold', 'quorum', 'same-lead', 'photo'],
    control: ['reading', 'threshold', 'quorum', 'zone', 'same-lead', 'second-observer'],
  }
  const fixed = byTier[judgement.tier] ?? []
  return [...fixed, ...judgement.stillNeeded.filter((code) => code.startsWith('reason:'))]
}
