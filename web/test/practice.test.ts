// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from 'vitest'
import { readKept, sameKept } from '../src/api/kept'
import { call, enterOn, madeOf, type Try, takeUp, wasSent } from '../src/common/practice/practiceStore'

const BIRCHES = { versionId: 'v1', groupId: 'birches', one: 'pendula', other: 'pubescens' }
const OPEN = { outcome: 'open', taxonId: null, belief: null } as const
const WREN = 'Wren'
const tries = () => readKept<readonly Try[]>(`practice.${WREN}`, [])
const read = (character: string, ...states: string[]) =>
  ({ kind: 'reading', reading: { character, notSeen: false, states } }) as const

beforeEach(() => localStorage.clear())

describe('a practice tree on this device', () => {
  it('that was begun is gone on with, another pair has its own', () => {
    const first = takeUp(WREN, BIRCHES)
    expect(takeUp(WREN, BIRCHES)).toBe(first)
    expect(takeUp(WREN, { ...BIRCHES, other: 'hybrid' })).not.toBe(first)
    expect(takeUp('Siskin', BIRCHES)).not.toBe(first)
  })

  it('is sent as it was read last, and what was taken back not at all', () => {
    const id = takeUp(WREN, { ...BIRCHES, seed: 7 })
    enterOn(WREN, id, read('teeth', 'double'))
    enterOn(WREN, id, read('hairs', 'dense'))
    enterOn(WREN, id, read('teeth', 'single'))
    enterOn(WREN, id, {
      kind: 'reading',
      reading: { character: 'hairs', notSeen: false, withdrawn: true },
    })
    enterOn(WREN, id, { kind: 'mark', item: 'bark', mark: 'fits' })
    enterOn(WREN, id, { kind: 'mark', item: 'leaf', mark: 'fails' })
    enterOn(WREN, id, { kind: 'mark', item: 'bark', mark: 'taken-back' })
    const [one] = tries()
    expect(one && madeOf(one)).toEqual({
      seed: 7,
      one: 'pendula',
      other: 'pubescens',
      readings: [{ character: 'teeth', notSeen: false, states: ['single'] }],
      gate: [{ item: 'leaf', fits: false }],
      outcome: 'open',
      taxonId: null,
    })
  })

  it('is called once, and then nothing more is entered', () => {
    const id = takeUp(WREN, BIRCHES)
    call(WREN, id, { ...OPEN, at: 1 })
    call(WREN, id, { outcome: 'taxon', taxonId: 'pendula', belief: 0.9, at: 2 })
    enterOn(WREN, id, read('teeth', 'double'))
    expect(tries()[0]?.called?.at).toBe(1)
    expect(tries()[0]?.entries).toEqual([])
  })

  it('that the server does not have stays, however much is practised since', () => {
    const unsent = takeUp(WREN, BIRCHES)
    call(WREN, unsent, { ...OPEN, at: 1 })
    for (let i = 0; i < 60; i++) {
      const id = takeUp(WREN, BIRCHES)
      call(WREN, id, { ...OPEN, at: i })
      wasSent(WREN, id, '')
    }
    expect(tries().some((one) => one.id === unsent)).toBe(true)
    expect(tries().length).toBeLessThan(50)
    wasSent(WREN, unsent, '')
    takeUp(WREN, BIRCHES)
    expect(tries().some((one) => one.id === unsent)).toBe(false)
  })
})

describe('what is kept', () => {
  it('is the same value as long as it stays as it is', () => {
    takeUp(WREN, BIRCHES)
    const key = `practice.${WREN}`
    const before = sameKept<readonly Try[]>(key, [])
    expect(sameKept<readonly Try[]>(key, [])).toBe(before)
    takeUp(WREN, { ...BIRCHES, other: 'hybrid' })
    expect(sameKept<readonly Try[]>(key, [])).not.toBe(before)
  })
})
