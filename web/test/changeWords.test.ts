import { describe, expect, it } from 'vitest'
import type { Aspect } from '../src/api/codes'
import { aspectValues } from '../src/api/schema'
import type { Stated } from '../src/api/types'
import { aspectWords, statedWords } from '../src/common/group/changeWords'

const stated = (part: Partial<Stated>): Stated => ({ kind: 'number', texts: [], numbers: [], ...part })

describe('what is different between two sheets', () => {
  it('is told by what it is and within what', () => {
    expect(aspectWords({ aspect: 'stages', of: [] })).toBe('weight by stage')
    expect(aspectWords({ aspect: 'share', of: ['silver birch', 'rough'] })).toBe('silver birch, rough')
    expect(aspectWords({ aspect: 'profile', of: ['silver birch'] })).toBe('silver birch')
    expect(aspectWords({ aspect: 'state-drawing', of: ['rough'] })).toBe('drawing of rough')
    expect(aspectWords({ aspect: 'cautions', of: ['tree-wound'] })).toBe('tree wound')
  })

  it.each(aspectValues.filter((one) => !['whole', 'share', 'profile', 'cautions', 'sources'].includes(one)))(
    'has words for %s',
    (one) => {
      expect(aspectWords({ aspect: one as Aspect, of: [] })).not.toBe('')
    },
  )

  it.each([
    [0, '0'],
    [0.07, '0.07'],
    [0.00004, '0'],
    [-3.25, '-3.25'],
    [1300, '1300'],
    [99.99999, '100'],
  ])('tells %f without idle digits', (value, words) => {
    expect(statedWords('minutes', stated({ numbers: [value] }))).toBe(words)
  })

  it('tells shares in percent, ranges as a flora does, months as runs', () => {
    expect(statedWords('share', stated({ kind: 'share', numbers: [0.555] }))).toBe('55.5 %')
    expect(statedWords('profile', stated({ kind: 'range', numbers: [6, 8.5, 12, 15] }))).toBe(
      '(6–)8.5–12(–15)',
    )
    expect(
      statedWords('profile', stated({ kind: 'shares', texts: ['rough', 'smooth'], numbers: [0.6, 0.4] })),
    ).toBe('rough 60 %, smooth 40 %')
    expect(statedWords('months', stated({ kind: 'months', numbers: [3, 4, 5, 10] }))).toBe(
      'March to May, October',
    )
    expect(
      statedWords('months', stated({ kind: 'months', numbers: Array.from({ length: 12 }, (_, i) => i + 1) })),
    ).toBe('all year')
  })

  it('tells what stands where nothing is said', () => {
    expect(statedWords('profile', null)).toBe('derived from its parents')
    expect(statedWords('cluster', undefined)).toBe('nothing')
    expect(statedWords('borne', stated({ kind: 'factors' }))).toBe('every tree')
    expect(statedWords('hazards', stated({ kind: 'codes' }))).toBe('none')
    expect(statedWords('schools', stated({ kind: 'factors', texts: ['field-marks'], numbers: [0.7] }))).toBe(
      'field marks 0.7',
    )
  })

  it('tells a drawing by its part and parameters', () => {
    const drawing = { part: 'leaf-tip', parameters: { angle: 40 } }
    expect(statedWords('drawing', stated({ kind: 'drawing', drawing }))).toBe('leaf tip, angle 40')
  })
})
