import { acorn, femaleFlowers, smallAcorns } from './acorn'
import { bark } from './bark'
import { blossom, catkin, cyme, flowering, stubs, styles } from './blossom'
import { bud } from './bud'
import { budTip, dryFruit, joints, thorns } from './budtip'
import { cone, coneCluster, coneFlower, coneScales } from './cone'
import { conifer, setting, shrub } from './crown'
import { crown } from './crownform'
import { held, margin, petiole, tube } from './edge'
import { leafOfLeaflets } from './feathered'
import { raceme } from './flower'
import { catkinScale, fruit, stone } from './fruit'
import { dieback, leafSpots, stalkGall } from './gall'
import { habit, site } from './habit'
import { breeze, drooping } from './hanging'
import { ashFlowers, capsule, fringedScale, key, keyBunch, wingedPair } from './keys'
import { leaf } from './leaf'
import { arrangement, hairKind, stipules, torn, veinCourse } from './leafparts'
import { lobedLeaf } from './lobed'
import { leafFoot, pinnateLeaf } from './lobedblade'
import { measured } from './measured'
import type { Value } from './measured/figure'
import { needle, needleSection, needleShoot, spray, tuft } from './needle'
import { needleBundle, needleDucts, pineBud, pineShoot } from './needlebundle'
import { crushed, nut, shell } from './nut'
import { palmateLeaf } from './palmate'
import { type Allowed, Reader } from './parameters'
import type { Parameters, Picture } from './picture'
import { closedCone, coneBoss, coneStance, oldCones, resinLump } from './pinecone'
import { fruitHead, inFours, leafScar, pome } from './pome'
import { scrape } from './scrape'
import { shoot } from './shoot'
import { smell } from './smell'
import { deadLeaves, flush, leafStalk, tenFeet, twigSection } from './stalk'
import { risingStem, stand } from './standing'
import { cut, peeled, stemFoot } from './stemfoot'
import { twig } from './twig'
import { underside } from './underside'

type Part = (read: Reader) => Picture

const PARTS: Readonly<Record<string, Part>> = {
  acorn,
  arrangement,
  'ash-flowers': ashFlowers,
  bark,
  blossom,
  breeze,
  bud,
  'bud-tip': budTip,
  capsule,
  catkin,
  'catkin-scale': catkinScale,
  'closed-cone': closedCone,
  cone,
  'cone-boss': coneBoss,
  'cone-cluster': coneCluster,
  'cone-flower': coneFlower,
  'cone-scales': coneScales,
  'cone-stance': coneStance,
  conifer,
  crown,
  crushed,
  cut,
  cyme,
  'dead-leaves': deadLeaves,
  dieback,
  'drooping-leaves': drooping,
  'dry-fruit': dryFruit,
  'female-flowers': femaleFlowers,
  flowering,
  flush,
  'fringed-scale': fringedScale,
  fruit,
  'fruit-head': fruitHead,
  habit,
  'hair-kind': hairKind,
  'held-leaf': held,
  'in-fours': inFours,
  joints,
  key,
  'key-bunch': keyBunch,
  leaf,
  'leaf-foot': leafFoot,
  'leaf-of-leaflets': leafOfLeaflets,
  'leaf-scar': leafScar,
  'leaf-spots': leafSpots,
  'leaf-stalk': leafStalk,
  'lobed-leaf': lobedLeaf,
  margin,
  needle,
  'needle-bundle': needleBundle,
  'needle-ducts': needleDucts,
  'needle-section': needleSection,
  'needle-shoot': needleShoot,
  nut,
  'old-cones': oldCones,
  'palmate-leaf': palmateLeaf,
  peeled,
  petiole,
  'pine-bud': pineBud,
  'pine-shoot': pineShoot,
  'pinnate-leaf': pinnateLeaf,
  pome,
  raceme,
  'resin-lump': resinLump,
  'rising-stem': risingStem,
  scrape,
  setting,
  shell,
  shoot,
  shrub,
  site,
  'small-acorns': smallAcorns,
  smell,
  spray,
  'stalk-gall': stalkGall,
  stand,
  'stem-foot': stemFoot,
  stipules,
  stone,
  stubs,
  styles,
  'ten-feet': tenFeet,
  thorns,
  torn,
  tube,
  tuft,
  twig,
  'twig-section': twigSection,
  underside,
  'vein-course': veinCourse,
  'winged-pair': wingedPair,
}

const MEASURED_PART = 'measured'
const MIDDLE: Value = { raw: 3, share: 0.5 }

/** The parts that are drawn. */
export const PART_NAMES: readonly string[] = Object.keys(PARTS)

/**
 * The picture of a part with its parameters.
 * @param value to which a measured figure is drawn
 * @returns undefined for a part that nobody draws yet, whose words then stand for it
 * @throws RangeError for a parameter that is unknown or out of range
 */
export function draw(part: string, parameters: Parameters, value: Value = MIDDLE): Picture | undefined {
  if (part === MEASURED_PART) return measured(new Reader(part, parameters), value)
  return Object.hasOwn(PARTS, part) ? PARTS[part]?.(new Reader(part, parameters)) : undefined
}

/** What a part is drawn with, by parameter: what is said of it, and what stands in for the rest. */
export function drawnWith(part: string, parameters: Parameters): ReadonlyMap<string, unknown> {
  const read = new Reader(part, parameters)
  if (part === MEASURED_PART) measured(read, MIDDLE)
  else PARTS[part]?.(read)
  return read.drawnWith()
}

/** What every part may be drawn with, by part and parameter. */
export function catalogue(): ReadonlyMap<string, ReadonlyMap<string, Allowed>> {
  const all = new Map<string, ReadonlyMap<string, Allowed>>()
  for (const part of [...PART_NAMES, MEASURED_PART].sort()) {
    const read = new Reader(part, {})
    if (part === MEASURED_PART) measured(read, MIDDLE)
    else PARTS[part]?.(read)
    all.set(part, read.catalogue())
  }
  return all
}
