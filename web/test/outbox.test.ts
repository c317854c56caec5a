import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Send } from '../src/common/bench/outbox'
import type { Entered, Unsent } from '../src/common/bench/unsent'

const A_PAUSE = 150 // milliseconds, after which what was entered is sent

const kept = new Map<string, string>()
vi.stubGlobal('localStorage', {
  get length() {
    return kept.size
  },
  key: (i: number) => [...kept.keys()][i] ?? null,
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, text: string) => void kept.set(key, text),
  removeItem: (key: string) => void kept.delete(key),
})

type Listener = (event?: unknown) => void
const heard = new Map<string, Set<Listener>>()
const happens = (event: string, what?: unknown) => {
  for (const listener of heard.get(event) ?? []) listener(what)
}
vi.stubGlobal('window', {
  addEventListener: (event: string, listener: Listener) =>
    heard.set(event, new Set(heard.get(event)).add(listener)),
  removeEventListener: (event: string, listener: Listener) => heard.get(event)?.delete(listener),
  setTimeout: (act: () => void, wait: number) => setTimeout(act, wait),
  clearTimeout: (timer: ReturnType<typeof setTimeout> | undefined) => clearTimeout(timer),
})

/** The outbox of a page that was just opened, and the errors that it knows. */
async function opened() {
  vi.resetModules()
  const { Away, Problem } = await import('../src/api/problem')
  const { outbox } = await import('../src/common/bench/outbox')
  return { outbox, Away, Problem }
}

const read = (character: string, state: string): Entered => ({
  kind: 'reading',
  reading: { character, states: [state], notSeen: false },
})
const entry = (id: string, entered: Entered, observer = 'Dipper'): Omit<Unsent, 'turn'> => ({
  id,
  observer,
  surveyId: 's',
  treeId: 't',
  where: 'Kettle Moss 07, tree 23',
  entered,
  at: 0,
})
const ids = (entries: readonly Unsent[]) => entries.map((one) => one.id)
/** A server that notes what it is sent, and lets each test say how it answers. */
function server(answer: (unsent: Unsent) => void = () => undefined) {
  const got: string[] = []
  const shown: string[] = []
  const send: Send = async (unsent) => {
    got.push(unsent.id)
    answer(unsent)
    return () => shown.push(unsent.id)
  }
  return { got, shown, send }
}

/** The outbox of somebody whose server is away until it is said to come back. */
async function openedWhileAway() {
  const { outbox, Away } = await opened()
  let away = true
  const { got, send } = server(() => {
    if (away) throw new Away()
  })
  outbox.start('Dipper', send)
  const comesBack = () => {
    away = false
  }
  return { outbox, got, comesBack }
}

describe('the outbox', () => {
  beforeEach(() => {
    kept.clear()
    heard.clear()
    vi.useFakeTimers()
  })

  it('sends what was entered one after the other, shows each answer and is empty then', async () => {
    const { outbox } = await opened()
    const { got, shown, send } = server()
    outbox.start('Dipper', send)

    outbox.add(entry('1', read('bark', 'smooth')))
    outbox.add(entry('2', read('twig', 'warty')))
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(got).toEqual(['1', '2'])
    expect(shown).toEqual(['1', '2'])
    expect(outbox.snapshot()).toEqual([])
    expect(kept.size).toBe(0)
  })

  it('sends nothing as long as somebody presses on, and all of it after', async () => {
    const { outbox } = await opened()
    const { got, send } = server()
    outbox.start('Dipper', send)

    for (let i = 0; i < 10; i++) {
      outbox.add(entry(`${i}`, read('bark', 'smooth')))
      await vi.advanceTimersByTimeAsync(A_PAUSE - 1)
    }
    expect(got).toEqual([])
    expect(kept.size).toBe(10)
    await vi.advanceTimersByTimeAsync(1)

    expect(got).toHaveLength(10)
    expect(kept.size).toBe(0)
  })

  it('keeps everything while the server is away and tries again by itself, less and less often', async () => {
    const { outbox, got, comesBack } = await openedWhileAway()

    outbox.add(entry('1', read('bark', 'smooth')))
    await vi.advanceTimersByTimeAsync(A_PAUSE + 900)
    expect(got).toHaveLength(1)
    await vi.advanceTimersByTimeAsync(200)
    expect(got).toHaveLength(2)
    await vi.advanceTimersByTimeAsync(1800)
    expect(got).toHaveLength(2)
    comesBack()
    await vi.advanceTimersByTimeAsync(400)

    expect(got).toHaveLength(3)
    expect(outbox.snapshot()).toEqual([])
  })

  it('tries again by itself what came at a busy moment, and refuses nothing of it', async () => {
    const { outbox, Problem } = await opened()
    const answers = ['busy', 'too-slow', 'taken']
    const { got, send } = server(() => {
      const answer = answers.shift()
      if (answer !== 'taken') throw new Problem(429, `/problems/${answer}`, 'Send it again in a moment.')
    })
    outbox.start('Dipper', send)
    outbox.add(entry('1', read('bark', 'smooth')))

    await vi.advanceTimersByTimeAsync(60_000)

    expect(got).toEqual(['1', '1', '1'])
    expect(outbox.snapshot()).toEqual([])
  })

  it('does not wait for its turn once the browser says that it is online again', async () => {
    const { outbox, got, comesBack } = await openedWhileAway()
    outbox.add(entry('1', read('bark', 'smooth')))
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    comesBack()
    happens('online')
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(got).toHaveLength(2)
    expect(outbox.snapshot()).toEqual([])
  })

  it('outlasts a reload', async () => {
    const before = (await opened()).outbox
    before.add(entry('1', read('bark', 'smooth')))

    const after = (await opened()).outbox
    const { got, send } = server()
    after.start('Dipper', send)
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(after).not.toBe(before)
    expect(got).toEqual(['1'])
  })

  it('keeps one entry for each thing that was done, and lets what was refused give way to its correction', async () => {
    const { outbox, Problem } = await opened()
    const { got, send } = server(({ id }) => {
      if (id === '1') throw new Problem(422, '/problems/unfit-reading', 'No such state.')
    })
    outbox.start('Dipper', send)
    outbox.add(entry('1', read('bark', 'smoth')))
    await vi.advanceTimersByTimeAsync(A_PAUSE)
    expect(outbox.snapshot()[0]?.refused).toBe('No such state.')

    outbox.add(entry('2', read('twig', 'warty')))
    outbox.add(entry('3', read('bark', 'smooth')))
    outbox.add(entry('4', read('bark', 'rough')))
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(got).toEqual(['1', '2', '3', '4'])
    expect(outbox.snapshot()).toEqual([])
  })

  it('holds back what stands on a tree that was refused, and sends it once the tree is corrected', async () => {
    const { outbox, Problem } = await opened()
    let taken = true
    const { got, send } = server(({ entered }) => {
      if (entered.kind === 'tree' && taken) throw new Problem(409, '/problems/tag-taken', 'The tag is taken.')
    })
    outbox.start('Dipper', send)
    const tree = { kind: 'tree', plotId: 'p', body: { tag: 7 } } as unknown as Entered
    outbox.add(entry('1', tree))
    outbox.add(entry('2', read('bark', 'smooth')))
    outbox.add({ ...entry('3', read('bark', 'smooth')), treeId: 'other' })
    await vi.advanceTimersByTimeAsync(A_PAUSE)
    expect(got).toEqual(['1', '3'])

    taken = false
    outbox.add({ ...entry('4', { ...tree, body: { tag: 8 } } as unknown as Entered), at: 9 })
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(got).toEqual(['1', '3', '4', '2'])
    expect(outbox.snapshot()).toEqual([])
  })

  it('tells what was handed in and how much was refused', async () => {
    const { outbox, Problem } = await opened()
    const { send } = server(({ id }) => {
      if (id === '2') throw new Problem(409, '/problems/plot-closed', 'The plot is closed.')
    })
    outbox.add(entry('1', read('bark', 'smooth')))
    outbox.add(entry('2', read('twig', 'warty')))
    outbox.add(entry('3', { kind: 'tier', tier: 'record' }))
    outbox.start('Dipper', send)
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(outbox.handedIn()).toMatchObject({ sent: ['reading', 'tier'], refused: 1 })
    expect(outbox.handedIn().at).toBeDefined()
  })

  it('loses nothing where the device is full, and says so', async () => {
    const { outbox } = await opened()
    const full = vi.spyOn(localStorage, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    outbox.add(entry('1', read('bark', 'smooth')))
    outbox.add(entry('2', read('twig', 'warty')))

    expect(outbox.whyNotKept()).toMatch(/no room left/)
    full.mockRestore()
    const { got, send } = server()
    outbox.start('Dipper', send)
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(got).toEqual(['1', '2'])
    expect(outbox.snapshot()).toEqual([])
  })

  it('moves everything that waits on one tree to another', async () => {
    const { outbox } = await opened()
    outbox.add(entry('1', read('bark', 'smooth')))
    outbox.add({ ...entry('2', read('bark', 'smooth')), treeId: 'other' })

    outbox.move('t', { treeId: 'right', surveyId: 's', where: 'Kettle Moss 07, tree 24' })

    expect(outbox.snapshot().map((one) => one.treeId)).toEqual(['right', 'other'])
    expect([...kept.values()].filter((text) => text.includes('"right"'))).toHaveLength(1)
  })

  it('takes nothing back that is on its way, since it may have arrived', async () => {
    const { outbox } = await opened()
    let arrive = () => {}
    const got: string[] = []
    outbox.start('Dipper', async (unsent) => {
      got.push(unsent.id)
      await new Promise<void>((done) => {
        arrive = done
      })
      return () => undefined
    })

    outbox.add(entry('1', read('bark', 'smooth')))
    await vi.advanceTimersByTimeAsync(A_PAUSE)
    outbox.add(entry('2', read('bark', 'rough')))
    expect(ids(outbox.snapshot())).toEqual(['1', '2'])
    arrive()
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(got).toEqual(['1', '2'])
  })

  it('keeps what was refused with the reason, and goes on with the next', async () => {
    const { outbox, Problem } = await opened()
    const { got, send } = server(({ id }) => {
      if (id === '1') throw new Problem(422, '/problems/unfit', 'No such state.')
    })
    outbox.start('Dipper', send)

    outbox.add(entry('1', read('bark', 'antlers')))
    outbox.add(entry('2', read('twig', 'warty')))
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(got).toEqual(['1', '2'])
    expect(outbox.snapshot()).toMatchObject([{ id: '1', refused: 'No such state.' }])
    for (const one of outbox.snapshot()) outbox.drop(one)
    expect(kept.size).toBe(0)
  })

  it('waits while nobody is signed in, and sends for nobody but who entered it', async () => {
    const { outbox, Problem } = await opened()
    const ended = server(() => {
      throw new Problem(401, '/problems/not-signed-in', 'Sign in.')
    })
    const stop = outbox.start('Dipper', ended.send)
    outbox.add(entry('1', read('bark', 'smooth')))
    await vi.advanceTimersByTimeAsync(60_000)
    stop()

    const siskins = server()
    const stopAgain = outbox.start('Siskin', siskins.send)
    await vi.advanceTimersByTimeAsync(A_PAUSE)
    stopAgain()
    const dippers = server()
    outbox.start('Dipper', dippers.send)
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(ended.got).toEqual(['1'])
    expect(siskins.got).toEqual([])
    expect(dippers.got).toEqual(['1'])
  })

  it('loses nothing of two pages that enter at the same time, and each hears of the other', async () => {
    const one = (await opened()).outbox
    const other = (await opened()).outbox // neither knows of what the other is about to enter

    one.add(entry('1', read('bark', 'smooth')))
    other.add(entry('2', read('twig', 'warty')))
    one.add(entry('3', read('leaf', 'double')))

    expect(ids((await opened()).outbox.snapshot())).toEqual(['1', '2', '3'])
    const { got, send } = server()
    other.start('Dipper', send)
    await vi.advanceTimersByTimeAsync(A_PAUSE)
    expect(got).toEqual(['1', '2', '3'])
    expect(kept.size).toBe(0)
  })

  it('fetches what another page sent before its entry goes from this one', async () => {
    const { outbox: one, Away } = await opened()
    const told: string[] = []
    one.start(
      'Dipper',
      async () => {
        throw new Away()
      },
      async ({ id }) => void told.push(`${id} fetched, ${one.snapshot().length} shown`),
    )
    one.add(entry('1', read('bark', 'smooth')))
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    kept.clear() // another page has sent it
    happens('storage', { key: 'goldthistle.outbox.1' })
    await vi.advanceTimersByTimeAsync(A_PAUSE)

    expect(told).toEqual(['1 fetched, 1 shown'])
    expect(one.snapshot()).toEqual([])
  })

  it('takes over what an earlier version kept', async () => {
    kept.set('goldthistle.outbox', JSON.stringify([entry('1', read('bark', 'smooth'))]))

    const { outbox } = await opened()

    expect(ids(outbox.snapshot())).toEqual(['1'])
    expect([...kept.keys()]).toEqual(['goldthistle.outbox.1'])
  })

  it('keeps an entry that a page wrote and did not come to send', async () => {
    const { outbox: before } = await opened()
    before.add(entry('1', read('bark', 'smooth'))) // and the browser crashes
    kept.set('goldthistle.outbox.broken', '{"half')

    const { outbox: after } = await opened()

    expect(ids(after.snapshot())).toEqual(['1'])
  })
})
