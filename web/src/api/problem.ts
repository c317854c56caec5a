/** An answer of the server that says what is wrong: an RFC 9457 problem detail. */
export class Problem extends Error {
  readonly status: number
  readonly type: string

  constructor(status: number, type: string, detail: string) {
    super(detail)
    this.name = 'Problem'
    this.status = status
    this.type = type
  }

  /** Whether the caller must sign in before anything else. */
  get isSignedOut(): boolean {
    return this.status === 401 && this.type === '/problems/not-signed-in'
  }
}

/** The server could not be reached, or something between here and it could not. */
export class Away extends Error {
  constructor() {
    super('The server cannot be reached. What you enter is kept here and sent as soon as it answers.')
    this.name = 'Away'
  }
}

/** Statuses that a gateway answers with when the server behind it is away. */
const GATEWAY = [502, 503, 504]

function isDetail(value: unknown): value is { type: string; detail: string } {
  return typeof value === 'object' && value !== null && 'detail' in value && typeof value.detail === 'string'
}

/** What a failed answer means; `body` is its parsed content. */
export function failure(status: number, body: unknown): Problem | Away {
  if (GATEWAY.includes(status)) return new Away()
  if (isDetail(body)) return new Problem(status, body.type, body.detail)
  return new Problem(
    status,
    'about:blank',
    `The server answered ${status} and did not say why. Nothing was stored.`,
  )
}

/** The words of any error, for the screen. */
export function wordsOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error)
}
