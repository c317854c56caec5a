import { describe, expect, it } from 'vitest'
import type { Bench, Character, Judgement, NewReading, Sheet } from '../src/api/types'
import { entriesOf, marksOf, wordsOfReading } from '../src/features/call/entries'
import { isForbidden, stops } from '../src/features/call/inHand'
import { conditionsOf, needWords, reasonWords, timesIn } from '../src/features/call/judgementWords'
import type { Entered, Unsent } from '../src/features/call/outbox'
import { backToMark, backToReading } from '../src/features/call/undo'

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
  })
})

describe('the path', () => {
  it('goes from the gate to the trunk, the hand and last the knife, if that is allowed', () => {
    expect(stops(bench(), sheet)).toEqual(['gate:white', 'bark', 'twig'])
    expect(stops(bench({ tree: { woundingAllowed: true } }), sheet)).toEqual([
      'gate:white',
      'bark',
      'twig',
      'pith',
    ])
    expect(stops(bench({ outOfSeason: ['bark'] }), sheet)).toEqual(['gate:white', 'twig'])
    expect(isForbidden(bench(), pith)).toBe(true)
    expect(isForbidden(bench(), twig)).toBe(false)
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

describe('a judgement in words', () => {
  const judgement = (tier: string, stillNeeded: string[] = []) =>
    ({ tier, stillNeeded, threshold: 0.95, decidedOnFeaturesAlone: true }) as unknown as Judgement

  it('names the conditions of each tier, more where more is at stake', () => {
    const [tally, record, control] = ['tally', 'record', 'control'].map(
      (tier) => conditionsOf(judgement(tier)).length,
    )

    expect(tally).toBeLessThan(record ?? 0)
    expect(record).toBeLessThan(control ?? 0)
    expect(conditionsOf(judgement('record', ['reason:bark'])).at(-1)).toBe('reason:bark')
    for (const code of conditionsOf(judgement('control'))) {
      expect(needWords(sheet, judgement('control'), code)).not.toBe(code)
    }
    expect(needWords(sheet, judgement('record'), 'reason:bark')).toContain('Bark')
  })

  it('says why a call is contested', () => {
    expect(reasonWords(sheet, 'gate:white')).toContain('bark peels')
    expect(reasonWords(sheet, 'school:field-marks')).toContain('field marks')
  })

  it.each([
    [0.99, 'almost surely'],
    [0.61, '3 times in 5'],
    [0.5, 'every second time'],
    [0.31, '3 times in 10'],
    [0.01, 'hardly ever'],
  ])('a chance of %f is %s', (chance, words) => {
    expect(timesIn(chance)).toBe(words)
  })
})
