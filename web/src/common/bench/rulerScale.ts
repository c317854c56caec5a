import type { Character } from '../../api/types'
import type { Value } from '../../draw/measured/figure'
import { toItsError } from '../../ui/words'

/** How far off each value may be, one standard deviation; none: nothing is known of it. */
export type Errors = readonly (number | null | undefined)[]

/** The least and the largest value that any candidate is known to have, by the sheet's outer limits. */
export function outermost(character: Character): readonly [number, number] {
  return [character.least ?? 0, character.most ?? 0]
}

/** A value for a measured figure; without one the middle of what the candidates have. */
export function valueOn(character: Character, value: number | undefined): Value {
  const [least, most] = outermost(character)
  const raw = value ?? (least + most) / 2
  return { raw, share: (raw - least) / (most - least || 1) }
}

/** A ruler: from where to where it goes, in which steps it is marked, and how finely it is read. */
export type Scale = {
  readonly from: number
  readonly to: number
  readonly tick: number
  readonly step: number
}

const ROUND = [1, 2, 5]

/** A ruler that holds every candidate with some room at both ends; what is read never moves it. */
export function scaleOf(character: Character): Scale {
  const [low, high] = outermost(character)
  const room = Math.max(high - low, 1e-9) * 0.06
  const about = (high - low) / 8
  const power = 10 ** Math.floor(Math.log10(about || 1))
  const rough = (ROUND.find((one) => one * power >= about) ?? 10) * power
  const tick = character.kind === 'count' ? Math.max(1, rough) : rough
  const step = character.kind === 'count' ? 1 : tick / 10
  return { from: Math.max(0, low - room), to: high + room, tick, step }
}

/**
 * The mean of values as it is shown everywhere: with as many digits as the least of their errors leaves where each has one,
 * else with one decimal more than the finest of them.
 */
export function meanOf(values: readonly number[], errors: Errors = []): string {
  const known = values.flatMap((_, i) => errors[i] ?? []).filter((error) => error > 0)
  if (known.length > 0 && known.length === values.length)
    return `${toItsError(values.reduce((total, value) => total + value, 0) / values.length, Math.min(...known))}`
  const decimals = Math.max(...values.map((value) => `${rounded(value)}`.split('.')[1]?.length ?? 0))
  const sum = values.reduce((total, value) => total + value, 0)
  return rounded(sum / values.length).toFixed(Math.min(decimals + 1, 3))
}

/** Where a value lies on a ruler, from 0 at its start to 1 at its end; what lies off it is shown at its end. */
export function shareOn({ from, to }: Scale, value: number): number {
  return Math.min(1, Math.max(0, (value - from) / (to - from)))
}

/** The ticks of a ruler. */
export function ticksOf({ from, to, tick }: Scale): readonly number[] {
  const first = Math.ceil(from / tick)
  const last = Math.floor(to / tick)
  return Array.from({ length: last - first + 1 }, (_, i) => rounded((first + i) * tick))
}

/** A number without the dust of binary fractions. */
export function rounded(value: number): number {
  return Number(value.toFixed(6))
}
