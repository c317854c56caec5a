import { bark } from './bark'
import { blossom, catkin, cyme, flowering, stubs, styles } from './blossom'
import { bud } from './bud'
import { cone, coneCluster, coneFlower, coneScales } from './cone'
import { conifer, setting, shrub } from './crown'
import { held, margin, petiole, tube } from './edge'
import { raceme } from './flower'
import { catkinScale, fruit, stone } from './fruit'
import { habit, site } from './habit'
import { leaf } from './leaf'
import { arrangement, hairKind, stipules, torn, veinCourse } from './leafparts'
import { lobedLeaf } from './lobed'
import { measured } from './measured'
import type { Value } from './measured/figure'
import { needle, needleSection, needleShoot, spray, tuft } from './needle'
import { crushed, nut, shell } from './nut'
import { type Allowed, Reader } from './parameters'
import type { Parameters, Picture } from './picture'
import { scrape } from './scrape'
import { shoot } from './shoot'
import { smell } from './smell'
import { cut, peeled, stemFoot } from './stemfoot'
import { twig } from './twig'
import { underside } from './underside'

type Part = (read: Reader) => Picture

const PARTS: Readonly<Record<string, Part>> = {
  arrangement,
  bark,
  blossom,
  bud,
  catkin,
  'catkin-scale': catkinScale,
  cone,
  'cone-cluster': coneCluster,
  'cone-flower': coneFlower,
  'cone-scales': coneScales,
  conifer,
  crushed,
  cut,
  cyme,
  flowering,
  fruit,
  habit,
  'hair-kind': hairKind,
  'held-leaf': held,
  leaf,
  'lobed-leaf': lobedLeaf,
  margin,
  needle,
  'needle-section': needleSection,
  'needle-shoot': needleShoot,
  nut,
  peeled,
  petiole,
  raceme,
  scrape,
  setting,
  shell,
  shoot,
  shrub,
  site,
  smell,
  spray,
  'stem-foot': stemFoot,
  stipules,
  stone,
  stubs,
  styles,
  torn,
  tube,
  tuft,
  twig,
  underside,
  'vein-course': veinCourse,
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
