import type { TreeRow, Vigour } from '../../api/types'

/** How a tree does, in a few words; empty: nothing was noted. */
export function vigourWords(vigour: Vigour | null | undefined): string {
  if (!vigour) return ''
  return [
    vigour.dead ? 'dead' : '',
    vigour.crown ?? '',
    vigour.leaders && vigour.leaders.length > 0 ? `leaders ${vigour.leaders.join(', ')} mm` : '',
    vigour.dieback != null ? `dieback ${vigour.dieback}` : '',
    vigour.form ?? '',
    ...(vigour.damages ?? []),
  ]
    .filter((word) => word !== '')
    .join(', ')
}

/** Which neighbours press a tree, the hardest first. */
export function pressureWords(tree: TreeRow): string {
  return tree.pressing
    .map(({ tag, metres, share }) => `tree ${tag} (${metres.toFixed(1)} m, ${Math.round(100 * share)} %)`)
    .join(', ')
}
