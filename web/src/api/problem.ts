/** One thing that is wrong with what was sent: where, what stood there, which rule it breaks. */
export type Refusal = { readonly key: string; readonly found: string; readonly expected: string }

const MOMENTARY = ['/problems/busy', '/problems/too-slow']

/** An answer of the server that says what is wrong: an RFC 9457 problem detail. */
export class Problem extends Error {
  readonly status: number
  readonly type: string
  readonly refusals: readonly Refusal[]
  /** what is stored now, where somebody else changed it in the meantime */
  readonly kept: unknown

  constructor(
    status: number,
    type: string,
    detail: string,
    refusals: readonly Refusal[] = [],
    kept?: unknown,
  ) {
    super(detail)
    this.name = 'Problem'
    this.status = status
    this.type = type
    this.refusals = refusals
    this.kept = kept
  }

  /** Whether somebody else changed the thing in the meantime. */
  get isStale(): boolean {
    return this.type === '/problems/stale'
  }

  /** Whether the same may well be taken a moment later: it came at a busy moment, or too slowly. */
  get isMomentary(): boolean {
    return this.status >= 500 || MOMENTARY.includes(this.type)
  }

  /** Whether the caller must sign in before anything else. */
  get isSignedOut(): boolean {
    return this.status === 401 && this.type === '/problems/not-signed-in'
  }
}

/** What is stored in place of what was sent, where somebody else changed it in the meantime; undefined: nobody did. */
export function keptInstead<T>(error: unknown): T | undefined {
  return error instanceof Problem && error.isStale ? (error.kept as T) : undefined
}

/** The server could not be reached, or something between here and it could not. */
export class Away extends Error {
  /** @param said what the server, or what is before it, said of that */
  constructor(
    said = 'The server cannot be reached. What you typed is still here; try again when it answers.',
  ) {
    super(said)
    this.name = 'Away'
  }
}

/** Statuses that a gateway answers with when the server behind it is away. */
const GATEWAY = [502, 503, 504]

type Detail = { type: string; detail: string; refusals?: Refusal[]; kept?: unknown }

function isDetail(value: unknown): value is Detail {
  return typeof value === 'object' && value !== null && 'detail' in value && typeof value.detail === 'string'
}

/** What a failed answer means; `body` is its parsed content. */
export function failure(status: number, body: unknown): Problem | Away {
  if (GATEWAY.includes(status)) return new Away(isDetail(body) ? body.detail : undefined)
  if (isDetail(body)) return new Problem(status, body.type, body.detail, body.refusals, body.kept)
  return new Problem(
    status,
    'about:blank',
    `The server answered ${status} and did not say why. Nothing was stored.`,
  )
}

/** What is wrong at a field, by its key; undefined: nothing that the server knows of. */
export function wrongAt(error: unknown, key: string): string | undefined {
  if (!(error instanceof Problem)) return undefined
  const there = error.refusals.filter((one) => one.key === key || one.key.startsWith(`${key}.`))
  return there.length === 0
    ? undefined
    : there.map(({ found, expected }) => `${found}: it must be ${expected}.`).join(' ')
}

/** The words of any error, for the screen. */
export function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error)
}
