import { describe, expect, it } from 'vitest'
import type { NamedTaxon, TreeRow } from '../src/api/types'
import { identityOf, stateOf } from '../src/features/plot/standing'

const taxa: NamedTaxon[] = [
  { scientificName: 'Quercus robur', commonName: 'pedunculate oak' },
  {
    scientificName: 'Prunus padus',
    commonName: 'bird cherry',
    groupId: 'bird-cherries',
    groupName: 'bird cherries',
  },
]
const birch = (part: Partial<TreeRow> = {}) =>
  ({
    id: 'b',
    tag: 23,
    groupId: 'birches',
    standsAs: 'open',
    contested: false,
    readings: 0,
    ...part,
  }) as TreeRow

describe('what a tree stands as', () => {
  it('is told in words, a stem by its bearer', () => {
    expect(stateOf(birch({ standsAs: 'come-back', comeBackMonth: 6 }), undefined)).toBe('come back in June')
    expect(stateOf(birch({ standsAs: 'taxon', contested: true }), undefined)).toBe('signed, contested')
    expect(stateOf(birch({ cloneOf: 'a' }), birch({ id: 'a', tag: 7 }))).toBe('stem of tree 7')
    expect(stateOf(birch({ readings: 1 }), undefined)).toBe('begun')
  })

  it('is as much as anybody knows', () => {
    expect(identityOf(birch(), taxa)).toBe('one of the birches')
    expect(identityOf(birch({ groupId: 'bird-cherries' }), taxa)).toBe('one of the bird cherries')
    expect(identityOf(birch({ standsAs: 'taxon', standsName: 'silver birch' }), taxa)).toBe('silver birch')
    expect(identityOf(birch({ standsAs: 'group', standsName: 'birch' }), taxa)).toBe('one of the birches')
    expect(identityOf(birch({ plainTaxon: 'Quercus robur' }), taxa)).toBe('pedunculate oak')
    expect(identityOf(birch({ plainTaxon: 'Zelkova serrata' }), taxa)).toBe('Zelkova serrata')
  })
})
