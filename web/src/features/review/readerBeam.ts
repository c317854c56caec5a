import type { Determination } from '../../api/types'
import type { BeamView } from '../../common/bench/beamView'

/** What of a beam its picture needs. */
export type PicturedBeam = Pick<BeamView, 'view' | 'against'>

/** The balance of a signed call, as the beam pictures it. */
export function readerBeam(determination: Determination, featuresAlone: boolean): PicturedBeam {
  const { figures } = determination
  const balance = featuresAlone ? figures.featuresAlone : figures.withSurroundings
  return {
    view: {
      featuresAlone,
      school: null,
      lead: balance.lead,
      shares: balance.shares.map((one) => one.posterior),
      noneOfThese: balance.noneOfThese,
      characters: balance.points.map((one) => one.character),
      against: [],
    },
    against: {
      rival: balance.rival,
      points: balance.points.map((one) => one.points),
      surroundingsPoints: balance.surroundingsPoints,
      totalPoints: balance.totalPoints,
    },
  }
}
