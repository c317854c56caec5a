import { describe, expect, it } from 'vitest'
import { beside, curve, lots, placed, placesOn, points, stretch } from '../src/draw/geometry'

describe('points', () => {
  it('are read as SVG writes them', () => {
    expect(points('0,0 -4.5,12 100,0.25')).toEqual([
      [0, 0],
      [-4.5, 12],
      [100, 0.25],
    ])
  })

  it.each(['', '1', '1,2,3', '1,two', '1,2 ,3', '1,2  3,4', '1,', '1,.'])(
    'refuse %j, which is not pairs of numbers',
    (pairs) => {
      expect(() => points(pairs)).toThrow(/written x,y/)
    },
  )
})

describe('a curve', () => {
  const through = points('0,0 10,30 40,20 60,60')

  it('passes through each of its points', () => {
    const line = curve(through, 5)

    for (const [x, y] of through)
      expect(line.some(([lx, ly]) => Math.abs(lx - x) + Math.abs(ly - y) < 1e-9)).toBe(true)
    expect(line).toHaveLength(3 * 5 + 1)
  })

  it('that is placed evenly has its places as far apart as its length allows', () => {
    const places = placesOn(points('0,0 30,0 30,10'), 5).map((place) => place.at)

    expect(places).toEqual(points('0,0 10,0 20,0 30,0 30,10'))
  })

  it('gives back a stretch of itself', () => {
    const part = stretch(points('0,0 100,0'), 0.25, 0.75, 3)

    expect(part).toEqual(points('25,0 50,0 75,0'))
  })
})

describe('a place', () => {
  it('is passed on its left for numbers above 0 and on its right for those below', () => {
    const [place] = placesOn(points('0,0 10,0'), 2)
    if (!place) throw new Error('no place')

    expect(beside(place, 3)).toEqual([0, -3])
    expect(beside(place, -3, 2)).toEqual([2, 3])
  })

  it('is turned clockwise on the screen before it is moved', () => {
    const [[x, y] = [Number.NaN, Number.NaN]] = placed(points('1,0 0,0'), [10, 10], 5, Math.PI / 2)

    expect(x).toBeCloseTo(10, 9)
    expect(y).toBeCloseTo(15, 9)
  })
})

describe('lots', () => {
  it('are the same for a seed, differ between seeds and fill the span from 0 to 1', () => {
    const of = (seed: number) => {
      const draw = lots(seed)
      return Array.from({ length: 500 }, draw)
    }

    const drawn = of(7)

    expect(of(7)).toEqual(drawn)
    expect(of(8)).not.toEqual(drawn)
    expect(Math.min(...drawn)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...drawn)).toBeLessThan(1)
    expect(drawn.reduce((a, b) => a + b) / 500).toBeCloseTo(0.5, 1)
  })
})
