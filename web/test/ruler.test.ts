import { describe, expect, it } from 'vitest'
import type { Character } from '../src/api/types'
import { outermost, scaleOf, ticksOf, valueOn } from '../src/features/call/rulerScale'

function character(kind: string, ...ranges: number[][]): Character {
  const profiles = ranges.map((range, i) => ({ taxon: `t${i}`, derived: false, range }))
  return { kind, profiles } as unknown as Character
}

describe('a ruler', () => {
  const lengths = character('length', [4, 7, 16, 22], [2, 4, 11, 16])

  it('holds every range and every value, with room', () => {
    expect(outermost(lengths)).toEqual([2, 22])
    const scale = scaleOf(lengths, [30])
    expect(scale.from).toBeLessThan(2)
    expect(scale.to).toBeGreaterThan(30)
    expect(ticksOf(scale)).toContain(30)
  })

  it('never goes below nothing, and counts in whole numbers', () => {
    const counts = scaleOf(character('count', [0, 2, 4, 6]), [])
    expect(counts.from).toBe(0)
    expect(counts.step).toBe(1)
    expect(ticksOf(counts)).toEqual([0, 1, 2, 3, 4, 5, 6])
  })

  it('has few ticks whatever it spans', () => {
    for (const most of [0.4, 3, 17, 90, 1200]) {
      const ticks = ticksOf(scaleOf(character('length', [0, 0, most, most]), []))
      expect(ticks.length).toBeGreaterThanOrEqual(4)
      expect(ticks.length).toBeLessThanOrEqual(11)
    }
  })

  it('tells a measured figure where a value lies, and the middle without one', () => {
    expect(valueOn(lengths, 22)).toEqual({ raw: 22, share: 1 })
    expect(valueOn(lengths, undefined)).toEqual({ raw: 12, share: 0.5 })
  })
})
