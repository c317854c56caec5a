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
