import { describe, expect, it } from 'vitest'
import type { Character } from '../src/api/types'
import {
  begun,
  type PhotoInHand,
  partAsked,
  photoInHand,
  takeInHand,
  withLeaves,
} from '../src/features/bench/photoInHand'
import type { Leaf } from '../src/features/bench/photoMarks'

const line = (words: string) => ({ words, fewest: 2, most: 2 })
const character = (id: string, ...words: readonly string[]) =>
  ({ id, tapped: words.map(line) }) as unknown as Character
const SHAPE = character('leaf-ratio', 'length of the blade', 'greatest width of the blade')
const STALK = character('stalk-ratio', 'length of the leaf stalk', 'length of the blade')
const BUD = character('end-bud', 'end bud')
const at = (x: number) => [
  { x, y: 0, zoom: 1 },
  { x, y: 9, zoom: 1 },
]
const leaf = (...taps: Leaf['taps']): Leaf => ({ taps, taken: { value: 1 } })
const photo: PhotoInHand = {
  file: new File([], 'leaf.jpg'),
  scaled: { kind: 'none', scale: [], millimetres: '', check: undefined, across: '' },
  passes: [],
}

describe('a photo that was measured on', () => {
  const shaped = withLeaves(photo, SHAPE, begun(SHAPE, photo), [leaf(at(1), at(2)), leaf(at(3), at(4))])

  it('hands on what is asked for with the same words, leaf by leaf', () => {
    const { done, open } = begun(STALK, shaped)

    expect(done).toEqual([])
    expect(open.map((one) => one.taps)).toEqual([
      [[], at(1)],
      [[], at(3)],
    ])
    expect(partAsked(STALK, open[0]?.taps ?? [])).toBe(0)
    expect(begun(BUD, shaped)).toEqual({ pass: -1, done: [], open: [] })
    expect(begun(SHAPE, undefined).open).toEqual([])
  })

  it('asks for no leaf twice', () => {
    const { done, open } = begun(SHAPE, shaped)

    expect(done).toEqual([
      [at(1), at(2)],
      [at(3), at(4)],
    ])
    expect(open).toEqual([])
  })

  it('keeps leaves the same leaves, and those apart that nothing tells to be', () => {
    const stalked = withLeaves(shaped, STALK, begun(STALK, shaped), [leaf(at(5), at(1))])
    const both = withLeaves(stalked, BUD, begun(BUD, stalked), [leaf(at(6))])

    expect(both.passes.map((one) => one.leaves.length)).toEqual([2, 1])
    expect(begun(STALK, both).done).toEqual([[at(5), at(1)]])
    expect(begun(STALK, both).open).toEqual([{ leaf: 1, taps: [[], at(3)] }])
    const again = withLeaves(both, STALK, begun(STALK, both), [leaf(at(7), at(8)), leaf(at(9), at(10))])
    expect(begun(SHAPE, again).done).toEqual([
      [at(1), at(2)],
      [at(8), at(4)],
    ])
    expect(begun(SHAPE, again).open).toEqual([{ leaf: 2, taps: [at(10), []] }])
  })

  it('asks past a part in the middle that was tapped before', () => {
    const three = character('depth', 'foot', 'length of the blade', 'notch')

    expect(partAsked(three, [[], at(1), []])).toBe(0)
    expect(partAsked(three, [at(2), at(1), []])).toBe(2)
    expect(partAsked(three, [at(2), at(1), at(3)])).toBeUndefined()
  })

  it('is of whoever took it and of its tree alone', () => {
    takeInHand('Siskin', 'tree 23', photo)

    expect(photoInHand('Siskin', 'tree 23')).toBe(photo)
    expect(photoInHand('Wren', 'tree 23')).toBeUndefined()
    expect(photoInHand('Siskin', 'tree 24')).toBeUndefined()
  })

  it('hands on nothing that the other way of taking it does not know', () => {
    const bent = withLeaves(photo, BUD, begun(BUD, photo), [leaf([...at(1), { x: 2, y: 3, zoom: 1 }])])
    const straight = character('bud-ratio', 'end bud', 'width of the bud')

    expect(begun(straight, bent).open).toEqual([])
  })
})
