/** A place in degrees, WGS 84. */
export type Degrees = { readonly latitude: number; readonly longitude: number }

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`
const PART = new RegExp(
  `^\\s*([NSEWO])?\\s*([-+−])?\\s*${NUMBER}(?:\\s*[°d:]?\\s*${NUMBER}(?:\\s*['′m:]?\\s*${NUMBER})?)?\\s*["″s'′°]*\\s*([NSEWO])?\\s*$`,
  'i',
)

/**
 * A position as people write it: "55.0304, -20.3841", "55° 1.824' N 20° 23.046' W", "N 55 1 49.4, W 20 23 2.8".
 * Undefined if it is none, or out of range.
 */
export function parsePosition(text: string): Degrees | undefined {
  const [first, second] = halves(text)
  if (first === undefined || second === undefined) return undefined
  const one = part(first)
  const other = part(second)
  if (!one || !other) return undefined
  const swapped = one.axis === 'east' || other.axis === 'north'
  if (swapped && (one.axis === 'north' || other.axis === 'east')) return undefined // twice the same axis
  const [latitude, longitude] = swapped ? [other.degrees, one.degrees] : [one.degrees, other.degrees]
  return Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180 ? { latitude, longitude } : undefined
}

/** The two halves: parted by a comma with a space or a semicolon, after a letter, or in the middle of the numbers. */
function halves(text: string): readonly (string | undefined)[] {
  const parted =
    /^(.+?)(?:;|,\s|,(?=\s*[-+NSEW])|\t)(.+)$/i.exec(text) ?? /^(.*?[NSEW])\s*(.*\d.*[NSEW])$/i.exec(text)
  if (parted) return [parted[1], parted[2]]
  const before = /^\s*([NS].*?)\s*([EW].*)$/i.exec(text)
  if (before) return [before[1], before[2]]
  const numbers = text.trim().split(/\s+/)
  if (numbers.length % 2 !== 0) {
    const plain = text.split(',')
    return plain.length === 2 ? [plain[0], plain[1]] : []
  }
  return [numbers.slice(0, numbers.length / 2).join(' '), numbers.slice(numbers.length / 2).join(' ')]
}

function part(
  text: string,
): { readonly degrees: number; readonly axis: 'north' | 'east' | undefined } | undefined {
  const match = PART.exec(text)
  if (!match) return undefined
  const [degrees, minutes, seconds] = [match[3], match[4], match[5]].map((one) =>
    one === undefined ? 0 : Number(one.replace(',', '.')),
  ) as [number, number, number]
  if (minutes >= 60 || seconds >= 60) return undefined
  const letter = (match[1] ?? match[6] ?? '').toUpperCase()
  const back = letter === 'S' || letter === 'W' || (match[2] !== undefined && match[2] !== '+')
  const size = degrees + minutes / 60 + seconds / 3600
  const axis = letter === '' ? undefined : letter === 'N' || letter === 'S' ? 'north' : 'east'
  return { degrees: back ? -size : size, axis }
}

/** A position as it is written in the field: 55° 01.824′ N, 20° 23.046′ W. */
export function positionWords({ latitude, longitude }: Degrees): string {
  return `${half(latitude, 'N', 'S')}, ${half(longitude, 'E', 'W')}`
}

function half(degrees: number, ahead: string, back: string): string {
  const thousandths = Math.round(Math.abs(degrees) * 60_000)
  const minutes = ((thousandths % 60_000) / 1000).toFixed(3).padStart(6, '0')
  return `${Math.floor(thousandths / 60_000)}° ${minutes}′ ${degrees < 0 ? back : ahead}`
}
