/**
 * A signed-in client of the application at a URL: call(method, path, body) answers what came back, parsed; a stream of
 * lines comes back as its text, an archive as how many bytes it has.
 */
export async function signedIn(url, callSign, passphrase) {
  const cookies = new Map()

  async function call(method, path, body, type = 'application/json') {
    const answer = await fetch(url + path, {
      method,
      headers: {
        cookie: [...cookies].map(([name, value]) => `${name}=${value}`).join('; '),
        'content-type': type,
        'x-xsrf-token': cookies.get('XSRF-TOKEN') ?? '',
      },
      ...(body ? { body: typeof body === 'string' ? body : JSON.stringify(body) } : {}),
    })
    for (const cookie of answer.headers.getSetCookie()) {
      const [name, value] = cookie.split(';')[0].split('=')
      cookies.set(name, value)
    }
    if (answer.ok && answer.headers.get('content-type') === 'application/zip') return (await answer.arrayBuffer()).byteLength
    const text = await answer.text()
    if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text}`)
    if (answer.headers.get('content-type')?.startsWith('application/x-ndjson')) return text
    return text === '' ? null : JSON.parse(text)
  }

  await call('GET', '/api/session')
  await call('POST', '/api/session', { callSign, passphrase })
  return call
}
