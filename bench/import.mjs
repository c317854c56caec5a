// How long a file of 100,000 trees takes from being sent to being stored, every row checked.
// usage: node import.mjs URL CALL-SIGN PASSPHRASE
import { randomUUID } from 'node:crypto'

const PLOTS = 2500
const STEMS = 40

const [url, callSign, passphrase] = process.argv.slice(2)
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
  const text = await answer.text()
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text}`)
  return text === '' ? null : JSON.parse(text)
}

async function ended(path, state) {
  const start = performance.now()
  for (;;) {
    const now = await call('GET', path)
    if (now.state === state && now.problemCount === 0) return ((performance.now() - start) / 1000).toFixed(1)
    if (!now.state.endsWith('ing')) throw new Error(`${now.state}: ${now.told} ${JSON.stringify(now.problems)}`)
    await new Promise((done) => setTimeout(done, 100))
  }
}

const rows = ['plot,latitude,longitude,radius m,tag,azimuth,distance,diameter mm,stage,origin,group,taxon']
for (let plot = 1; plot <= PLOTS; plot++) {
  for (let tag = 1; tag <= STEMS; tag++) {
    const what = tag % 4 === 0 ? ',Quercus robur' : 'birches,'
    rows.push(
      `Import ${plot},${(55.021 + plot * 1e-6).toFixed(6)},-20.39,15,${tag},${(tag * 137) % 360},${1 + (tag % 14)},${60 + tag * 7},mature,wild,${what}`,
    )
  }
}
await call('GET', '/api/session')
await call('POST', '/api/session', { callSign, passphrase })
const survey = (await call('GET', '/api/surveys')).find((one) => one.name.startsWith('Kettle Moss'))
const path = `/api/surveys/${survey.id}/imports/${randomUUID()}`
const sent = await call('PUT', `${path}?name=large.csv`, rows.join('\n'), 'application/octet-stream')
await call('PUT', `${path}/columns`, { columns: sent.columns })
const checked = await ended(path, 'checked')
await call('PUT', `${path}/stored`)
const stored = await ended(path, 'stored')
console.log(
  `A file of ${(PLOTS * STEMS).toLocaleString('en-GB')} trees in ${PLOTS.toLocaleString('en-GB')} plots is checked in ${checked} s and stored in ${stored} s.`,
)
