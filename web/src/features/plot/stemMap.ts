import type { TreeRow } from '../../api/types'
import { placeOf } from '../../common/plot/places'

const FAR_OFF = 1000 // metres; more than any plot is wide

const DIRECTIONS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
}

/**
 * The stem that an arrow key leads to: the nearest in that direction, where sideways counts twice, and far off the
 * direction only if nothing else is there. The same stem if there is none, the first if none is chosen.
 */
export function neighbour(
  trees: readonly TreeRow[],
  chosen: string | undefined,
  key: string,
): string | undefined {
  const from = trees.find((tree) => tree.id === chosen)
  const direction = DIRECTIONS[key]
  if (!from || !direction) return chosen ?? trees[0]?.id
  const here = placeOf(from)
  let best: { id: string; cost: number } | undefined
  for (const tree of trees) {
    const there = placeOf(tree)
    const [east, south] = [there.x - here.x, there.y - here.y]
    const ahead = east * direction[0] + south * direction[1]
    const aside = Math.abs(east * direction[1]) + Math.abs(south * direction[0])
    const cost = ahead + 2 * aside + (aside > 2 * ahead ? FAR_OFF : 0)
    if (tree.id !== from.id && ahead > 0 && (!best || cost < best.cost)) best = { id: tree.id, cost }
  }
  return best?.id ?? from.id
}

/** How thick a stem is drawn, in metres of the map: to be seen, not to scale. */
export function markRadius(diameterMillimetres: number, plotRadius: number): number {
  const share = Math.min(1, Math.sqrt(diameterMillimetres / 600))
  return plotRadius * (0.022 + 0.018 * share)
}

/** A label of a stem, by where its text begins from the stem's middle, in metres of the map. */
export type LabelPlace = { readonly x: number; readonly y: number; readonly anchor: 'start' | 'end' }

type Box = { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number }

const LETTER = 0.62 // of the text's height, the widest of its figures
const RISE = 0.74 // of the text's height, above the line that it stands on

/** Height of a label's text, in metres of the map. */
export function labelSize(plotRadius: number): number {
  return plotRadius * 0.052
}

/**
 * Where each stem's label stands, stem after stem: above it on the right, or on another side where it would lie on another
 * stem or a label before it. Where every side is taken, the one that is covered least.
 */
export function labelPlaces(
  trees: readonly TreeRow[],
  plotRadius: number,
  wordsOf: (tree: TreeRow) => string,
): ReadonlyMap<string, LabelPlace> {
  const size = labelSize(plotRadius)
  const marks = trees.map((tree): Box => {
    const { x, y } = placeOf(tree)
    const r = markRadius(tree.diameterMillimetres, plotRadius)
    return { left: x - r, right: x + r, top: y - r, bottom: y + r }
  })
  const taken: Box[] = []
  return new Map(
    trees.map((tree, own) => {
      const { x, y } = placeOf(tree)
      const r = markRadius(tree.diameterMillimetres, plotRadius)
      const width = wordsOf(tree).length * LETTER * size
      const options = sidesOf(r, size).map((place) => {
        const left = x + place.x - (place.anchor === 'end' ? width : 0)
        const box = { left, right: left + width, top: y + place.y - RISE * size, bottom: y + place.y }
        const others = marks.filter((_, i) => i !== own)
        return { place, box, covered: [...others, ...taken].reduce((sum, one) => sum + shared(box, one), 0) }
      })
      const best = options.reduce((one, next) => (next.covered < one.covered ? next : one))
      taken.push(best.box)
      return [tree.id, best.place]
    }),
  )
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
