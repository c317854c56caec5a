import type { SurveyRules } from '../../api/types'

/** A plot that is along. */
export type PlotAlong = {
  readonly id: string
  readonly code: string
  readonly trees: number
  /** trees that have a Bench */
  readonly calls: readonly string[]
  /** When it was fetched, in milliseconds of this device's clock. */
  readonly at: number
  /** How large it is, as text. */
  readonly bytes: number
}

/** What of a survey is along. */
export type PackOf = {
  readonly plots: readonly PlotAlong[]
  readonly rules: SurveyRules
  readonly lacking: readonly string[]
  /** Whether the browser has promised not to throw it away. */
  readonly lasts: boolean
}

/** Under which it is kept. */
export const packKey = (surveyId: string) => ['along', surveyId] as const
