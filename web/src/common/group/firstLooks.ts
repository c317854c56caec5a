import type { Trait } from '../../api/codes'
import type { DrawingHint } from '../../api/types'

/** The first looks that a sheet can speak of; the server knows the same by code. */
export const TRAITS = [
  { trait: 'foliage', answers: ['broad', 'single-needles', 'needle-tufts', 'needle-bundles'] },
  { trait: 'leaf-set', answers: ['singly', 'pairs'] },
  { trait: 'thorns', answers: ['none', 'some'] },
  { trait: 'blade', answers: ['undivided', 'lobed', 'leaflets'] },
  { trait: 'bud', answers: ['scales', 'one-cap', 'naked'] },
  {
    trait: 'fruit',
    answers: [
      'conifer-cones',
      'small-woody-cones',
      'crumbling-catkins',
      'berries-in-tails',
      'berries',
      'haws',
      'nuts-on-a-wing',
      'woolly-capsules',
      'acorns',
      'winged-keys',
      'capsules-with-down',
      'pomes',
    ],
  },
] as const

const TRAIT_WORDS: Readonly<Record<Trait, string>> = {
  foliage: 'Leaves or needles?',
  'leaf-set': 'How do leaves or buds stand on the twig?',
  thorns: 'Thorns anywhere on twigs or stem?',
  blade: 'How is the leaf cut?',
  bud: 'What covers a winter bud?',
  fruit: 'What does it bear, or what lies beneath it?',
}

const ANSWER_WORDS: Readonly<Record<string, string>> = {
  broad: 'broad leaves',
  'single-needles': 'needles, singly',
  'needle-tufts': 'needles in tufts',
  'needle-bundles': 'needles in bundles of two to five',
  singly: 'singly, by turns',
  pairs: 'in pairs, or nearly so',
  none: 'none',
  some: 'thorns',
  undivided: 'undivided',
  lobed: 'lobed, or cut at the tip',
  leaflets: 'of several leaflets',
  scales: 'two or more scales',
  'one-cap': 'a single cap',
  naked: 'nothing, it is naked and felted',
  'conifer-cones': 'cones of a conifer',
  'small-woody-cones': 'small woody cones that stay',
  'crumbling-catkins': 'catkins that fall to pieces',
  'berries-in-tails': 'berries in tails',
  berries: 'berries in the leaf angles or in heads',
  haws: 'red haws with hard stones',
  'nuts-on-a-wing': 'nuts hanging from a pale wing',
  'woolly-capsules': 'capsules that let wool go',
  acorns: 'acorns in cups',
  'winged-keys': 'flat keys, each with one wing',
  'capsules-with-down': 'hanging catkins of capsules with down',
  pomes: 'small apples with soft cores',
}

const PLAIN_LEAF = {
  ratio: 1.4,
  widest: 0.45,
  base: 'rounded',
  tip: 'short',
  margin: 'single',
  teeth: 14,
  veins: 6,
}

const DRAWN: Readonly<Record<string, DrawingHint>> = {
  broad: { part: 'leaf', parameters: PLAIN_LEAF },
  'single-needles': { part: 'needle-shoot', parameters: { ranks: 'flat' } },
  'needle-tufts': { part: 'tuft', parameters: {} },
  singly: { part: 'arrangement', parameters: { arrangement: 'alternate' } },
  pairs: { part: 'arrangement', parameters: { arrangement: 'opposite' } },
  undivided: { part: 'leaf', parameters: PLAIN_LEAF },
  lobed: { part: 'lobed-leaf', parameters: { depth: 0.5, lobes: 5 } },
  scales: { part: 'bud', parameters: { cover: 'scaled' } },
  'one-cap': { part: 'bud', parameters: { cover: 'cap' } },
  naked: { part: 'bud', parameters: { cover: 'naked' } },
  'conifer-cones': { part: 'cone', parameters: {} },
  'small-woody-cones': { part: 'cone-cluster', parameters: { stalks: 'stalked' } },
  'crumbling-catkins': { part: 'catkin-scale', parameters: { lobes: 'sideways' } },
  'berries-in-tails': { part: 'raceme', parameters: { form: 'hanging' } },
  berries: { part: 'fruit', parameters: { collar: 'disc' } },
  haws: { part: 'stubs', parameters: { stubs: 'one' } },
  'nuts-on-a-wing': { part: 'cyme', parameters: { stance: 'hanging' } },
  'woolly-capsules': { part: 'catkin', parameters: { leaves: 'bare' } },
}

/** A first look as it is asked. */
export function traitWords(trait: Trait): string {
  return TRAIT_WORDS[trait]
}

/** An answer in field words. */
export function answerWords(answer: string): string {
  return ANSWER_WORDS[answer] ?? answer.replaceAll('-', ' ')
}

/** The drawing of an answer, if there is one. */
export function answerDrawn(answer: string): DrawingHint | undefined {
  return DRAWN[answer]
}
