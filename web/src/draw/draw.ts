import { bark } from './bark'
import { bud, shoot } from './bud'
import { held, margin, petiole, tube } from './edge'
import { raceme } from './flower'
import { catkinScale, fruit, stone } from './fruit'
import { habit, site } from './habit'
import { leaf } from './leaf'
import { Reader } from './parameters'
import type { Parameters, Picture } from './picture'
import { scrape, smell, twig } from './twig'
import { underside } from './underside'

type Part = (read: Reader) => Picture

const PARTS: ReadonlyMap<string, Part> = new Map<string, Part>([
  ['bark', bark],
  ['bud', bud],
  ['catkin-scale', catkinScale],
  ['fruit', fruit],
  ['habit', habit],
  ['held-leaf', held],
  ['leaf', leaf],
  ['margin', margin],
  ['petiole', petiole],
  ['raceme', raceme],
  ['scrape', scrape],
  ['shoot', shoot],
  ['site', site],
  ['smell', smell],
  ['stone', stone],
  ['tube', tube],
  ['twig', twig],
  ['underside', underside],
])

/**
 * The picture of a part with its parameters.
 * @returns undefined for a part that nobody draws yet, whose words then stand for it
 * @throws RangeError for a parameter that is unknown or out of range
 */
export function draw(part: string, parameters: Parameters): Picture | undefined {
  return PARTS.get(part)?.(new Reader(part, parameters))
}
