import { useEffect, useEffectEvent, useSyncExternalStore } from 'react'
import { keep, readKept, sameKept, subscribeToKept } from '../../api/kept'
import { figures } from '../../reckoner/reckoner'

/** Takes a value in mm and says what it went into; undefined: it is nothing for it. */
type Taker = (millimetres: number) => string | undefined

/** A line that an instrument sent, and what became of it. */
export type SentLine = {
  /** one more than that of the line before: two may come in one millisecond */
  readonly number: number
  readonly at: number
  readonly text: string
  /** in mm; none: it was no value */
  readonly value?: number
  /** what it went into, or why nowhere */
  readonly told: string
  readonly taken: boolean
}

/** How it stands with the service of the instruments: not asked for, asked for and not there, there, or another page has it. */
export type Standing = 'off' | 'away' | 'there' | 'elsewhere'

const LOCK = 'goldthistle.instruments' // of the page that takes what they send
const PORT = 'instruments.port'
const LINES = 'instruments.lines'
const SHOWN = 12 // lines
const DIGITS = 3 // of a millimetre
const AGAIN = 3000 // milliseconds until it is looked for anew

/** Where the service that comes with the demo listens. */
export const USUAL_PORT = 8741

/**
 * Listens to the service of this device's instruments, which hands on a line at each press of their buttons. Of several pages
 * the one that was in front last takes them.
 */
class Instruments {
  private readonly takers: Taker[] = []
  private readonly listeners = new Set<() => void>()
  private standing: Standing = 'off'
  private source: EventSource | undefined
  private end: (() => void) | undefined

  snapshot = () => this.standing
  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  /** The last to ask is the first that is offered a value. */
  offerTo(taker: Taker): () => void {
    this.takers.unshift(taker)
    return () => void this.takers.splice(this.takers.indexOf(taker), 1)
  }

  /** Listens on a port of this device until the answer is called. */
  listenOn(port: number): () => void {
    let wanted = true
    const take = () => {
      if (!wanted || this.standing === 'there' || this.standing === 'away') return
      this.say('away')
      navigator.locks
        .request(LOCK, { steal: true }, () => new Promise<void>((done) => this.open(port, done)))
        .catch(() => {
          this.close() // another page took them over
          if (wanted) this.say('elsewhere')
        })
    }
    take()
    window.addEventListener('focus', take)
    return () => {
      wanted = false
      window.removeEventListener('focus', take)
      this.close()
      this.say('off')
    }
  }

  private open(port: number, done: () => void): void {
    this.end = done
    const source = new EventSource(`http://127.0.0.1:${port}/lines`)
    this.source = source
    source.onopen = () => this.say('there')
    source.onmessage = ({ data }) => void this.take(String(data))
    source.onerror = () => {
      if (this.source !== source) return
      this.say('away')
      // where the browser gives up, it is looked for anew
      if (source.readyState === EventSource.CLOSED)
        setTimeout(() => this.source === source && this.open(port, done), AGAIN)
    }
  }

  private close(): void {
    this.source?.close()
    this.source = undefined
    this.end?.()
    this.end = undefined
  }

  private say(standing: Standing): void {
    if (standing === this.standing) return
    this.standing = standing
    for (const listener of this.listeners) listener()
  }

  private async take(text: string): Promise<void> {
    const at = Date.now()
    let line: Omit<SentLine, 'number'>
    try {
      const { value, refused } = await figures.ask({ what: 'caliperLine', line: text, at: performance.now() })
      if (value === undefined && refused === undefined)
        line = { at, text, told: 'the same press once more', taken: false }
      else if (value === undefined) line = { at, text, told: refused ?? '', taken: false }
      else {
        const millimetres = Number(value.toFixed(DIGITS))
        const into = this.offer(millimetres)
        line = {
          at,
          text,
          value: millimetres,
          told: into ?? 'nothing open asks for a length',
          taken: into !== undefined,
        }
      }
    } catch (broken) {
      line = { at, text, told: broken instanceof Error ? broken.message : String(broken), taken: false }
    }
    const before = readKept<readonly SentLine[]>(LINES, [])
    const number = (before[0]?.number ?? 0) + 1
    keep(LINES, [{ ...line, number }, ...before].slice(0, SHOWN))
  }

  private offer(millimetres: number): string | undefined {
    for (const taker of this.takers) {
      const into = taker(millimetres)
      if (into !== undefined) return into
    }
    return undefined
  }
}

const instruments = new Instruments()

/** Takes what instruments send as long as the component is there. */
export function useInstrument(taker: Taker): void {
  const take = useEffectEvent(taker)
  useEffect(() => instruments.offerTo((millimetres) => take(millimetres)), [])
}

/** How it stands with the instruments. */
export function useStanding(): Standing {
  return useSyncExternalStore(instruments.subscribe, instruments.snapshot)
}

/** Listens as long as this device is to. */
export function useListening(): void {
  const port = usePort()
  useEffect(() => (port === undefined ? undefined : instruments.listenOn(port)), [port])
}

/** The port that this device listens on; undefined: it does not. */
export function usePort(): number | undefined {
  return useSyncExternalStore(subscribeToKept, () => readKept<number | undefined>(PORT, undefined))
}

/** Says on which port of this device to listen; undefined: not at all. */
export function listenOn(port: number | undefined): void {
  keep(PORT, port)
}

const NO_LINES: readonly SentLine[] = []

/** What came last, the latest first, in whichever page of this browser. */
export function useSentLines(): readonly SentLine[] {
  return useSyncExternalStore(subscribeToKept, () => sameKept(LINES, NO_LINES))
}
