import type { LookVerdict, NearKind, Work } from '../../api/codes'
import type { NearStem } from '../../api/types'

const NEAR: Readonly<Record<NearKind, string>> = {
  keep: 'must be kept',
  'look-alike': 'looks alike',
  unread: 'nobody has read it',
  'not-approved': 'called the same, not approved',
}

const VERDICTS: Readonly<Record<LookVerdict, string>> = {
  confirmed: 'Confirmed',
  'not-yet': 'Not yet',
  'do-not-cut': 'Do not cut',
}

const WORKS: Readonly<Record<Work, string>> = {
  cut: 'cut',
  treated: 'treated',
  left: 'left standing',
  'wrong-tree': 'the wrong tree was cut',
}

/** Why a stem is told of, in words. */
export function nearWords({ kind, name }: NearStem): string {
  return name ? `${name}, ${NEAR[kind]}` : NEAR[kind]
}

/** What a look says, in words. */
export function verdictWords(verdict: LookVerdict): string {
  return VERDICTS[verdict]
}

/** What was done, in words. */
export function workWords(what: Work): string {
  return WORKS[what]
}

const POINTS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const
const EIGHTH = 45

/** A direction as people say it: 118° E. */
export function directionWords(degrees: number): string {
  const point = POINTS[Math.round(degrees / EIGHTH) % POINTS.length]
  return `${Math.round(degrees)}° ${point}`
}

/** Metres to a tenth. */
export function metresWords(metres: number): string {
  return `${metres.toFixed(1)} m`
}
