import type { Parameters } from './picture'

/** What a parameter may be: a number between two limits, one of some words, or true or false. */
export type Allowed =
  | { readonly kind: 'number'; readonly least: number; readonly most: number }
  | { readonly kind: 'word'; readonly words: readonly string[] }
  | { readonly kind: 'flag' }

/** Reads a drawing's parameters; what nobody asked for is refused in the end, so that no slip of a name passes. */
export class Reader {
  private readonly asked = new Map<string, Allowed>()
  private readonly given = new Map<string, unknown>()

  constructor(
    private readonly part: string,
    private readonly parameters: Parameters,
  ) {}

  /** A number between two limits, or the stand-in if it is left out. */
  number(name: string, least: number, most: number, standIn: number): number {
    const value = this.value(name, { kind: 'number', least, most }, standIn)
    if (typeof value !== 'number' || !(value >= least && value <= most)) {
      throw new RangeError(
        `${this.part}.${name}: found ${String(value)}, expected a number from ${least} to ${most}`,
      )
    }
    return value
  }

  /** One of some words; the first stands in if it is left out. */
  word<T extends string>(name: string, words: readonly [T, ...T[]]): T {
    const value = this.value(name, { kind: 'word', words }, words[0])
    const found = words.find((word) => word === value)
    if (found === undefined) {
      throw new RangeError(
        `${this.part}.${name}: found ${String(value)}, expected one of ${words.join(', ')}`,
      )
    }
    return found
  }

  /** True or false; false if it is left out. */
  flag(name: string): boolean {
    const value = this.value(name, { kind: 'flag' }, false)
    if (typeof value !== 'boolean') {
      throw new RangeError(`${this.part}.${name}: found ${String(value)}, expected true or false`)
    }
    return value
  }

  /** Refuses parameters that nobody asked for. */
  done(): void {
    const unknown = Object.keys(this.parameters).filter((name) => !this.asked.has(name))
    if (unknown.length > 0) throw new RangeError(`${this.part}: no parameter ${unknown.join(', ')}`)
  }

  /** What was asked for so far, by name. */
  catalogue(): ReadonlyMap<string, Allowed> {
    return this.asked
  }

  /** What it is drawn with, by name: what was said, or what stands in for it. */
  drawnWith(): ReadonlyMap<string, unknown> {
    return this.given
  }

  private value(name: string, allowed: Allowed, standIn: unknown): unknown {
    this.asked.set(name, allowed)
    const value = this.parameters[name] ?? standIn
    this.given.set(name, value)
    return value
  }
}
