export const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const

/** The name of a month, 1-12. */
export function monthName(month: number): string {
  return MONTHS[month - 1] ?? `month ${month}`
}

/** "June 2027"; without a year the month alone. */
export function monthAndYear(month: number, year: number | null | undefined): string {
  return year ? `${monthName(month)} ${year}` : monthName(month)
}

/** Months as runs in words: [4, 5, 6, 9] is "April to June, September". */
export function monthRuns(months: readonly number[]): string {
  const runs: [number, number][] = []
  for (const month of [...months].sort((a, b) => a - b)) {
    const last = runs.at(-1)
    if (last && last[1] === month - 1) last[1] = month
    else runs.push([month, month])
  }
  return runs
    .map(([from, to]) => (from === to ? monthName(from) : `${monthName(from)} to ${monthName(to)}`))
    .join(', ')
}

/** A share of belief as a person reads it; never a flat 0 or 100 unless it is one. */
export function percent(share: number): string {
  const figure = share * 100
  if (figure > 0 && figure < 0.1) return '< 0.1 %'
  if (figure < 100 && figure > 99.9) return '> 99.9 %'
  return `${figure < 10 || figure > 90 ? figure.toFixed(1) : figure.toFixed(0)} %`
}

/** A share with one decimal, so that figures below each other stand with their points in line. */
export function percentAligned(share: number): string {
  const figure = share * 100
  if (figure > 0 && figure < 0.1) return '< 0.1 %'
  if (figure < 100 && figure > 99.9) return '> 99.9 %'
  return `${figure.toFixed(1)} %`
}

/** Points with their sign, one decimal. */
export function points(value: number): string {
  const rounded = value.toFixed(1)
  return Number(rounded) > 0 ? `+${rounded}` : rounded.replace('-', '−').replace(/^−0\.0$/, '0.0')
}

/** What is left of a weight, as people say it: "a quarter". */
export function fractionWords(share: number): string {
  const whole = Math.round(1 / share)
  return { 2: 'half', 3: 'a third', 4: 'a quarter', 5: 'a fifth' }[whole] ?? `${Math.round(100 * share)} %`
}

/** A number with its unit, if it has one. */
export function measured(value: number, unit: string | null | undefined): string {
  const shown = Number(value.toFixed(3)) // what is reckoned has more digits than anybody reads
  return unit ? `${shown} ${unit}` : `${shown}`
}

/** "24.3 ± 0.2 mm": two digits of how far off it may be, and as many of the value; without an error the value alone. */
export function withError(
  value: number,
  error: number | null | undefined,
  unit: string | null | undefined,
): string {
  if (!error) return measured(value, unit)
  return `${toItsError(value, error)} ± ${measured(toItsError(error, error), unit)}`
}

/** A value with no more digits than its error leaves it, which is told with two. */
export function toItsError(value: number, error: number): number {
  const digits = Math.min(3, Math.max(0, 1 - Math.floor(Math.log10(error))))
  return Number(value.toFixed(digits))
}

/** A name as it stands amid a sentence: "rough bark", but "LTF, leaf tooth factor". */
export function amid(name: string): string {
  return /^\p{Lu}\p{Ll}/u.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name
}

/** "1 leaf", "3 leaves": only for words that take an s. */
export function counted(count: number, one: string): string {
  return `${count} ${one}${count === 1 ? '' : 's'}`
}

/** A day as the crew writes it. */
export function day(date: string): string {
  return new Date(date).toLocaleDateString('en-GB', { dateStyle: 'medium' })
}

/** The time of a day: "16:05". */
export function time(instant: string): string {
  return new Date(instant).toLocaleTimeString('en-GB', { timeStyle: 'short' })
}

/** A day and time as the crew writes it. */
export function dayAndTime(instant: string): string {
  return new Date(instant).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
}
