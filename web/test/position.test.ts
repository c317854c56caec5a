import { describe, expect, it } from 'vitest'
import { parsePosition, positionWords } from '../src/common/plot/position'

const place = { latitude: 55.0304, longitude: -20.3841 }

describe('a position', () => {
  it.each([
    '55.0304, -20.3841',
    '55.0304 -20.3841',
    '55.0304,-20.3841',
    '55,0304; -20,3841',
    '55.0304 N, 20.3841 W',
    "55° 1.824' N 20° 23.046' W",
    '55°1\'49.44"N 20°23\'2.76"W',
    'N 55 1 49.44, W 20 23 2.76',
    'W 20.3841, N 55.0304',
    '55 1 49.44 -20 23 2.76',
  ])('is read as it is written: %s', (text) => {
    const read = parsePosition(text)

    expect(read?.latitude).toBeCloseTo(place.latitude, 6)
    expect(read?.longitude).toBeCloseTo(place.longitude, 6)
  })

  it.each(['', 'Kettle Moss', '55.03', '95, 10', '55 61 0 N, 20 0 0 W', '55 N, 20 N'])(
    'is refused: %s',
    (text) => {
      expect(parsePosition(text)).toBeUndefined()
    },
  )

  it('is written in degrees and minutes, and read back', () => {
    expect(positionWords(place)).toBe('55° 01.824′ N, 20° 23.046′ W')
    const back = parsePosition(positionWords(place))
    expect(back?.latitude).toBeCloseTo(place.latitude, 5)
    expect(back?.longitude).toBeCloseTo(place.longitude, 5)
  })
})
