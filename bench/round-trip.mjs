// How long one reading takes from request to answer on the loopback: a new reading, stored and weighed.
// usage: node round-trip.mjs URL CALL-SIGN PASSPHRASE
import { randomUUID } from 'node:crypto'
import { signedIn } from './client.mjs'

const WARM_UP = 300
const MEASURED = 2000

const [url, callSign, passphrase] = process.argv.slice(2)
const call = await signedIn(url, callSign, passphrase)

const [survey] = await call('GET', '/api/surveys')
const plots = await call('GET', `/api/surveys/${survey.id}/plots`)
const plot = plots.find((one) => one.code === 'Kettle Moss 07')
const trees = await call('GET', `/api/surveys/${survey.id}/plots/${plot.id}/trees`)
const times = []
for (let i = 0; i < WARM_UP + MEASURED; i++) {
  // every tree in turn, every character of its sheet in turn, so that the record grows as in life
  const tree = trees[i % trees.length]
  tree.bench ??= await call('GET', `/api/surveys/${survey.id}/trees/${tree.id}/bench`)
  tree.sheet ??= await call('GET', `/api/sheets/${tree.bench.sheetVersionId}`)
  const harmless = tree.sheet.characters.filter((one) => one.harm !== 'wound') // this survey wounds no tree
  const character = harmless[Math.floor(i / trees.length) % harmless.length]
  const seen = character.states.length > 0 ? { states: [character.states[0].id] } : { values: [7] }
  const path = `/api/surveys/${survey.id}/trees/${tree.id}/readings/${randomUUID()}`
  const start = performance.now()
  await call('PUT', path, { character: character.id, certainty: 'sure', notSeen: false, ...seen })
  if (i >= WARM_UP) times.push(performance.now() - start)
}
times.sort((a, b) => a - b)
const at = (share) => times[Math.min(times.length - 1, Math.floor(share * times.length))].toFixed(1)
console.log(`A reading's round trip on the loopback, stored and weighed, over ${MEASURED} readings: median ${at(0.5)} ms, p99 ${at(0.99)} ms.`)
