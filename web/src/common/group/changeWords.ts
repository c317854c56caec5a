import type { Aspect } from '../../api/codes'
import type { SheetChange, Stated } from '../../api/types'
import { MONTHS, monthRuns } from '../../ui/words'

const ASPECTS: Readonly<Record<Aspect, string>> = {
  whole: '',
  order: 'order',
  id: 'id',
  title: 'title',
  'short-name': 'short name',
  region: 'region',
  why: 'why they are confused',
  fallback: 'name recorded when they cannot be separated',
  'first-look': 'first look',
  'scientific-name': 'scientific name',
  author: 'author',
  'common-name': 'common name',
  'also-called': 'other names',
  rank: 'rank',
  parents: 'parents',
  origin: 'origin',
  standing: 'standing',
  'of-wild': 'of 100 wild trees',
  'of-planted': 'of 100 planted trees',
  habitat: 'times as common in',
  wording: 'wording',
  organ: 'organ',
  station: 'station',
  'how-to': 'how to look',
  otherwise: 'otherwise',
  'otherwise-group': 'group to look in otherwise',
  drawing: 'drawing',
  'drawing-otherwise': 'drawing otherwise',
  kind: 'kind',
  measured: 'how it is taken',
  'measured-parts': 'what is laid or counted',
  'measured-at': 'where on the axis',
  state: 'state',
  'state-order': 'order of states',
  'state-drawing': 'drawing',
  share: '',
  profile: '',
  weight: 'weight',
  schools: 'weight by school',
  months: 'months',
  stages: 'weight by stage',
  materials: 'weight by material',
  positions: 'weight by place in the crown',
  borne: 'borne by',
  replicates: 'how many make a reading',
  likeness: 'likeness of those of one tree',
  cluster: 'one signal with',
  minutes: 'minutes',
  harm: 'harm',
  hazards: 'hazards',
  sense: 'sense',
  faculty: 'asks for',
  absence: 'not seeing it',
  pitfall: 'pitfall',
  published: 'source',
  positive: 'speaks for',
  negative: 'speaks against',
  coefficients: 'coefficients',
  constant: 'constant',
  undecided: 'undecided below',
  working: 'how to work it',
  // the part that they are says it already
  cautions: '',
  sources: '',
}

/** What is different about a thing, in words: "weight", "silver birch, rough", "drawing of rough". */
export function aspectWords({ aspect, of }: Pick<SheetChange, 'aspect' | 'of'>): string {
  const within = of.map((one) => one.replaceAll('-', ' ')).join(', ')
  const words = ASPECTS[aspect]
  if (words === '') return within
  return within === '' ? words : `${words} ${aspect === 'state-drawing' ? 'of ' : ''}${within}`
}

/** What stands in a sheet, or that nothing does, in words. */
export function statedWords(aspect: Aspect, stated: Stated | null | undefined): string {
  if (!stated) return aspect === 'profile' ? 'derived from its parents' : 'nothing'
  const { kind, texts, numbers } = stated
  switch (kind) {
    case 'words':
      return texts.join('')
    case 'list':
      return texts.join('; ')
    case 'codes':
      return texts.map(spaced).join(', ') || 'none'
    case 'months':
      return numbers.length === MONTHS.length ? 'all year' : monthRuns(numbers) || 'never'
    case 'share':
      return shareWords(numbers[0] ?? 0)
    case 'factors':
      return each(stated, figure) || (aspect === 'borne' ? 'every tree' : 'nothing')
    case 'shares':
      return each(stated, shareWords)
    case 'range': {
      const [rarelyLow, low, high, rarelyHigh] = numbers.map(figure)
      return `(${rarelyLow}–)${low}–${high}(–${rarelyHigh})`
    }
    case 'drawing':
      return drawingWords(stated)
    default:
      return numbers.map(figure).join(', ')
  }
}

function each({ texts, numbers }: Stated, words: (value: number) => string): string {
  return texts.map((text, i) => `${spaced(text)} ${words(numbers[i] ?? 0)}`).join(', ')
}

function drawingWords({ drawing }: Stated): string {
  if (!drawing) return 'nothing'
  const parameters = Object.entries(drawing.parameters).map(([name, value]) => `${name} ${value}`)
  return [spaced(drawing.part), ...parameters].join(', ')
}

function spaced(code: string): string {
  return code.replaceAll('-', ' ')
}

/** A number with at most four digits after the point and no idle zeros. */
function figure(value: number): string {
  return String(Number(value.toFixed(4)))
}

function shareWords(share: number): string {
  return `${Number((100 * share).toFixed(2))} %`
}
