import { beforeEach, describe, expect, it, vi } from 'vitest'
import { Away, Problem } from '../src/api/problem'
import type { Draft } from '../src/api/types'
import {
  addingUp,
  asKind,
  idOf,
  leftOver,
  newCharacter,
  rulerOf,
  type SheetFile,
  type TaxonFile,
  withShare,
} from '../src/common/draft/sheetFile'
import { DraftKeeper } from '../src/features/draft/draftKeeper'
import { partOf, placeWords } from '../src/features/draft/parts'

const kept = new Map<string, string>()
vi.stubGlobal('localStorage', {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => kept.set(key, value),
  removeItem: (key: string) => kept.delete(key),
})
vi.stubGlobal('window', {
  setTimeout: (run: () => void, wait: number) => setTimeout(run, wait),
  clearTimeout: (timer: number) => clearTimeout(timer),
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
})

const taxon = (id: string, rank = 'species'): TaxonFile => ({
  id,
  scientificName: id,
  commonName: `the ${id}`,
  rank,
  origin: 'native',
  standing: 'common',
  abundance: 50,
  plantedAbundance: 50,
})

describe('shares', () => {
  it.each([[[0.5, 0.5]], [[1, 0, 0]], [[0.333, 0.333, 0.334]], [[0, 0, 0]], [[0.07, 0.38, 0.55, 0.2]]])(
    'of %j are made a whole in hundredths by one press',
    (shares) => {
      expect(leftOver(addingUp(shares))).toBe(0)
      expect(Math.min(...addingUp(shares))).toBeGreaterThanOrEqual(0)
    },
  )

  it('stand as they were typed, whatever is typed in whatever order', () => {
    let seed = 7
    const draw = (below: number) => {
      seed = (seed * 48271) % 2147483647 // Park and Miller 1988: any run is the same
      return seed % below
    }
    for (let run = 0; run < 300; run++) {
      const count = 2 + draw(5)
      let shares: readonly number[] = Array.from({ length: count }, () => draw(101) / 100)
      const typed = new Map<number, number>()
      for (let i = 0; i < 8; i++) {
        const [at, share] = [draw(count), draw(1001) / 1000]
        shares = withShare(shares, at, share)
        typed.set(at, share)
        for (const [where, what] of typed) expect(shares[where]).toBe(what)
      }
    }
  })

  it('say what is left over, or too much', () => {
    expect(leftOver([0.03, 0.17, 0.8])).toBe(0)
    expect(leftOver([0.03, 0.17])).toBe(80)
    expect(leftOver([0.7, 0.25, 0.055])).toBe(-0.5)
    expect(leftOver([0.1, 0.2, 0.7])).toBe(0)
  })
})

describe('characters', () => {
  it('read another way begin their profiles anew where they must', () => {
    const states = newCharacter('c', [taxon('a'), taxon('b'), taxon('h', 'hybrid')])
    expect(Object.keys(states.profiles)).toEqual(['a', 'b'])
    const length = asKind(states, 'length', [taxon('a'), taxon('b'), taxon('h', 'hybrid')])
    expect(length).toMatchObject({ kind: 'length', unit: 'mm' })
    expect(length.states).toBeUndefined()
    expect(length.profiles.a).toEqual({ range: [1, 2, 3, 4] })
    expect(asKind(length, 'count', []).unit).toBeUndefined()
    expect(asKind(asKind(length, 'count', []), 'ratio', []).profiles).toBe(length.profiles)
    expect(asKind(length, 'ordered', [taxon('a')]).profiles.a).toEqual({
      'one-way': 0.5,
      'the-other-way': 0.5,
    })
  })

  it('get ids of their own', () => {
    expect(idOf('Häute & Haare', [])).toBe('ha-ute-haare')
    expect(idOf('Bud', ['bud', 'bud-2'])).toBe('bud-3')
    expect(idOf('…', [])).toBe('new')
  })

  it('lie on a ruler with room, in steps that it is read in', () => {
    expect(rulerOf([22, 160], false)).toEqual({ from: 0, to: 206, step: 1 })
    expect(rulerOf([1, 3], true)).toEqual({ from: 0, to: 4, step: 1 })
    expect(rulerOf([], false).to).toBeGreaterThan(0)
  })
})

describe('places', () => {
  const sheet = {
    taxa: [taxon('a')],
    characters: [{ ...newCharacter('bud', []), name: 'Buds' }],
  } as unknown as SheetFile

  it('are told in words and lead to their part', () => {
    expect(placeWords('characters[0].weight', sheet)).toBe('Buds, weight')
    expect(placeWords('characters.bud.profiles', sheet)).toBe('Buds, profiles')
    expect(placeWords('taxa[0].plantedAbundance', sheet)).toBe('the a, planted abundance')
    expect(placeWords('taxa.abundance', sheet)).toBe('taxa, abundance')
    expect(placeWords('gate[1].howTo', sheet)).toBe('gate 2, how to')
    expect(placeWords('fallback.commonName', sheet)).toBe('what is recorded otherwise, common name')
    expect(
      ['characters[0].id', 'taxa.abundance', 'firstLook.bud', 'sources', 'indices[0].name', 'title'].map(
        (key) => partOf(key, sheet),
      ),
    ).toEqual([0, 'taxa', 'gate', 'cautions', 'functions', 'about'])
  })
})

describe('a draft in this browser', () => {
  const sheet = (title: string) => ({ title, taxa: [], characters: [] }) as unknown as SheetFile
  const draft = (revision: number, title: string) =>
    ({ id: 'd', revision, sheet: sheet(title), refusals: [] }) as unknown as Draft
  const titled = (title: string) => () => sheet(title)

  beforeEach(() => {
    kept.clear()
    vi.useFakeTimers()
  })

  it('is sent once when the hand rests, and undone step by step', async () => {
    const send = vi.fn(async (_: string, { revision, sheet }) => draft(revision + 1, sheet.title))
    const keeper = new DraftKeeper(draft(1, 'old'), send)
    keeper.change(titled('new'))
    keeper.change(titled('newer'))
    expect(keeper.now().where).toBe('sending')
    await vi.advanceTimersByTimeAsync(1000)
    expect(send).toHaveBeenCalledTimes(1)
    expect(send.mock.calls[0]?.[1]).toMatchObject({ revision: 1, sheet: { title: 'newer' } })
    expect(keeper.now()).toMatchObject({ where: 'kept', undoable: 2 })
    expect(kept.size).toBe(0)
    keeper.undo()
    expect(keeper.now().sheet.title).toBe('new')
    await vi.advanceTimersByTimeAsync(1000)
    expect(send.mock.calls[1]?.[1]).toMatchObject({ revision: 2, sheet: { title: 'new' } })
  })

  it('outlasts a server that is away and a tab that is closed', async () => {
    let away = true
    const send = vi.fn(async (_: string, { revision, sheet }) => {
      if (away) throw new Away()
      return draft(revision + 1, sheet.title)
    })
    const keeper = new DraftKeeper(draft(1, 'old'), send)
    keeper.change(titled('typed'))
    await vi.advanceTimersByTimeAsync(500)
    expect(keeper.now().where).toBe('away')
    const opened = new DraftKeeper(draft(1, 'old'), send)
    expect(opened.now().sheet.title).toBe('typed')
    away = false
    await vi.advanceTimersByTimeAsync(4000)
    expect(opened.now().where).toBe('kept')
    expect(opened.now().draft.revision).toBe(2)
  })

  it('is settled when another page changed it too', async () => {
    const there = draft(5, 'there')
    const stale = new Problem(409, '/problems/stale', 'Somebody changed this draft.', [], there)
    let refuse = true
    const send = vi.fn(async (_: string, { revision, sheet }) => {
      if (refuse) throw stale
      return draft(revision + 1, sheet.title)
    })
    const keeper = new DraftKeeper(draft(1, 'old'), send)
    keeper.change(titled('here'))
    await vi.advanceTimersByTimeAsync(500)
    expect(keeper.now()).toMatchObject({ where: 'stale', there: { revision: 5 } })
    refuse = false
    keeper.settle('here', there)
    await vi.advanceTimersByTimeAsync(500)
    expect(send.mock.calls.at(-1)?.[1]).toMatchObject({ revision: 5, sheet: { title: 'here' } })
    keeper.settle('there', there)
    expect(keeper.now()).toMatchObject({ where: 'kept', sheet: { title: 'there' } })
  })

  it('says why it was refused and keeps what was typed', async () => {
    const send = vi.fn(async () => {
      throw new Problem(403, '/problems/draft-of-another', 'This draft is another’s.')
    })
    const keeper = new DraftKeeper(draft(1, 'old'), send)
    keeper.change(titled('typed'))
    await vi.advanceTimersByTimeAsync(500)
    expect(keeper.now()).toMatchObject({
      where: 'refused',
      told: 'This draft is another’s.',
      sheet: { title: 'typed' },
    })
  })
})
