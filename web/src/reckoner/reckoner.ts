import type { Answer, Asked, Question, Told } from './questions'

/** The core could not be loaded, or broke: what it was asked for must come from elsewhere. */
export class Broken extends Error {
  override name = 'Broken'
}

type Waiting = { readonly tell: (told: unknown) => void; readonly fail: (why: Error) => void }

/**
 * The browser's core in a worker of its own, so that neither the page nor another question waits for it. One that could not be
 * loaded is tried again once there is a network.
 */
class Reckoner {
  private worker: Worker | undefined
  private broken: string | undefined
  private readonly waiting = new Map<number, Waiting>()
  private readonly sheets = new Map<string, Promise<void>>()
  private readonly trees = new Map<string, unknown>()
  private next = 0

  /** Starts it before anything is asked. */
  start(): void {
    this.started()
  }

  /** Asks; the answer may come after that of a later question to another worker, never to this one. */
  ask<K extends keyof Told>(asked: Extract<Asked, { what: K }>): Promise<Told[K]> {
    return this.send(asked) as Promise<Told[K]>
  }

  /** Makes a version of a sheet known, once. */
  open(versionId: string, sheet: () => Promise<{ readonly version: number; readonly file: unknown }>) {
    const known = this.sheets.get(versionId)
    if (known) return known
    const opened = sheet().then(async ({ version, file }) => {
      await this.send({ what: 'sheet', versionId, version, file })
    })
    opened.catch(() => this.sheets.delete(versionId)) // so that it is tried again
    this.sheets.set(versionId, opened)
    return opened
  }

  /** Makes known what is on record of a tree; only what is new is handed over. */
  begin(treeId: string, onRecord: unknown): void {
    if (this.trees.get(treeId) === onRecord) return
    this.trees.set(treeId, onRecord)
    void this.send({ what: 'tree', treeId, onRecord }).catch(() => undefined) // told by the question that follows
  }

  private send(asked: Asked): Promise<unknown> {
    const worker = this.started()
    if (!worker) return Promise.reject(new Broken(this.broken))
    const id = this.next++
    return new Promise((tell, fail) => {
      this.waiting.set(id, { tell, fail })
      worker.postMessage({ id, asked } satisfies Question)
    })
  }

  private started(): Worker | undefined {
    if (this.worker || this.broken !== undefined) return this.worker
    const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data: { id, told, failed } }: MessageEvent<Answer>) => {
      const one = this.waiting.get(id)
      this.waiting.delete(id)
      if (failed === undefined) one?.tell(told)
      else one?.fail(new Broken(failed))
    }
    worker.onerror = (event) => {
      event.preventDefault()
      this.broken = event.message || 'its file could not be loaded'
      worker.terminate()
      this.worker = undefined
      this.sheets.clear()
      this.trees.clear()
      window.addEventListener('online', () => (this.broken = undefined), { once: true })
      for (const one of this.waiting.values()) one.fail(new Broken(this.broken))
      this.waiting.clear()
    }
    this.worker = worker
    return worker
  }
}

/** What the Bench shows. */
export const figures = new Reckoner()

/** The months ahead, which take long. */
export const ahead = new Reckoner()
