import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { catalogue, draw, PART_NAMES } from '../src/draw/draw'
import { MEASURED } from '../src/draw/measured'
import type { Allowed } from '../src/draw/parameters'
import type { Picture } from '../src/draw/picture'
import { shownAs } from '../src/features/practice/specimenScale'

type Hint = { part: string } & Record<string, unknown>
type Character = {
  id: string
  measured?: { as: string }
  draw?: Hint
  states?: { id: string; draw?: Hint }[]
  profiles: Record<string, { range?: number[] }>
}
type GateItem = { id: string; draw?: Hint; drawOtherwise?: Hint }
type Sheet = { id: string; gate: GateItem[]; characters: Character[] }

const FOLDER = fileURLToPath(new URL('../../formats/src/main/resources/groups/', import.meta.url))
const SHEETS = readdirSync(FOLDER)
  .filter((file) => file.endsWith('.json') && !file.includes('specimens'))
  .map((file) => JSON.parse(readFileSync(FOLDER + file, 'utf8')) as Sheet)
const LARGEST = 12_000 // characters of path data
const BLEED = 14 // units by which a mark may run off the paper

function pictureOf({ part, ...parameters }: Hint, value?: { raw: number; share: number }): Picture {
  const picture = draw(part, parameters, value)
  if (!picture) throw new Error(`nobody draws ${part}`)
  return picture
}

/** Every place that a path visits; the paths of this vocabulary are M, l, a and Z. */
function placesOf(d: string): [number, number][] {
  const places: [number, number][] = []
  let [x, y] = [0, 0]
  for (const [, command = '', rest = ''] of d.matchAll(/([MlaZ])([^MlaZ]*)/g)) {
    const numbers = (rest.match(/-?\d*\.?\d+/g) ?? []).map(Number)
    if (command === 'M') [x, y] = [numbers[0] ?? Number.NaN, numbers[1] ?? Number.NaN]
    if (command === 'l') {
      for (let i = 0; i + 1 < numbers.length; i += 2) {
        x += numbers[i] ?? 0
        y += numbers[i + 1] ?? 0
        places.push([x, y])
      }
    }
    if (command === 'a') {
      x += numbers[5] ?? 0
      y += numbers[6] ?? 0
    }
    if (command !== 'Z') places.push([x, y])
  }
  return places
}

function expectSound(picture: Picture): void {
  expect(picture.marks).not.toHaveLength(0)
  const all = picture.marks.map((mark) => mark.d).join('')
  expect(all).not.toMatch(/NaN|Infinity|undefined/)
  expect(all.length).toBeLessThanOrEqual(LARGEST)
  const places = placesOf(all)
  const xs = places.map(([x]) => x)
  const ys = places.map(([, y]) => y)
  expect(Math.min(...xs)).toBeGreaterThanOrEqual(-BLEED)
  expect(Math.max(...xs)).toBeLessThanOrEqual(picture.width + BLEED)
  expect(Math.min(...ys)).toBeGreaterThanOrEqual(-BLEED)
  expect(Math.max(...ys)).toBeLessThanOrEqual(picture.height + BLEED)
}

describe.each(SHEETS)('the drawings of the $id', ({ gate, characters }) => {
  const withStates = characters.filter((one) => one.states)
  const numeric = characters.filter((one) => !one.states)

  it.each(withStates)('show every state of $id, each in its box and no two alike', ({ states = [] }) => {
    const pictures = states.map((state) => {
      if (!state.draw) throw new Error(`${state.id} has no drawing`)
      return pictureOf(state.draw)
    })
    pictures.forEach(expectSound)
    expect(new Set(pictures.map((one) => JSON.stringify(one.marks))).size).toBe(pictures.length)
  })

  it.each(gate)('show what fits the gate item $id, and otherwise if anything can be drawn', (item) => {
    if (!item.draw) throw new Error('no drawing')
    const fits = pictureOf(item.draw)
    expectSound(fits)
    if (!item.drawOtherwise) return
    const fails = pictureOf(item.drawOtherwise)
    expectSound(fails)
    expect(JSON.stringify(fails)).not.toBe(JSON.stringify(fits))
  })

  it.each(numeric)('measure $id from its least to its largest value', ({ draw: figure, profiles }) => {
    if (!figure) throw new Error('no figure')
    const ranges = Object.values(profiles).flatMap((one) => (one.range ? [one.range] : []))
    const [least, most] = [
      Math.min(...ranges.map((one) => one[0] ?? 0)),
      Math.max(...ranges.map((one) => one[3] ?? 0)),
    ]
    const at = (share: number) => pictureOf(figure, { raw: least + share * (most - least), share })
    for (const share of [0, 0.5, 1]) expectSound(at(share))
    expect(JSON.stringify(at(0))).not.toBe(JSON.stringify(at(1)))
  })
})

const OF_TWO = SHEETS.flatMap(({ id, characters }) =>
  characters
    .filter((one) => ['ratio', 'difference', 'place', 'depth'].includes(one.measured?.as ?? ''))
    .map((one) => ({ group: id, ...one })),
)

it.each(OF_TWO)('the figure of $group $id shows both parts that are asked for', ({ draw: figure }) => {
  if (!figure) throw new Error('no figure')
  const parts = new Set(pictureOf(figure, { raw: 2, share: 0.5 }).marks.flatMap((one) => one.part ?? []))
  expect([...parts].sort()).toEqual([0, 1])
})

describe('a drawing', () => {
  it('is the same whenever it is drawn', () => {
    expect(draw('bark', { pattern: 'scaly' })).toEqual(draw('bark', { pattern: 'scaly' }))
  })

  it.each(PART_NAMES)('of the part %s needs no parameter and refuses one that nobody knows', (part) => {
    const picture = draw(part, {})
    if (!picture) throw new Error('not drawn')
    expectSound(picture)
    expect(() => draw(part, { colour9: 1 })).toThrow(/no parameter colour9/)
  })

  it.each([
    ['leaf', { ratio: 9 }, /leaf\.ratio: found 9, expected a number from 0\.6 to 5/],
    ['leaf', { ratio: Number.NaN }, /leaf\.ratio/],
    ['leaf', { base: 'square' }, /leaf\.base: found square, expected one of rounded/],
    ['bark', { foot: 'yes' }, /bark\.foot: found yes, expected true or false/],
    ['measured', { what: 'mood' }, /measured\.what: found mood/],
  ])('of the part %s refuses %o', (part, parameters, words) => {
    expect(() => draw(part, parameters)).toThrow(words)
  })

  it('of a part that nobody draws is left to its words', () => {
    expect(draw('root-hair', {})).toBeUndefined()
    expect(draw('constructor', {})).toBeUndefined()
  })

  it.each(MEASURED)('that measures %s is sound beyond both ends of its ruler', (what) => {
    for (const value of [
      { raw: 0, share: -0.4 },
      { raw: 400, share: 3 },
    ]) {
      expectSound(pictureOf({ part: 'measured', what }, value))
    }
  })

  const valuesOf = (allowed: Allowed): readonly unknown[] => {
    if (allowed.kind === 'word') return allowed.words
    return allowed.kind === 'flag'
      ? [false, true]
      : [allowed.least, (allowed.least + allowed.most) / 2, allowed.most]
  }

  it.each([...catalogue()])(
    'of the part %s is sound with each value of each parameter',
    (part, parameters) => {
      for (const [name, allowed] of parameters)
        for (const value of valuesOf(allowed)) expectSound(pictureOf({ part, [name]: value }))
    },
  )

  it.each([...catalogue()])('of the part %s changes with each of its parameters', (part, parameters) => {
    const settings = [...parameters].flatMap(([name, allowed]) =>
      valuesOf(allowed).map((value) => ({ [name]: value })),
    )
    for (const [name, allowed] of parameters) {
      // some show only together with another, as teeth do on a toothed margin
      const shows = [{}, ...settings].some((others) => {
        const pictures = valuesOf(allowed).map((value) => pictureOf({ part, ...others, [name]: value }))
        return new Set(pictures.map((one) => JSON.stringify(one.marks))).size > 1
      })
      expect(shows, name).toBe(true)
    }
  })
})

describe('a specimen of a number', () => {
  /** What is told in words at times, since its figure shows it larger, or fewer of it. */
  const TOLD = [
    'leaflet-count',
    'teeth-over-veins',
    'ltf',
    'nutlet-wing-ratio',
    'lobe-depth',
    'lobe-count',
    'cone-scale-count',
    'notch-veins',
    'ridge-length',
    'free-pairs',
  ]
  const numbers = SHEETS.flatMap((sheet) =>
    sheet.characters
      .filter((one) => one.draw && !one.states)
      .map((one) => [`${sheet.id} ${one.id}`, one] as const),
  )

  it.each(numbers)('of %s is measured or counted truly, or told', (_, character) => {
    const ranges = Object.values(character.profiles).flatMap(({ range }) => (range ? [range] : []))
    const [low, high] = [
      Math.min(...ranges.map(([least = 0]) => least)),
      Math.max(...ranges.map((range) => range[3] ?? 0)),
    ]
    const kind = (character as unknown as { kind: 'count' | 'length' | 'ratio' | 'angle' }).kind
    const parts = kind === 'ratio' ? [{ counts: false }, { counts: false }] : [{ counts: false }]
    const hows = ranges.flatMap(([, usualLow = 0, usualHigh = 0]) =>
      [usualLow, (usualLow + usualHigh) / 2, usualHigh].map((value) => {
        const raw = kind === 'count' ? Math.round(value) : value
        const picture = pictureOf(character.draw as Hint, { raw, share: (raw - low) / (high - low || 1) })
        return shownAs({ kind, parts }, raw, picture).how
      }),
    )
    if (!TOLD.includes(character.id)) expect(hows).not.toContain('words')
  })
})
