// How long a file of 100,000 trees takes from being sent to being stored, every row checked.
// usage: node import.mjs URL CALL-SIGN PASSPHRASE
import { randomUUID } from 'node:crypto'
import { signedIn } from './client.mjs'

const PLOTS = 2500
const STEMS = 40

const [url, callSign, passphrase] = process.argv.slice(2)
const call = await signedIn(url, callSign, passphrase)

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
