import { describe, expect, it } from 'vitest'
import type { Character } from '../src/api/types'
import { parseNumbers } from '../src/common/bench/numbers'
import { meanOf, outermost, scaleOf, shareOn, ticksOf, valueOn } from '../src/common/bench/rulerScale'

function character(kind: string, ...ranges: number[][]): Character {
  const profiles = ranges.map((range, i) => ({ taxon: `t${i}`, derived: false, range }))
  const all = ranges.flat()
  return { kind, profiles, least: Math.min(...all), most: Math.max(...all) } as unknown as Character
}

describe('a ruler', () => {
  const lengths = character('length', [4, 7, 16, 22], [2, 4, 11, 16])

  it('holds every range with room, and shows what lies off it at its end', () => {
    expect(outermost(lengths)).toEqual([2, 22])
    const scale = scaleOf(lengths)
    expect(scale.from).toBeLessThan(2)
    expect(scale.to).toBeGreaterThan(22)
    expect(ticksOf(scale)).toContain(20)
    expect(shareOn(scale, 30)).toBe(1)
    expect(shareOn(scale, 12)).toBeCloseTo(0.5, 6)
  })

  it('has one mean, with one decimal more than what was read', () => {
    expect(meanOf([1.2, 1.1])).toBe('1.15')
    expect(meanOf([11, 9, 13])).toBe('11.0')
    expect(meanOf([0.1, 0.2])).toBe('0.15')
    expect(meanOf([24.775, 24.3], [0.532, 0.41])).toBe('24.54') // nor more than a photo tells
    expect(meanOf([24.775, 24.3], [0.532, null])).toBe('24.538')
  })

  it('never goes below nothing, and counts in whole numbers', () => {
    const counts = scaleOf(character('count', [0, 2, 4, 6]))
    expect(counts.from).toBe(0)
    expect(counts.step).toBe(1)
    expect(ticksOf(counts)).toEqual([0, 1, 2, 3, 4, 5, 6])
  })

  it('has few ticks whatever it spans', () => {
    for (const most of [0.4, 3, 17, 90, 1200]) {
      const ticks = ticksOf(scaleOf(character('length', [0, 0, most, most])))
      expect(ticks.length).toBeGreaterThanOrEqual(4)
      expect(ticks.length).toBeLessThanOrEqual(11)
    }
  })

  it('tells a measured figure where a value lies, and the middle without one', () => {
    expect(valueOn(lengths, 22)).toEqual({ raw: 22, share: 1 })
    expect(valueOn(lengths, undefined)).toEqual({ raw: 12, share: 0.5 })
  })
})

describe('numbers as they are typed', () => {
  it('are one or several, with a point or a comma', () => {
    expect(parseNumbers('12', true)).toMatchObject({ numbers: [12], wrong: undefined })
    expect(parseNumbers(' 11,5  9 ', false)).toMatchObject({ numbers: [11.5, 9], wrong: undefined })
    expect(parseNumbers('', false)).toMatchObject({ numbers: [], wrong: undefined })
  })

  it('are nothing else, and the first that is none is named, short enough for its place', () => {
    expect(parseNumbers('12 2,5', true).wrong).toBe('2,5')
    expect(parseNumbers('-3', false).wrong).toBe('-3')
    expect(parseNumbers('1e9', false).wrong).toBe('1e9')
    expect(parseNumbers('3/2.5', false).wrong).toBe('3/2.5')
    expect(parseNumbers('9'.repeat(5) + 'x'.repeat(50), false).wrong?.length).toBeLessThan(20)
  })

  it('may stand in one row, where one number would be absurd and each part is one that a candidate has', () => {
    expect(parseNumbers('32434', true, [0, 8])).toMatchObject({ numbers: [3, 2, 4, 3, 4], parted: true })
    expect(parseNumbers('1109131208', false, [4, 26])).toMatchObject({ numbers: [11, 9, 13, 12, 8] })
    expect(parseNumbers('12', true, [0, 8])).toMatchObject({ numbers: [12], parted: false }) // it is asked about
    expect(parseNumbers('110', false, [4, 26])).toMatchObject({ numbers: [110], parted: false })
    expect(parseNumbers('1199', false, [4, 26])).toMatchObject({ numbers: [1199], parted: false })
    expect(parseNumbers('1.5', false, [0.2, 3])).toMatchObject({ numbers: [1.5], parted: false })
    expect(parseNumbers('071112', false, [0.4, 1.7])).toMatchObject({
      numbers: [0.7, 1.1, 1.2],
      parted: true,
    })
    expect(parseNumbers('1715', false, [1.15, 4.2])).toMatchObject({ numbers: [1.7, 1.5], parted: true })
    expect(parseNumbers('2324', false, [1.15, 4.2])).toMatchObject({ numbers: [2324], parted: false }) // 2, 3 … or 2.3 …?
    expect(parseNumbers('0711', true, [0, 8])).toMatchObject({ numbers: [0, 7, 1, 1] }) // a count has no tenths
    expect(parseNumbers('1109', false)).toMatchObject({ numbers: [1109], parted: false })
  })
})
