/** A stem on a map, with what stands beside it: its middle, how large its mark is and its text, all in metres of the map. */
export type Labelled = {
  readonly id: string
  readonly x: number
  readonly y: number
  readonly r: number
  readonly words: string
  /** height of the text */
  readonly size: number
}

/** A label of a stem, by where its text begins from the stem's middle, in metres of the map. */
export type LabelPlace = { readonly x: number; readonly y: number; readonly anchor: 'start' | 'end' }

type Box = { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number }

const LETTER = 0.62 // of the text's height, the widest of its figures
const RISE = 0.74 // of the text's height, above the line that it stands on

/**
 * Where each stem's label stands, stem after stem: above it on the right, or on another side where it would lie on another
 * stem, on a label before it or off the map. Where every side is taken, the one that is covered least.
 *
 * @param room from the middle of the map to its sides, in metres
 */
export function labelPlaces(stems: readonly Labelled[], room: number): ReadonlyMap<string, LabelPlace> {
  const marks = stems.map(({ x, y, r }): Box => ({ left: x - r, right: x + r, top: y - r, bottom: y + r }))
  const taken: Box[] = []
  return new Map(
    stems.map(({ id, x, y, r, words, size }, own) => {
      const width = words.length * LETTER * size
      const others = [...marks.filter((_, i) => i !== own), ...taken, ...around(room)]
      const options = sidesOf(r, size).map((place) => {
        const left = x + place.x - (place.anchor === 'end' ? width : 0)
        const box = { left, right: left + width, top: y + place.y - RISE * size, bottom: y + place.y }
        return { place, box, covered: others.reduce((sum, one) => sum + shared(box, one), 0) }
      })
      const best = options.reduce((one, next) => (next.covered < one.covered ? next : one))
      taken.push(best.box)
      return [id, best.place]
    }),
  )
}

const FAR = 10 // times the room; further out than any label reaches

/** What lies off the map. */
function around(room: number): readonly Box[] {
  const [near, far] = [room, FAR * room]
  return [
    { left: -far, right: -near, top: -far, bottom: far },
    { left: near, right: far, top: -far, bottom: far },
    { left: -near, right: near, top: -far, bottom: -near },
    { left: -near, right: near, top: near, bottom: far },
  ]
}

function sidesOf(r: number, size: number): readonly LabelPlace[] {
  const [beside, above, below] = [1.15 * r, -0.75 * r, 0.75 * r + RISE * size]
  return [
    { x: beside, y: above, anchor: 'start' },
    { x: beside, y: below, anchor: 'start' },
    { x: -beside, y: above, anchor: 'end' },
    { x: -beside, y: below, anchor: 'end' },
    { x: 1.4 * r, y: 0.37 * size, anchor: 'start' },
    { x: -1.4 * r, y: 0.37 * size, anchor: 'end' },
  ]
}

function shared(one: Box, other: Box): number {
  const wide = Math.min(one.right, other.right) - Math.max(one.left, other.left)
  const high = Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top)
  return Math.max(0, wide) * Math.max(0, high)
}
