// @vitest-environment jsdom

import { describe, expect, it } from 'vitest'
import { enteredWords, kindsWords } from '../src/common/along/entryWords'
import { Ages } from '../src/common/bench/ages'
import { onCall } from '../src/common/bench/asItStands'
import type { Entered, Unsent } from '../src/common/bench/unsent'

const entry = (entered: Entered): Unsent => ({
  id: 'e',
  observer: 'Dipper',
  surveyId: 's',
  treeId: 't',
  where: 'Kettle Moss 07, tree 23',
  entered,
  at: Date.UTC(2026, 8, 14, 9),
  turn: 0,
})

describe('what was handed in', () => {
  it('is told in a line, the most weighty first', () => {
    expect(kindsWords(['reading', 'tree', 'signature', 'reading', 'mark', 'mark', 'photo'])).toBe(
      '1 tree, 1 signature, 1 photo, 2 readings, 2 marks of the gate',
    )
    expect(kindsWords([])).toBe('')
  })

  it('says what was typed, also where the sheet is not at hand', () => {
    const reading: Entered = {
      kind: 'reading',
      reading: { character: 'bark', states: ['bosses'], notSeen: false },
    }
    const sheet = {
      characters: [
        { id: 'bark', name: 'Bark at the foot', states: [{ id: 'bosses', name: 'thick bosses' }] },
      ],
    } as never

    expect(enteredWords(entry(reading), sheet)).toBe('Bark at the foot: thick bosses')
    expect(enteredWords(entry(reading), undefined)).toBe('reading of bark')
  })
})

describe('what the core is handed', () => {
  it('is what belongs to the call, each with its id and its time', () => {
    const signed = {
      outcome: 'group' as const,
      note: '',
      confirming: [],
      reasons: {},
      voucher: '',
      readingIds: ['r'],
    }

    expect(onCall([entry({ kind: 'signature', signed })])).toEqual([
      { ...signed, kind: 'signature', id: 'e', observer: 'Dipper', at: '2026-09-14T09:00:00.000Z' },
    ])
    expect(onCall([entry({ kind: 'aid', groupId: 'birches', characterId: 'bark', body: 'rub it' })])).toEqual(
      [],
    )
    expect(
      onCall([entry({ kind: 'photo', character: 'bark', name: 'leaf.jpg', sizeBytes: 7 })])[0],
    ).toMatchObject({ kind: 'photo', photo: { id: 'e', character: 'bark', sizeBytes: 7 } })
  })
})

describe('how old something is when it is sent', () => {
  it('never turns round the order in which things were entered, however long their way', () => {
    const ages = new Ages()
    const entered = [91_100, 91_200, 91_900, 99_000, 99_100]
    const ways = [4000, 10, 2500, 10, 900] // milliseconds to the server
    const breaks = [0, 0, 40_000, 0, 7000] // before it is sent
    const reads: number[] = []
    let now = 100_000
    for (const [i, at] of entered.entries()) {
      now += breaks[i] ?? 0
      const seconds = ages.of('t', at, now)
      now += ways[i] ?? 0
      reads.push(now - seconds * 1000)
      now += 20
      ages.arrived('t', now)
    }

    expect(reads).toEqual([...reads].sort((a, b) => a - b))
  })

  it('is right where nothing stood in the way', () => {
    const ages = new Ages()
    expect(ages.of('t', 10_000, 10_050)).toBe(0)
    ages.arrived('t', 10_060)
    expect(ages.of('t', 20_000, 80_000)).toBe(60)
    expect(ages.of('other', 20_000, 80_000)).toBe(60)
  })
})
