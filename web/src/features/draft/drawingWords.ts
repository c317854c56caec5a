import { PART_NAMES } from '../../draw/draw'

/** The drawings by the part of the plant that they show, from the whole tree to its finest part. */
const BY_ORGAN: readonly (readonly [organ: string, parts: readonly string[]])[] = [
  ['The whole tree, and where it stands', ['habit', 'conifer', 'shrub', 'setting', 'site', 'stem-foot']],
  ['Bark and wood', ['bark', 'peeled', 'scrape', 'cut']],
  ['Twig and bud', ['twig', 'shoot', 'bud', 'stubs', 'arrangement', 'stipules']],
  [
    'Leaf',
    [
      'leaf',
      'lobed-leaf',
      'margin',
      'petiole',
      'underside',
      'hair-kind',
      'vein-course',
      'held-leaf',
      'tuft',
      'torn',
      'crushed',
      'smell',
    ],
  ],
  ['Needle', ['needle', 'needle-shoot', 'needle-section', 'spray']],
  ['Flower', ['blossom', 'flowering', 'cyme', 'raceme', 'catkin', 'styles', 'tube', 'cone-flower']],
  [
    'Fruit and cone',
    ['fruit', 'stone', 'nut', 'shell', 'cone', 'cone-scales', 'cone-cluster', 'catkin-scale'],
  ],
]

/** Every drawing that there is, by part of the plant; one that nobody sorted yet comes last. */
export function drawingsByOrgan(): readonly (readonly [organ: string, parts: readonly string[]])[] {
  const sorted = BY_ORGAN.flatMap(([, parts]) => parts)
  const others = PART_NAMES.filter((part) => !sorted.includes(part))
  return others.length === 0 ? BY_ORGAN : [...BY_ORGAN, ['Others', others]]
}

/** What the settings of drawings are called where their names alone would not say it. */
const WORDS: Readonly<Record<string, string>> = {
  arch: 'how far the side veins bend',
  asymmetry: 'how uneven its halves are',
  base: 'shape of the base',
  bears: 'what it bears',
  bands: 'pale bands below',
  bloom: 'waxy bloom',
  boughs: 'how the boughs stand',
  bracts: 'bracts between the scales',
  canals: 'where the resin canals lie',
  cloud: 'cloud of pollen',
  collar: 'collar at its base',
  course: 'course of the side veins',
  cover: 'what covers it',
  cross: 'veins across',
  dashes: 'pale dashes',
  depth: 'how deep the lobes are cut',
  edges: 'edges of the scales',
  feel: 'how it holds its shape',
  felt: 'felt of hairs',
  finger: 'with a finger that feels it',
  foot: 'the foot of the stem',
  gives: 'how it gives when crushed',
  gloss: 'shine',
  kind: 'kind of hair',
  length: 'how long it is',
  midrib: 'hairs along the midrib',
  of: 'what is smelled',
  pairs: 'pairs of side veins',
  pores: 'lines of pores above',
  ranks: 'how the needles stand',
  ratio: 'length to width',
  ribs: 'ribs',
  ridges: 'ridges on the wood',
  rust: 'rust-coloured hairs',
  scent: 'what it smells of',
  sinus: 'gaps between the lobes',
  slim: 'slim',
  skin: 'its surface',
  spine: 'ending in a spine',
  sprouts: 'sprouts at the foot',
  stance: 'how it stands',
  stalk: 'the stalk',
  stalked: 'on a stalk',
  stubs: 'how many on a stub',
  styles: 'how many styles',
  suckers: 'suckers around it',
  teeth: 'teeth along the edge',
  threads: 'threads where it is torn',
  tips: 'tips of the teeth drawn out',
  tone: 'colour',
  tufts: 'tufts in the vein angles',
  vein: 'course of the lowest vein',
  veins: 'side veins',
  water: 'water in the ground',
  what: 'what is measured',
  when: 'flowers and leaves',
  widest: 'where it is widest, from the base',
}

/** A setting of a drawing in words. */
export function settingWords(name: string): string {
  return WORDS[name] ?? name.replaceAll(/([A-Z])/g, ' $1').toLowerCase()
}
