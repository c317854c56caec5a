import type { School } from '../../api/codes'
import type { View } from '../../api/types'

/** How the observer looks at the balance. */
export type BeamView = {
  readonly view: View
  readonly against: View['against'][number]
  /** Whether this is the view that decides the call. */
  readonly deciding: boolean
  readonly alone: boolean
  readonly school: School | undefined
  readonly setAlone: (alone: boolean) => void
  readonly setSchool: (school: School | undefined) => void
  readonly nextSchool: () => void
  readonly nextRival: () => void
}
