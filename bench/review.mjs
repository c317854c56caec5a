// How long the queue of 10,000 cases, a case file's data, the agreement over 20,000 double-read trees, the season and an archive take.
// usage: node review.mjs URL CALL-SIGN PASSPHRASE
import { signedIn } from './client.mjs'

const [url, callSign, passphrase] = process.argv.slice(2)
const call = await signedIn(url, callSign, passphrase)

async function p95(work, warmUp = 10, measured = 100) {
  const times = []
  for (let i = 0; i < warmUp + measured; i++) {
    const start = performance.now()
    await work(i)
    if (i >= warmUp) times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  return times[Math.floor(0.95 * times.length)].toFixed(0)
}

const surveys = await call('GET', '/api/surveys')
const large = surveys.find((one) => one.name === 'load 1')
const path = `/api/surveys/${large.id}`
const { inAll, rows } = await call('GET', `${path}/review`)
const settled = []
for (const survey of surveys) {
  const page = await call('GET', `/api/surveys/${survey.id}/review?settled=true`)
  settled.push(...page.rows.map((row) => `/api/surveys/${survey.id}/review/${row.id}/file`))
}
const agreement = await call('GET', `${path}/agreement`)
const lines = [
  [`the queue's first page, of ${inAll} cases`, () => call('GET', `${path}/review`)],
  ['what waits for me', () => call('GET', `${path}/review?mine=true`)],
  ['by group and reason', () => call('GET', `${path}/review?group=birches&reason=tier`)],
  ['by plot', (i) => call('GET', `${path}/review?plot=${rows[i % rows.length].plotId}`)],
  ['a month and older', () => call('GET', `${path}/review?days=30`)],
  [
    'a case on the table',
    (i) => {
      const table = rows.filter((row) => row.state === 'table')
      return call('GET', `${path}/review/${table[i % table.length].id}`)
    },
  ],
  ["a case file's data", (i) => call('GET', settled[i % settled.length])],
]
for (const [what, work] of lines) console.log(`| ${what} | ${await p95(work)} ms |`)
console.log(`| agreement over ${agreement.trees} double-read trees | ${await p95(() => call('GET', `${path}/agreement`), 4, 20)} ms |`)
for (const [what, of] of [
  ['the season at a glance, 2,500 plots and 100,000 trees', 'season'],
  ['seasons compared', 'season/compared'],
])
  console.log(`| ${what} | ${await p95(() => call('GET', `${path}/${of}`), 4, 20)} ms |`)
const start = performance.now()
const bytes = await call('GET', `${path}/darwin-core.zip`)
const seconds = (performance.now() - start) / 1000
console.log(`| an archive of the Darwin Core of 100,000 trees, ${(bytes / 1e6).toFixed(1)} MB | ${seconds.toFixed(1)} s |`)
