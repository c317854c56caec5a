/** What somebody typed as numbers, one or several. */
export type Typed = {
  readonly numbers: readonly number[]
  /** the first word that is no number of 0 or more, shortened; undefined: every one is */
  readonly wrong: string | undefined
  /** Whether digits in one row were read as several numbers, which is shown before they are kept. */
  readonly parted: boolean
}

/** Between which numbers every candidate lies. */
export type Limits = readonly [least: number, most: number]

const LONGEST_SHOWN = 16
const TENTHS = 10 // to one
const ABSURD = 10 // times the largest that any candidate has

/**
 * Reads numbers of 0 or more with a point or a comma; a count is whole. Several stand apart, or, where all of them have as many
 * digits as the largest that any candidate has, in one row: "32434" for five counts below ten, "1109131208" for five lengths
 * below a hundred. Measures whose candidates all lie below ten may stand in tenths: "071112" for 0.7, 1.1 and 1.2. A row is
 * parted only where it would be absurd as one number, every part lies within the limits, and it can be read in one way only.
 * @param text such as "12", "11,5", "11 9 13" or "1109"
 */
export function parseNumbers(text: string, isCount: boolean, limits?: Limits): Typed {
  const words = text.split(/[\s;]+/).filter((word) => word !== '')
  const numbers: number[] = []
  let parted = false
  for (const word of words) {
    const plain = /^[+]?(\d*[.,]?\d+|\d+[.,])$/.test(word) // a caliper that types puts a sign before
    const value = Number(word.replace(',', '.'))
    if (!plain || !Number.isFinite(value) || (isCount && !Number.isInteger(value))) {
      const shown = word.length > LONGEST_SHOWN ? `${word.slice(0, LONGEST_SHOWN)}…` : word
      return { numbers, wrong: shown, parted }
    }
    const parts = limits && partsOf(word, isCount, limits)
    if (parts) parted = true
    numbers.push(...(parts ?? [value]))
  }
  return { numbers, wrong: undefined, parted }
}

/** The numbers that a row of digits holds; undefined: it is one number, or nobody can say which of two rows it is. */
function partsOf(word: string, isCount: boolean, [least, most]: Limits): readonly number[] | undefined {
  if (!/^\d+$/.test(word) || Number(word) < ABSURD * most) return undefined
  const width = `${Math.trunc(most)}`.length
  const rows = [rowOf(word, width, 1)]
  if (!isCount && width === 1) rows.push(rowOf(word, width + 1, TENTHS))
  const fitting = rows.filter((row) => row.length > 1 && row.every((part) => part >= least && part <= most))
  return fitting.length === 1 ? fitting[0] : undefined
}

/** A row cut into numbers of as many digits each; empty: it does not divide. */
function rowOf(word: string, digits: number, unit: number): readonly number[] {
  if (word.length % digits !== 0) return []
  return Array.from(
    { length: word.length / digits },
    (_, i) => Number(word.slice(i * digits, (i + 1) * digits)) / unit,
  )
}
