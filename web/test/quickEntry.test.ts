import { describe, expect, it } from 'vitest'
import type { Group, NamedTaxon } from '../src/api/types'
import { parseLine } from '../src/features/plot/quickEntry'

const taxa: NamedTaxon[] = [
  { scientificName: 'Betula pendula', commonName: 'silver birch', groupId: 'birches' },
  { scientificName: 'Betula pubescens', commonName: 'downy birch', groupId: 'birches' },
  { scientificName: 'Prunus padus', commonName: 'bird cherry', groupId: 'bird-cherries' },
  { scientificName: 'Prunus avium', commonName: 'wild cherry' },
  { scientificName: 'Frangula alnus', commonName: 'alder buckthorn', groupId: 'buckthorns' },
  { scientificName: 'Frangula alnus', commonName: 'alder buckthorn', groupId: 'bird-cherries' },
  { scientificName: 'Quercus robur', commonName: 'pedunculate oak' },
]
const groups = [
  { groupId: 'birches', shortName: 'birches' },
  { groupId: 'bird-cherries', shortName: 'bird cherries' },
  { groupId: 'larches-of-the-north', shortName: 'larches' },
] as Group[]
const read = (line: string) => parseLine(line, { taxa, groups })

describe('a line of quick entry', () => {
  it('is a tree when numbers come in the order of the field sheet', () => {
    const { tree, problems } = read('23 204 7.2 287 mature wild birches')

    expect(problems).toEqual([])
    expect(tree).toEqual({
      tag: 23,
      azimuthDegrees: 204,
      distanceMetres: 7.2,
      diameterMillimetres: 287,
      stage: 'mature',
      origin: 'wild',
      groupId: 'birches',
    })
  })

  it.each([
    'silver birch? 28.7cm 7.2m 204° #23 mature wild',
    'tag 23, az 204, 7,2 m, dbh 287 mm, mat, w, birch?',
    '#23 d287 204 7.2 m w sil bir ?',
    'T23; 204 deg; 7.2m; 28,7 cm; mature; wild; larch', // another group, the same measures
  ])('is the same tree in another order, other units, other words: %s', (line) => {
    const { tree, problems } = read(line)

    expect(problems).toEqual([])
    expect(tree).toMatchObject({
      tag: 23,
      azimuthDegrees: 204,
      distanceMetres: 7.2,
      diameterMillimetres: 287,
      stage: 'mature',
      origin: 'wild',
    })
    expect(tree.groupId).toBe(line.includes('larch') ? 'larches-of-the-north' : 'birches')
  })

  it('tells a taxon that nobody doubts from one that is contested', () => {
    expect(read('1 0 1 100 silver birch').tree.plainTaxon).toBe('Betula pendula')
    expect(read('1 0 1 100 bepu').tree.plainTaxon).toBe('Betula pubescens')
    expect(read('1 0 1 100 bepu?').tree).toMatchObject({ groupId: 'birches' })
    expect(read('1 0 1 100 oak').tree.plainTaxon).toBe('Quercus robur')
    expect(read('1 0 1 100 alder buckthorn').tree.plainTaxon).toBe('Frangula alnus')
    expect(read('1 0 1 100 Zelkova serrata').tree.plainTaxon).toBe('Zelkova serrata')
  })

  it('says what it does not know, and which of several was meant', () => {
    expect(read('1 0 1 100 xyzzy').problems[0]).toContain('“xyzzy” is neither')
    expect(read('1 0 1 100 cherry').problems[0]).toContain('bird cherry, wild cherry')
    expect(read('1 0 1 100 birch').tree.groupId).toBe('birches')
    expect(read('1 0 1 100 oak "sound?"').tree.plainTaxon).toBe('Quercus robur')
    expect(read('1 0 1 100 200 oak').problems[0]).toContain('one number too many')
  })

  it('says what is still wanted', () => {
    expect(read('').problems).toEqual(['still wanted: tag, azimuth, distance, diameter, what it is'])
    expect(read('7 120 oak').problems).toEqual(['still wanted: distance, diameter'])
  })

  it('takes height, ground, notes and clones', () => {
    const { tree } = read('4 90 3 61 h 4.5m wet edge =3 birches "leans, top gone"')

    expect(tree).toMatchObject({
      heightDecimetres: 45,
      habitat: ['wet', 'edge'],
      cloneOfTag: 3,
      conditionNotes: 'leans, top gone',
    })
  })

  it('takes a stem of a clone for what its clone is', () => {
    expect(read('7 205 5.2 90 =6').problems).toEqual([])
    expect(read('7 205 5.2 90').problems).toEqual(['still wanted: what it is'])
  })

  it.each([
    ['0 10 1 100 oak', 'tag 0'],
    ['1 400 1 100 oak', 'azimuth 400°'],
    ['1 10 1 99999 oak', '99999 mm thick'],
    ['1 10 1 0 oak', '0 mm thick'],
    ['1 10 1 100 h 300m oak', '300 m tall'],
  ])('tells of %s at once what cannot be', (line, words) => {
    expect(read(line).problems).toEqual([expect.stringContaining(words)])
  })

  it('turns a full circle to north, and tells each piece it took', () => {
    const { tree, taken } = read('4 360 3 61 oak')

    expect(tree.azimuthDegrees).toBe(0)
    expect(taken.map((one) => one.as)).toEqual([
      'tag 4',
      'azimuth 0°',
      '3 m out',
      'diameter 61 mm',
      'plainly pedunculate oak',
    ])
  })
})

describe('how a tree does, in its line', () => {
  it('is taken in short and in words, in any order', () => {
    const { tree, problems } = read('23 204 7.2 287 birches l240/180/60 d2 sub browsed favoured')

    expect(problems).toEqual([])
    expect(tree.diameterMillimetres).toBe(287)
    expect(tree.favoured).toBe(true)
    expect(tree.vigour).toEqual({
      dead: false,
      leaders: [240, 180, 60],
      dieback: 2,
      crown: 'suppressed',
      damages: ['browsed'],
    })
  })

  it.each([
    ['d287', 287, undefined],
    ['d3', 287, 3],
    ['d 4 cm', 40, undefined],
    ['d2.5cm', 25, undefined],
  ])('tells the crown’s dieback from a diameter: %s', (piece, diameter, dieback) => {
    const numbers = dieback === undefined ? '23 204 7.2' : '23 204 7.2 287'
    const { tree } = read(`${numbers} ${piece} birches`)

    expect(tree.diameterMillimetres).toBe(diameter)
    expect(tree.vigour?.dieback).toBe(dieback)
  })

  it('has three years of leaders at most', () => {
    expect(read('23 204 7.2 287 birches l4/3/2/1').problems).toEqual(['4 leaders: at most 3 years'])
  })

  it('leaves the names of taxa alone', () => {
    expect(read('23 204 7.2 287 sil bir dead').tree).toMatchObject({
      plainTaxon: 'Betula pendula',
      vigour: { dead: true },
    })
  })
})
