import { describe, expect, it } from 'vitest'
import { newCharacter, type SheetFile, type TaxonFile } from '../src/common/draft/sheetFile'
import {
  withCharacterChanged,
  withItemChanged,
  withStateChanged,
  withTaxonChanged,
  withTitle,
} from '../src/features/draft/naming'

const taxon = (id: string, commonName: string, scientificName = ''): TaxonFile => ({
  id,
  commonName,
  scientificName,
  rank: 'species',
  origin: 'native',
  standing: 'common',
  abundance: 50,
  plantedAbundance: 50,
})

function sheet(): SheetFile {
  const taxa = [taxon('new', ''), taxon('petraea', 'sessile oak', 'Quercus petraea')]
  return {
    format: 'goldthistle-group/1',
    id: 'oaks',
    title: 'Oaks',
    region: 'here',
    why: 'alike',
    taxa: [...taxa, { ...taxon('rosacea', 'hybrid oak'), rank: 'hybrid', parents: ['new', 'petraea'] }],
    fallback: { scientificName: 'Quercus sp.', commonName: 'oak' },
    characters: [newCharacter('new', taxa)],
    indices: [
      {
        id: 'new',
        name: '',
        source: 'x',
        taxa: ['new', 'petraea'],
        terms: [{ character: 'new', coefficient: 1 }],
        constant: 0,
        undecided: 0,
        reading: '',
      },
    ],
    sources: ['x'],
  }
}

describe('ids in the editor', () => {
  it('follow a taxon’s name wherever the sheet speaks of it', () => {
    const named = withTaxonChanged(sheet(), 0, { commonName: 'English oak' }, [])
    expect(named.taxa[0]?.id).toBe('english-oak')

    const known = withTaxonChanged(named, 0, { scientificName: 'Quercus robur' }, [])
    expect(known.taxa[0]?.id).toBe('robur')
    expect(known.taxa[2]?.parents).toEqual(['robur', 'petraea'])
    expect(Object.keys(known.characters[0]?.profiles ?? {})).toEqual(['robur', 'petraea'])
    expect(known.indices?.[0]?.taxa).toEqual(['robur', 'petraea'])
  })

  it('stay once they are saved, and where somebody chose them', () => {
    const saved = withTaxonChanged(sheet(), 1, { scientificName: 'Quercus dalechampii' }, ['taxa.petraea'])
    expect(saved.taxa[1]?.id).toBe('petraea')
    const chosen = withTaxonChanged(sheet(), 2, { commonName: 'mixed oak' }, [])
    expect(chosen.taxa[2]?.id).toBe('rosacea') // no word of its name
    expect(withTitle(sheet(), 'Oaks of the hills', []).id).toBe('oaks-of-the-hills')
    expect(withTitle(sheet(), 'Oaks of the hills', ['id']).id).toBe('oaks')
    const gate = [{ id: 'acorns', name: 'acorns' }]
    expect(withItemChanged(gate, 0, { name: 'fruit in a cup' }, () => true)[0]?.id).toBe('acorns')
    expect(withItemChanged(gate, 0, { name: 'fruit in a cup' }, () => false)[0]?.id).toBe('fruit-in-a-cup')
  })

  it('follow a character’s and a state’s name, with its shares', () => {
    const named = withCharacterChanged(sheet(), 0, { name: 'Stalk of the acorn' }, [])
    expect(named.characters[0]?.id).toBe('stalk-of-the-acorn')
    expect(named.indices?.[0]?.terms[0]?.character).toBe('stalk-of-the-acorn')

    const character = named.characters[0]
    if (!character) throw new Error('there is one')
    const stated = withStateChanged(character, 0, { name: 'long' }, [])
    expect(stated.states?.map((one) => one.id)).toEqual(['long', 'the-other-way'])
    expect(stated.profiles.new).toEqual({ long: 0.5, 'the-other-way': 0.5 })
    const alike = withStateChanged({ ...character, ...stated }, 1, { name: 'Long' }, [])
    expect(alike.states?.map((one) => one.id)).toEqual(['long', 'long-2'])
  })
})
