import { describe, expect, it } from 'vitest'
import { HALF_BEAM, pile, tilt } from '../src/draw/beam'
import { markPath } from '../src/draw/markPath'
import { filledDisc, spineBearing, spinePath } from '../src/draw/spinePath'

const places = (path: string) =>
  [...path.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const)
const reach = (path: string) => Math.max(...places(path).map(([x, y]) => Math.hypot(x, y)))

describe('a spine of the thistle', () => {
  it('rises for the lead and hangs against it', () => {
    const [, tipFor = [0, 0]] = places(spinePath(10, 0))
    const [, tipAgainst = [0, 0]] = places(spinePath(-10, 0))

    expect(tipFor[1]).toBeLessThan(-1)
    expect(tipAgainst[1]).toBeGreaterThan(1)
  })

  it('grows with its points up to 25 and never beyond twice the head', () => {
    const lengths = [0, 5, 12, 25, 80].map((points) => reach(spinePath(points, 0.7)))

    expect(lengths).toEqual([...lengths].sort((a, b) => a - b))
    expect(lengths[3]).toBe(lengths[4])
    expect(lengths[4]).toBeCloseTo(2, 2)
    expect(lengths[0]).toBeGreaterThan(1.1) // one that says nothing is still seen
  })

  it('stands upright alone, and with others evenly over the upper arc', () => {
    const bearings = [0, 1, 2, 3].map((i) => spineBearing(i, 4))

    expect(spineBearing(0, 1)).toBe(0)
    expect(bearings[0]).toBeCloseTo(-1.3, 9)
    expect(bearings[3]).toBeCloseTo(1.3, 9)
    expect((bearings[2] ?? 0) - (bearings[1] ?? 0)).toBeCloseTo((bearings[1] ?? 0) - (bearings[0] ?? 0), 9)
  })
})

describe('a disc', () => {
  it('is filled from below to its share', () => {
    const level = (share: number) => places(filledDisc(1, share))[0]?.[1] ?? Number.NaN

    expect(level(0)).toBeCloseTo(1, 3)
    expect(level(0.5)).toBeCloseTo(0, 3)
    expect(level(0.75)).toBeCloseTo(-0.5, 3)
    expect(filledDisc(1, 1)).toBe(filledDisc(1, 3))
    expect(filledDisc(1, -2)).toBe(filledDisc(1, 0))
  })
})

describe('marks of candidates', () => {
  it('differ among six, and recur', () => {
    const six = [0, 1, 2, 3, 4, 5].map(markPath)

    expect(new Set(six).size).toBe(6)
    expect(markPath(6)).toBe(six[0])
    for (const path of six) expect(path).not.toMatch(/NaN/)
  })
})

describe('the beam', () => {
  it('leans to the lead’s side by its points, and no further than its stop', () => {
    expect(tilt(0)).toBeCloseTo(0, 9)
    expect(tilt(15)).toBeCloseTo(-3, 9)
    expect(tilt(-15)).toBeCloseTo(3, 9)
    expect(tilt(500)).toBe(-6)
  })

  it('bears its blocks at its ends, one on the other', () => {
    const left = pile([3, 0.01, 400], -1)
    const right = pile([3], 1)

    expect(left.map((one) => one.x)).toEqual([-HALF_BEAM, -HALF_BEAM, -HALF_BEAM])
    expect((right[0]?.x ?? 0) + (right[0]?.width ?? 0)).toBe(HALF_BEAM)
    for (const [i, block] of left.slice(1).entries())
      expect(block.y + block.height).toBeLessThan(left[i]?.y ?? 0)
    expect(left[1]?.width).toBeGreaterThan(0) // the least still shows
    expect(left[2]?.width).toBeLessThan(HALF_BEAM) // the most stays on its side
    expect(pile([], 1)).toEqual([])
  })
})
