import { budLength, scaleRatio } from './measured/buds'
import { coneLength, coneRatio, coneScales, cones } from './measured/cones'
import type { Figure, Value } from './measured/figure'
import { flowers, fruitLength, fruitRatio, stones, wingRatio } from './measured/fruits'
import {
  firstTooth,
  leafLength,
  leafRatio,
  leafStalk,
  leafWidth,
  lobeCount,
  lobeDepth,
  teethBetween,
  tipWidth,
  veinPairs,
} from './measured/leaves'
import { needleLength, needleMix, needleWidth, poreRows } from './measured/needles'
import { ridge, tiers } from './measured/stems'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

/** What can be measured or counted. */
export const MEASURED = [
  'leaf-length',
  'leaf-width',
  'leaf-ratio',
  'leaf-stalk',
  'first-tooth',
  'tip-width',
  'teeth-between',
  'vein-pairs',
  'lobe-depth',
  'lobe-count',
  'needle-length',
  'needle-width',
  'needle-mix',
  'pore-rows',
  'bud-length',
  'scale-ratio',
  'cone-length',
  'cone-ratio',
  'cone-scales',
  'cones',
  'fruit-length',
  'fruit-ratio',
  'stones',
  'flowers',
  'wing-ratio',
  'tiers',
  'ridge',
] as const

export type Measured = (typeof MEASURED)[number]

/**
 * The part with the dimension line drawn on it, so that one sees what to measure, as large as the value says.
 *
 * what: is measured or counted.
 */
export function measured(read: Reader, value: Value): Picture {
  const what = read.word('what', MEASURED)
  read.done()
  const sketch = new Sketch()
  FIGURES[what](sketch, { raw: value.raw, share: Math.min(1.1, Math.max(-0.05, value.share)) })
  return sketch.picture()
}

const FIGURES: Readonly<Record<Measured, Figure>> = {
  'leaf-length': leafLength,
  'leaf-width': leafWidth,
  'leaf-ratio': leafRatio,
  'leaf-stalk': leafStalk,
  'first-tooth': firstTooth,
  'tip-width': tipWidth,
  'teeth-between': teethBetween,
  'vein-pairs': veinPairs,
  'lobe-depth': lobeDepth,
  'lobe-count': lobeCount,
  'needle-length': needleLength,
  'needle-width': needleWidth,
  'needle-mix': needleMix,
  'pore-rows': poreRows,
  'bud-length': budLength,
  'scale-ratio': scaleRatio,
  'cone-length': coneLength,
  'cone-ratio': coneRatio,
  'cone-scales': coneScales,
  cones,
  'fruit-length': fruitLength,
  'fruit-ratio': fruitRatio,
  stones,
  flowers,
  'wing-ratio': wingRatio,
  tiers,
  ridge,
}
