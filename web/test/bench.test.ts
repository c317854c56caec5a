import { describe, expect, it } from 'vitest'
import type { Bench, Character, NewReading, Sheet } from '../src/api/types'
import { entriesOf, mannerWords, marksOf, wordsOfReading } from '../src/common/bench/entries'
import { firstInHand, stopOf, stops } from '../src/common/bench/inHand'
import { effectWords, reasonWords, timesIn } from '../src/common/bench/judgementWords'
import { nextOf, TRAITS } from '../src/common/bench/traits'
import { backToMark, backToReading } from '../src/common/bench/undo'
import type { Entered, Unsent } from '../src/common/bench/unsent'

const bark = {
  id: 'bark',
  name: 'Bark',
  zone: 'trunk',
  harm: 'none',
  states: [],
  unit: 'mm',
} as unknown as Character
const twig = {
  id: 'twig',
  name: 'Twig',
  shortName: 'Twig',
  zone: 'hand',
  harm: 'none',
  states: [
    { id: 'few', name: 'few warts' },
    { id: 'many', name: 'many warts' },
  ],
} as unknown as Character
const pith = { id: 'pith', name: 'Pith', zone: 'cut', harm: 'wound', states: [] } as unknown as Character
const sheet = {
  title: 'Birches',
  characters: [pith, twig, bark],
  gate: [{ id: 'white', name: 'Bark peels' }],
} as unknown as Sheet
const reading = (character: string, part: Partial<NewReading> = {}): NewReading => ({
  character,
  notSeen: false,
  ...part,
})
const bench = (part: object = {}) =>
  ({
    readings: [{ reading: reading('twig', { states: ['few'] }) }],
    gate: [{ item: 'white', fits: true }],
    outOfSeason: [],
    notAtThisStage: [],
    noneOnTree: [],
    missing: [],
    conditions: [],
    tree: { woundingAllowed: false },
    ...part,
  }) as unknown as Bench
const unsent = (entered: Entered, refused?: string) =>
  ({
    id: 'u',
    observer: 'Dipper',
    surveyId: 's',
    treeId: 't',
    at: 0,
    entered,
    ...(refused ? { refused } : {}),
  }) as Unsent

describe('what stands on the Bench', () => {
  it('is what was entered last, whether the server has it or not', () => {
    const entries = entriesOf(bench(), [
      unsent({ kind: 'reading', reading: reading('bark', { values: [3] }) }),
      unsent({ kind: 'reading', reading: reading('twig', { states: ['many'] }) }),
    ])

    expect(entries.get('twig')?.reading.states).toEqual(['many'])
    expect(entries.get('twig')?.unsent).toBeDefined()
    expect(entries.get('bark')?.reading.values).toEqual([3])
  })

  it('no longer has what was taken back', () => {
    const back = unsent({ kind: 'reading', reading: reading('twig', { withdrawn: true }) })
    const off = unsent({ kind: 'mark', item: 'white', mark: 'taken-back' })

    expect(entriesOf(bench(), [back]).has('twig')).toBe(false)
    expect(marksOf(bench(), [off]).has('white')).toBe(false)
    expect(marksOf(bench(), [unsent({ kind: 'mark', item: 'white', mark: 'fails' })]).get('white')).toBe(
      false,
    )
  })

  it('is told in words', () => {
    expect(wordsOfReading(twig, reading('twig', { states: ['many'] }))).toBe('many warts')
    expect(wordsOfReading(twig, reading('twig', { states: ['many', 'few', 'many'] }))).toBe(
      '1 × few warts, 2 × many warts',
    )
    expect(wordsOfReading(bark, reading('bark', { values: [11, 9] }))).toBe('11, 9 mm')
    expect(wordsOfReading(bark, reading('bark', { notSeen: true }))).toBe('not seen')
    expect(wordsOfReading(bark, reading('bark', { notSeen: true, notBorne: true }))).toBe('none on this tree')
  })
})

describe('how something was read', () => {
  const lit = {
    ...twig,
    assumedCertainty: 'sure',
    materialMatters: true,
    assumedMaterial: 'attached',
    positionMatters: true,
    assumedPosition: null,
  } as unknown as Character

  it('marks what nobody said as assumed, and names nothing where nothing can be assumed', () => {
    expect(mannerWords(lit, reading('twig', { states: ['few'] }))).toBe('sure (assumed), attached (assumed)')
    expect(
      mannerWords(lit, reading('twig', { states: ['few'], certainty: 'fairly', position: 'shade' })),
    ).toBe('fairly, attached (assumed), shade')
    expect(mannerWords(lit, reading('twig', { notSeen: true }))).toBe('')
  })
})

describe('the path', () => {
  it('goes from the gate on as the server orders it', () => {
    expect(stops(bench({ path: ['bark', 'twig'] }), sheet)).toEqual(['gate', 'bark', 'twig'])
  })
})

describe('undo', () => {
  it('puts back what was read before, or nothing', () => {
    const before = reading('twig', { states: ['few'] })

    expect(backToReading('twig', before)).toEqual({ kind: 'reading', reading: before })
    expect(backToReading('twig', undefined)).toMatchObject({
      reading: { character: 'twig', withdrawn: true },
    })
    expect(backToMark('white', undefined)).toMatchObject({ mark: 'taken-back' })
    expect(backToMark('white', true)).toMatchObject({ mark: 'fits' })
  })
})

describe('what a reading did to the call', () => {
  const judged = (effect: object, part: object = {}) =>
    bench({
      effects: [{ character: 'twig', speaksFor: 'silver birch', points: 3.7, backwards: false, ...effect }],
      pointsAsked: 9.5,
      pointsToGo: 4,
      ...part,
    })

  it('is said in one sentence, with how far the call is now', () => {
    expect(effectWords(judged({}), 'twig')).toBe('For silver birch, +3.7. 5.5 of 9.5 points now.')
    expect(effectWords(judged({ leadBefore: 'downy birch' }), 'twig')).toContain(
      'leads now instead of downy birch',
    )
    expect(effectWords(judged({ points: 0 }), 'twig')).toContain('speaks for neither')
  })

  it('says so when the call is further from its end although the reading speaks for the lead', () => {
    const words = effectWords(judged({ backwards: true, gainedMore: 'hybrid birch' }), 'twig')

    expect(words).toBe('For silver birch, +3.7, but hybrid birch gained more: 5.5 of 9.5 points now.')
    expect(effectWords(judged({ backwards: true }), 'twig')).toContain('but none of these gained more')
  })

  it('says nothing of what is not read, and that nothing is weighed of what was not seen', () => {
    expect(effectWords(judged({}), 'bark')).toBe('')
    const notSeen = [{ reading: reading('twig', { notSeen: true }) }]
    expect(effectWords(judged({}, { readings: notSeen }), 'twig')).toContain('nothing is weighed')
    expect(effectWords(judged({}, { effects: [] }), 'twig')).toContain('does not count at this tier')
    const none = [{ reading: reading('twig', { notSeen: true, notBorne: true }) }]
    expect(effectWords(judged({}, { readings: none, noneOnTree: ['bark'] }), 'twig')).toContain(
      '1 more check closed for this visit',
    )
  })
})

describe('what is in hand', () => {
  it('is the gate first, then the best check, when a tree is opened', () => {
    const stands = (entries: string[], marks: [string, boolean][]) => ({
      entries: new Map(entries.map((id) => [id, { reading: reading(id) }])),
      marks: new Map(marks),
    })
    const suggested = bench({ suggested: [{ character: 'bark' }, { character: 'twig' }] })

    expect(firstInHand(suggested, sheet, stands([], []))).toBe('gate')
    expect(firstInHand(suggested, sheet, stands([], [['white', true]]))).toBe('bark')
    expect(firstInHand(suggested, sheet, stands(['bark'], []))).toBe('twig')
    expect(firstInHand(suggested, sheet, stands(['bark'], [['white', false]]))).toBe('gate')
    expect(stopOf(sheet, 'nobody')).toBeUndefined()
    const lacking = bench({
      suggested: [{ character: 'bark' }],
      gateAllThatLacks: true,
    })
    expect(firstInHand(lacking, sheet, stands(['twig'], []))).toBe('gate') // all that is still needed
    expect(firstInHand(suggested, sheet, stands(['twig'], []))).toBe('bark')
  })

  it('tells what counts while nothing is said, and what the next key says', () => {
    const [certainty] = TRAITS
    const firs = { assumedCertainty: 'sure' } as unknown as Character

    expect(certainty && nextOf(certainty, {}, firs)).toBe('fairly')
    expect(certainty && nextOf(certainty, { certainty: 'unsure' }, firs)).toBe('sure')
  })
})

describe('a judgement in words', () => {
  it('says why a call is contested', () => {
    expect(reasonWords(sheet, 'gate:white')).toContain('bark peels')
    expect(reasonWords(sheet, 'school:field-marks')).toContain('field marks')
    const worth = [
      { character: 'bark', points: 4 },
      { character: 'twig', points: -12.3 },
    ]
    expect(reasonWords(sheet, 'strong-contrary', worth)).toBe('twig speaks strongly against it (−12.3)')
  })

  it.each([
    [0.99, 'almost surely'],
    [0.61, '3 times in 5'],
    [0.5, 'every second time'],
    [0.31, '3 times in 10'],
    [0.2, '1 time in 5'],
    [0.1, '1 time in 10'],
    [0.01, 'hardly ever'],
  ])('a chance of %f is %s', (chance, words) => {
    expect(timesIn(chance)).toBe(words)
  })
})
