import type { CaseReason, Hindrance, ReviewOutcome } from '../../api/codes'
import type { ReviewRow } from '../../api/types'
import { counted } from '../../ui/words'

const REASONS: Readonly<Record<CaseReason, string>> = {
  contested: 'contested',
  tier: 'a weighty record',
  control: 'for control',
  practice: 'not practised as asked',
  'last-look': 'doubted at its last look',
  'wrong-tree': 'mistaken for another when it was cut',
  drawn: 'drawn by lot',
}

/** Why a call is reviewed, in words. */
export function reasonOf(code: CaseReason): string {
  return REASONS[code]
}

/** What a case waits for, in words. */
export function needOf({ needs, state, looks, takenBy, mine, outcome, stuck }: ReviewRow): string {
  if (state === 'settled') return outcomeOf(outcome)
  if (mine) return 'you are reading it'
  if (state === 'reading') return `${takenBy} is reading it`
  if (stuck) return 'somebody who has not seen it'
  if (needs === 'blind-reading') return looks > 1 ? 'a third look, blind' : 'a blind reading'
  if (needs === 'laboratory') return 'the laboratory'
  return 'a decision'
}

const OUTCOMES: Readonly<Record<ReviewOutcome, string>> = {
  agree: 'agreed',
  overrule: 'overruled',
  'third-look': 'third look asked for',
  laboratory: 'sent to the laboratory',
  'laboratory-result': 'named by the laboratory',
  'not-separable': 'not separable',
  withdrawn: 'withdrawn by its reader',
}

export function outcomeOf(code: ReviewOutcome | null | undefined): string {
  return code ? OUTCOMES[code] : ''
}

const WHY_NOT: Readonly<Record<Hindrance, string>> = {
  own: 'not by you: it is your own call',
  seen: 'not by you: you saw what others made of it',
  unread: 'somebody reads it blind first',
  taken: 'not now: somebody else is at it',
  role: 'a reviewer decides',
  closed: 'the survey is closed',
}

export function whyNotOf(code: Hindrance | null | undefined): string {
  return code ? WHY_NOT[code] : ''
}

/** How long ago, in days, as people say it. */
export function ageOf(instant: string, now = Date.now()): string {
  const days = Math.max(0, Math.floor((now - Date.parse(instant)) / 86_400_000))
  return days === 0 ? 'since today' : `for ${counted(days, 'day')}`
}
