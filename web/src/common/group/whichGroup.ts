import type { Group } from '../../api/types'

export const WHICH_GROUP = 'Which group?'

export type Props = {
  readonly groups: readonly Group[]
  /** What choosing a group does, in words. */
  readonly choose: string
  readonly onChoose: (group: Group) => void
  readonly onClose: () => void
}
