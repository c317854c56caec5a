import { useState } from 'react'
import { choiceOf, SCHOOLS, type School } from '../../api/codes'
import type { Bench } from '../../api/types'
import type { BeamView } from './beamView'

/** The sheet's own weights, then each school's. */
export const WEIGHTS: readonly (School | undefined)[] = [undefined, ...SCHOOLS]

/** The view that decides, unless the observer chose another school, rival or ground. */
export function useBeamView(bench: Bench): BeamView {
  const { decidedOnFeaturesAlone } = bench.judgement
  const [chosenAlone, setAlone] = useState<boolean>()
  const [school, setSchool] = useState<School>()
  const [rival, setRival] = useState(0)
  const alone = chosenAlone ?? decidedOnFeaturesAlone
  const view = bench.views.find((one) => one.featuresAlone === alone && (one.school ?? undefined) === school)
  const against = view?.against[rival % view.against.length]
  if (!view || !against) throw new Error(`the Bench has no view ${school ?? 'of the sheet'}`)
  return {
    view,
    against,
    deciding: school === undefined && alone === decidedOnFeaturesAlone,
    alone,
    school,
    setAlone,
    setSchool,
    nextSchool: () => setSchool(WEIGHTS[(WEIGHTS.indexOf(school) + 1) % WEIGHTS.length]),
    nextRival: () => setRival((rival + 1) % view.against.length),
  }
}

/** Whose weights are shown, in words. */
export function schoolWords(school: School | undefined): string {
  return school ? `those who trust ${choiceOf(school).text}` : 'the sheet'
}
