import createClient from 'openapi-fetch'
import { Away, failure } from './problem'
import type { paths } from './schema'
import { notice } from './server'

/** Heard on the window when the server says that the session has ended. */
export const SIGNED_OUT = 'goldthistle:signed-out'

const TOKEN_COOKIE = /(?:^|; )XSRF-TOKEN=([^;]*)/

const LONGEST = 1000 * 30 // milliseconds; a network that is as good as none is no network
const LONGEST_FILE = 1000 * 60 * 10

async function fetchOrAway(request: Request): Promise<Response> {
  const isFile = request.headers.get('Content-Type')?.startsWith('image/') ?? false
  const patience = AbortSignal.timeout(isFile ? LONGEST_FILE : LONGEST)
  const sent = Date.now()
  try {
    const response = await fetch(request, { signal: AbortSignal.any([request.signal, patience]) })
    notice(response.headers, sent)
    return response
  } catch (error) {
    if (request.signal.aborted) throw error
    throw new Away()
  }
}

/** The one client of the API; its types come from the server's own document. */
export const api = createClient<paths>({ baseUrl: window.location.origin, fetch: fetchOrAway })

api.use({
  onRequest({ request }) {
    const token = TOKEN_COOKIE.exec(document.cookie)?.[1]
    if (token && request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', decodeURIComponent(token))
  },
  onResponse({ request, response }) {
    const isSigningIn = request.method === 'POST' && request.url.endsWith('/api/session')
    if (response.status === 401 && !isSigningIn) window.dispatchEvent(new Event(SIGNED_OUT))
  },
})

/** Throws a Problem or Away unless it was done; for answers that say nothing else. */
export function requireDone({ error, response }: { error?: unknown; response: Response }): void {
  if (!response.ok) throw failure(response.status, error)
}

/** The data of an answer; throws a Problem or Away if there is none. */
export function dataOf<T>(answer: { data?: T; error?: unknown; response: Response }): NonNullable<T> {
  if (answer.data === undefined || answer.data === null) throw failure(answer.response.status, answer.error)
  return answer.data
}
