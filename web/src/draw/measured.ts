import { budLength, budRatio, scaleRatio, twigThickness } from './measured/buds'
import {
  freePairs,
  leafletCount,
  leafletRatio,
  leafletStalk,
  notchVeins,
  teethOverVeins,
} from './measured/compound'
import { coneLength, coneletStalk, coneRatio, coneScales, cones, pineconeLength } from './measured/cones'
import type { Figure, Value } from './measured/figure'
import {
  acornStalk,
  flowers,
  fruitLength,
  fruitRatio,
  keyLength,
  stones,
  valves,
  wingRatio,
} from './measured/fruits'
import {
  edgeTeeth,
  firstTooth,
  leafLength,
  leafRatio,
  leafStalk,
  leafWidth,
  lobeCount,
  lobeDepth,
  stalkRatio,
  teethBetween,
  tipWidth,
  veinPairs,
  widestPlace,
} from './measured/leaves'
import {
  bundleLength,
  ductCount,
  needleLength,
  needleMix,
  needleWidth,
  needleYears,
  poreRows,
} from './measured/needles'
import { LEAVES } from './measured/ownleaf'
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
  'bud-ratio',
  'twig-thickness',
  'widest-place',
  'stalk-ratio',
  'edge-teeth',
  'notch-veins',
  'leaflet-count',
  'leaflet-stalk',
  'leaflet-ratio',
  'teeth-over-veins',
  'free-pairs',
  'bundle-length',
  'needle-years',
  'duct-count',
  'conelet-stalk',
  'pinecone-length',
  'acorn-stalk',
  'key-length',
  'valves',
] as const

export type Measured = (typeof MEASURED)[number]

/**
 * The part with the dimension line drawn on it, so that one sees what to measure, as large as the value says.
 *
 * what: is measured or counted; leaf: whose leaf it is, where it is one.
 */
export function measured(read: Reader, value: Value): Picture {
  const what = read.word('what', MEASURED)
  const leaf = read.word('leaf', LEAVES)
  read.done()
  const sketch = new Sketch()
  FIGURES[what](sketch, { raw: value.raw, share: Math.min(1.1, Math.max(-0.05, value.share)) }, leaf)
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
  'bud-ratio': budRatio,
  'twig-thickness': twigThickness,
  'widest-place': widestPlace,
  'stalk-ratio': stalkRatio,
  'edge-teeth': edgeTeeth,
  'notch-veins': notchVeins,
  'leaflet-count': leafletCount,
  'leaflet-stalk': leafletStalk,
  'leaflet-ratio': leafletRatio,
  'teeth-over-veins': teethOverVeins,
  'free-pairs': freePairs,
  'bundle-length': bundleLength,
  'needle-years': needleYears,
  'duct-count': ductCount,
  'conelet-stalk': coneletStalk,
  'pinecone-length': pineconeLength,
  'acorn-stalk': acornStalk,
  'key-length': keyLength,
  valves,
}
