import type { TreeLook } from '../../api/codes'
import type { NamedTaxon, TreeRow } from '../../api/types'
import { monthName } from '../../ui/words'

/** How a tree looks on the map, in words: each is told apart by its shape, not by its colour. */
export const LOOK_WORDS: Readonly<Record<TreeLook, string>> = {
  plain: 'nobody doubts it',
  open: 'not read yet',
  begun: 'begun',
  contested: 'contested',
  waiting: 'to come back, or at the laboratory',
  signed: 'signed',
  review: 'under review, to be read blind',
  stem: 'a stem of another tree’s clone',
}

/** What a tree is, as far as anybody knows: "silver birch", "one of the birches". */
export function identityOf(tree: TreeRow, taxa: readonly NamedTaxon[]): string {
  if (tree.plainTaxon) {
    return taxa.find((one) => one.scientificName === tree.plainTaxon)?.commonName ?? tree.plainTaxon
  }
  if (tree.standsAs === 'taxon' && tree.standsName) return tree.standsName
  return `one of the ${groupWords(tree.groupId, taxa)}`
}

/** How the call stands, in words: "contested", "come back in June". */
export function stateOf(tree: TreeRow, bearer: TreeRow | undefined): string {
  if (tree.cloneOf) return `stem of tree ${bearer?.tag ?? '?'}`
  switch (tree.standsAs) {
    case 'plain':
      return 'plain'
    case 'taxon':
      return tree.reviewed ? 'reviewed, agreed' : tree.contested ? 'signed, contested' : 'signed'
    case 'group':
      return 'group only'
    case 'come-back':
      return `come back in ${monthName(tree.comeBackMonth ?? 0)}`
    case 'review':
      return 'under review'
    case 'laboratory':
      return 'at the laboratory'
    default:
      if (tree.contested) return 'contested'
      return tree.readings > 0 ? 'begun' : 'not read yet'
  }
}

/** A group as the crew says it: "bird cherries". */
export function groupWords(groupId: string | null | undefined, taxa: readonly NamedTaxon[]): string {
  return taxa.find((one) => one.groupId === groupId)?.groupName ?? groupId ?? ''
}
