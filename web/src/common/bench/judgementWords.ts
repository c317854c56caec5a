import type { Harm } from '../../api/codes'
import type { Bench, Sheet, SuggestedCheck } from '../../api/types'
import { amid, counted, points } from '../../ui/words'

/** The field name of a taxon. */
export function taxonName(sheet: Sheet, id: string): string {
  return sheet.taxa.find((one) => one.id === id)?.commonName ?? id
}

/** What lists call a character, in at most 22 letters. */
export function shortName(sheet: Sheet, id: string): string {
  return sheet.characters.find((one) => one.id === id)?.shortName ?? id
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
  return tens % 2 === 0 ? `${counted(tens / 2, 'time')} in 5` : `${counted(tens, 'time')} in 10`
}

/** What a check does to the tree, in words. */
export const HARM: Readonly<Record<Harm, string>> = {
  none: 'no harm',
  sample: 'a leaf or twig is taken',
  wound: 'wounds the tree',
}

/** Why a check is suggested, in one sentence. */
export function whyNext(sheet: Sheet, bench: Bench, next: SuggestedCheck): string {
  const character = sheet.characters.find((one) => one.id === next.character)
  if (!character) return ''
  const promise = next.forTheQuorum
    ? 'Another organ must agree'
    : bench.judgement.pointsShort <= 0
      ? bench.pointsToGo <= 0
        ? 'Would confirm what leads'
        : 'Brings it further, which a rarer name needs'
      : next.chanceToSettle >= 0.03
        ? `Settles it ${timesIn(next.chanceToSettle)}`
        : 'Narrows it down'
  const harm = HARM[character.harm] ?? ''
  return `${promise} · ${counted(character.minutes, 'minute')} · ${harm}`
}

/** A rule of practice in one line: its word in the glossary, what it says, whether it speaks for a taxon. */
export type RuleLine = { readonly term: string; readonly text: string; readonly speaks: boolean }

/** The three rules, each in one line. */
export function ruleLines(sheet: Sheet, bench: Bench): readonly RuleLine[] {
  const { giveaway, quorum, balance, threshold } = bench.judgement
  const percent = `${Math.round(threshold * 100)} %`
  return [
    {
      term: 'giveaway',
      text: giveaway ? `settles ${taxonName(sheet, giveaway)}` : 'no single feature decides',
      speaks: Boolean(giveaway),
    },
    {
      term: 'organs',
      text: quorum ? `agree on ${taxonName(sheet, quorum)}` : 'not enough agree yet',
      speaks: Boolean(quorum),
    },
    {
      term: 'balance',
      text: balance ? `${percent} for ${taxonName(sheet, balance)}` : `short of the ${percent} asked for`,
      speaks: Boolean(balance),
    },
  ]
}

/** How far the bar has come towards the notch: "5.5 of 9.5 points". */
export function barWords(bench: Bench): string {
  return `${Math.max(0, bench.pointsAsked - bench.pointsToGo).toFixed(1)} of ${bench.pointsAsked.toFixed(1)} points`
}

/** What the reading of a check did to the call, in one sentence; empty: it is not read, or not weighed here. */
export function effectWords(bench: Bench, check: string | undefined): string {
  const read = bench.readings.find((one) => one.reading.character === check)?.reading
  if (!read) return ''
  if (read.notBorne) return noneWords(bench)
  if (read.notSeen) return 'Not seen: nothing is weighed.'
  const effect = bench.effects.find((one) => one.character === check)
  if (!effect) return 'Kept. It tells of the place, which does not count at this tier.'
  const now = `${barWords(bench)} now.`
  const speaks =
    effect.points < 0.05 ? 'It speaks for neither.' : `For ${effect.speaksFor}, ${points(effect.points)}.`
  if (effect.backwards) {
    return `For ${effect.speaksFor}, ${points(effect.points)}, but ${effect.gainedMore ?? 'none of these'} gained more: ${now}`
  }
  return effect.leadBefore
    ? `${speaks} It leads now instead of ${effect.leadBefore}: ${now}`
    : `${speaks} ${now}`
}

function noneWords(bench: Bench): string {
  const others = bench.noneOnTree.length
  return others > 0
    ? `None on this tree: ${counted(others, 'more check')} closed for this visit.`
    : 'None on this tree: nothing is weighed.'
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

const KINDS: Readonly<Record<string, string>> = {
  ...REASONS,
  school: 'the schools of practice would name different taxa',
  index: 'a published function speaks for another taxon',
  gate: 'it fails what every member of the group shares',
}

/** Why calls are contested, in words, by the kind of reason and without their sheets. */
export function reasonKindWords(kind: string): string {
  return KINDS[kind] ?? kind
}

/** Why a call is contested, in words. */
export function reasonWords(
  sheet: Sheet,
  code: string,
  worth: readonly { readonly character: string; readonly points: number }[] = [],
): string {
  const [kind = '', about = ''] = code.split(':')
  if (kind === 'school') {
    return `those who trust ${about === 'field-marks' ? 'field marks' : 'close characters'} more would name another taxon`
  }
  if (kind === 'index') return KINDS.index ?? kind
  if (kind === 'gate') {
    const item = sheet.gate.find((one) => one.id === about)
    return `it fails what every member of the group shares: ${item ? amid(item.name) : about}`
  }
  if (kind === 'strong-contrary') {
    const strongest = [...worth].sort((a, b) => a.points - b.points)[0]
    if (strongest) {
      return `${amid(shortName(sheet, strongest.character))} speaks strongly against it (${points(strongest.points)})`
    }
  }
  return REASONS[kind] ?? `${sheet.title}: ${code}`
}
