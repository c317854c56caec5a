// How long the season of the largest sheet takes, the first time and again, and what a draft would change over the
// calls on record, with how often progress was told.
// usage: node sheets.mjs URL CALL-SIGN PASSPHRASE
import { signedIn } from './client.mjs'

const [url, callSign, passphrase] = process.argv.slice(2)
const call = await signedIn(url, callSign, passphrase)

async function timed(work) {
  const start = performance.now()
  const answer = await work()
  return [performance.now() - start, answer]
}
const shown = (times) => {
  const sorted = [...times].sort((a, b) => a - b)
  const at = (share) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))].toFixed(0)
  return `${at(0.5)} ms, slowest ${at(1)} ms`
}

const groups = await call('GET', '/api/sheets')
const sheets = await Promise.all(groups.map((one) => call('GET', `/api/sheets/${one.versionId}`)))
const largest = sheets.sort((a, b) => b.taxa.length * b.characters.length - a.taxa.length * a.characters.length)[0]
const questions = []
for (const stage of ['seedling', 'sapling', 'pole', 'mature']) {
  for (const school of ['', '&school=field-marks', '&school=close-characters']) {
    for (const wounding of ['true', 'false']) questions.push(`stage=${stage}${school}&wounding=${wounding}`)
  }
}
const seasons = async () => {
  const times = []
  for (const question of questions) {
    times.push((await timed(() => call('GET', `/api/sheets/${largest.versionId}/season?${question}`)))[0])
  }
  return times
}
const name = `${largest.title} (${largest.taxa.length} taxa, ${largest.characters.length} characters)`
console.log(`| season of ${name}, the first time | ${shown(await seasons())} |`)
await seasons() // so that what answers again and again is warm
console.log(`| the same again | ${shown(await seasons())} |`)

const birches = groups.find((one) => one.groupId === 'birches')
const draft = await call('PUT', `/api/drafts/${crypto.randomUUID()}`, { from: 'change', versionId: birches.versionId })
const sheet = structuredClone(draft.sheet)
for (const character of sheet.characters) character.weight = Math.round(80 * character.weight) / 100
await call('PUT', `/api/drafts/${draft.id}/sheet`, { revision: draft.revision, sheet })
const times = []
let last
let told
for (let i = 0; i < 6; i++) {
  const [time, text] = await timed(() => call('GET', `/api/drafts/${draft.id}/effects`))
  const lines = text.trim().split('\n')
  told = lines.length - 1
  last = JSON.parse(lines[lines.length - 1])
  if (i > 0) times.push(time)
}
console.log(`| what would change over ${last.total} calls, progress told ${told} times | ${shown(times)} |`)
await call('DELETE', `/api/drafts/${draft.id}`)
