import { describe, expect, it } from 'vitest'
import type { SeasonPlot } from '../src/api/types'
import { plotsOnMap, wedge } from '../src/features/season/plotsOnMap'

const plot = (code: string, latitude: number | null, longitude: number | null, stems = 20): SeasonPlot => ({
  id: code,
  code,
  latitude,
  longitude,
  stems,
  open: 0,
  contested: 0,
  review: 0,
  twice: 0,
  agreed: 0,
})

describe('plots on the season’s map', () => {
  it('lie north up and east to the right, as far from each other as on the ground', () => {
    const { placed, scale } = plotsOnMap(
      [plot('a', 55, -20), plot('b', 55.01, -20), plot('c', 55, -19.98)],
      400,
      20,
    )
    const [a, b, c] = placed
    if (!a || !b || !c) throw new Error('three are placed')
    expect(b.y).toBeLessThan(a.y)
    expect(c.x).toBeGreaterThan(a.x)
    const metres = (pixels: number) => (pixels / scale.pixels) * scale.metres
    expect(metres(a.y - b.y)).toBeCloseTo(1113.2, 0)
    expect(metres(c.x - a.x)).toBeCloseTo(1277, 0) // cos 55° of what it is at the equator
  })

  it('keep away from the edge, and those without a position are left out', () => {
    const { placed } = plotsOnMap(
      [plot('a', 55, -20), plot('b', 55.1, -20.3), plot('c', null, null)],
      400,
      20,
    )
    expect(placed).toHaveLength(2)
    for (const { x, y } of placed) {
      expect(Math.min(x, y)).toBeGreaterThanOrEqual(20 - 1e-9)
      expect(Math.max(x, y)).toBeLessThanOrEqual(380 + 1e-9)
    }
    expect(plotsOnMap([], 400, 20).placed).toEqual([])
  })

  it('have names that lie on nothing, or none', () => {
    const many = Array.from({ length: 400 }, (_, i) =>
      plot(`Sallow Beck ${i}`, 55 + (i % 20) / 1000, -20 + Math.floor(i / 20) / 1000),
    )
    const { placed } = plotsOnMap(many, 400, 20)
    expect(placed.some(({ name }) => name === undefined)).toBe(true)
    const right = plotsOnMap([plot('a long name at the edge', 55, -19.9), plot('b', 55.05, -20)], 400, 20)
    expect(right.placed[0]?.name?.anchor).not.toBe('start')
  })

  it('are filled by the share that is asked for', () => {
    expect(wedge(10, 0.5)).toContain('0.00,10.00')
    expect(wedge(10, 1)).toContain('A10,10')
  })
})
