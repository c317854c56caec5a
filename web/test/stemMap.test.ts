import { describe, expect, it } from 'vitest'
import type { TreeRow } from '../src/api/types'
import { labelPlaces } from '../src/common/plot/labels'
import { placeOf, ringsOf } from '../src/common/plot/places'
import { neighbour } from '../src/features/plot/stemMap'

const stem = (id: string, azimuthDegrees: number, distanceMetres: number) =>
  ({ id, azimuthDegrees, distanceMetres }) as TreeRow

describe('a stem map', () => {
  it('has north up and east right', () => {
    expect(placeOf(stem('n', 0, 5)).y).toBeCloseTo(-5)
    expect(placeOf(stem('e', 90, 5)).x).toBeCloseTo(5)
    expect(placeOf(stem('s', 180, 5)).y).toBeCloseTo(5)
    expect(placeOf(stem('w', 270, 5)).x).toBeCloseTo(-5)
  })

  it('has a handful of rings at round distances within the plot', () => {
    expect(ringsOf(15)).toEqual([5, 10])
    expect(ringsOf(12.62)).toEqual([5, 10])
    expect(ringsOf(5)).toEqual([1, 2, 3, 4])
    expect(ringsOf(100)).toEqual([20, 40, 60, 80])
  })

  it('leads along the arrow to the nearest stem, and stays where there is none', () => {
    const trees = [
      stem('north', 0, 6),
      stem('middle', 90, 1),
      stem('east', 92, 7),
      stem('south-east', 140, 8),
    ]

    expect(neighbour(trees, 'middle', 'ArrowRight')).toBe('east')
    expect(neighbour(trees, 'middle', 'ArrowUp')).toBe('north')
    expect(neighbour(trees, 'middle', 'ArrowDown')).toBe('south-east')
    expect(neighbour(trees, 'north', 'ArrowUp')).toBe('north')
    expect(neighbour(trees, undefined, 'ArrowDown')).toBe('north')
  })

  it('reaches every stem of a crowded plot by arrows alone', () => {
    const trees = Array.from({ length: 120 }, (_, i) => stem(`${i}`, (i * 137.5) % 360, 0.5 + (i % 29) / 2))
    const reached = new Set<string>(['0'])
    const queue = ['0']
    for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
      for (const key of ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight']) {
        const next = neighbour(trees, at, key)
        if (next && !reached.has(next)) {
          reached.add(next)
          queue.push(next)
        }
      }
    }
    expect(reached.size).toBeGreaterThan(110)
  })

  it('has labels that stand beside each other, also of stems a foot apart', () => {
    const labelled = (id: string, azimuth: number, metres: number) => ({
      ...placeOf(stem(id, azimuth, metres)),
      ...{ id, r: 0.4, words: `${id} bi`, size: 0.65 },
    })
    const alone = labelled('11', 90, 5)
    const close = [alone, labelled('12', 93, 5), labelled('13', 90, 5.3), labelled('14', 87, 5.1)]
    const places = labelPlaces(close, 14)

    const sides = [...places.values()].map(({ x, y, anchor }) => `${anchor} ${Math.sign(x)} ${y.toFixed(2)}`)
    expect(new Set(sides).size).toBe(4)
    expect(labelPlaces([alone], 14).get('11')?.anchor).toBe('start')
    expect(places.get('11')?.anchor).toBe('end') // others stand where it would be written
    expect(labelPlaces([labelled('15', 90, 12)], 14).get('15')?.anchor).toBe('end') // where it would be cut
  })
})
