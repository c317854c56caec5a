import type { Plot, TreeBody, TreeRow } from '../../api/types'
import type { ParsedLine } from './quickEntry'

/** What a line is held against of a tree that is there. */
export type Known = Pick<TreeRow, 'id' | 'tag' | 'groupId'>

/** What the plot itself says against a line. */
export function inPlot({ tree }: ParsedLine, plot: Plot, trees: readonly Known[]): string[] {
  const problems: string[] = []
  if (tree.tag !== undefined && trees.some((one) => one.tag === tree.tag)) {
    problems.push(`tag ${tree.tag} is taken in this plot`)
  }
  if (tree.distanceMetres !== undefined && tree.distanceMetres > plot.radiusMetres) {
    problems.push(`${tree.distanceMetres} m is outside the plot, whose radius is ${plot.radiusMetres} m`)
  }
  if (tree.cloneOfTag !== undefined) {
    const bearer = trees.find((one) => one.tag === tree.cloneOfTag)
    if (!bearer) problems.push(`there is no tree ${tree.cloneOfTag} to be a stem of`)
    else if (!bearer.groupId)
      problems.push(
        `tree ${tree.cloneOfTag} is recorded plainly; only a tree for the Bench bears a clone’s call`,
      )
  }
  return problems
}

/** The tree as it is sent; a line without problems has all that is asked for. */
export function bodyOf({ tree }: ParsedLine, trees: readonly Known[]): TreeBody {
  const { cloneOfTag, ...rest } = tree
  const bearer = trees.find((one) => one.tag === cloneOfTag)
  return {
    tag: 0,
    azimuthDegrees: 0,
    distanceMetres: 0,
    diameterMillimetres: 0,
    conditionNotes: '',
    ...rest,
    ...(bearer ? { cloneOf: bearer.id } : {}),
    ...(bearer && !rest.plainTaxon ? { groupId: rest.groupId ?? bearer.groupId } : {}),
  }
}
