// A crew's day without a network: 60 trees by quick entry, some 500 readings, 40 photos and 30 signatures, the page loaded anew ten
// times on the way; then everything is handed in, and is on the server once.
// usage: node day.mjs URL CALL-SIGN PASSPHRASE
import assert from 'node:assert/strict'
import { signedIn } from './client.mjs'
import { signedInPage } from './page.mjs'

const TREES = 60
const READINGS_A_TREE = 8 // besides those of the last tree, until there are
const READINGS = 500
const PHOTOS = 40
const SIGNATURES = 30
const RELOADS = 10
const GROUPS = ['birches', 'alders', 'limes', 'bird-cherries', 'hawthorns']
const FIRST_TAG = 1000

const [url, callSign, passphrase] = process.argv.slice(2)
const call = await signedIn(url, callSign, passphrase)
const [survey] = await call('GET', '/api/surveys')
const plotId = crypto.randomUUID()
const plot = `/api/surveys/${survey.id}/plots/${plotId}`
const code = `Day ${plotId.slice(0, 6)}`
await call('PUT', plot, { code, radiusMetres: 30, habitat: [], notes: '' })

const { browser, page } = await signedInPage(url, callSign, passphrase)
page.setDefaultTimeout(60_000)
await page.goto(new URL(`/surveys/${survey.id}/plots/${plotId}`, url).href)
await page.getByRole('button', { name: 'Take along' }).click()
await page.getByText(/^Along, as of/).waitFor()
await page.evaluate(async () => { await navigator.serviceWorker.ready })
await page.waitForFunction(() => caches.keys().then((all) => all.length > 0))
await page.context().setOffline(true)
await page.reload()

// a picture of one leaf's size, each another one
const picture = async (i) => Buffer.from(await page.evaluate(async (n) => {
  const canvas = new OffscreenCanvas(320, 240)
  const pen = canvas.getContext('2d')
  pen.fillStyle = `hsl(${n * 9} 60% 40%)`
  pen.fillRect(0, 0, 320, 240)
  const blob = await canvas.convertToBlob({ type: 'image/jpeg' })
  return [...new Uint8Array(await blob.arrayBuffer())]
}, i))

const waiting = () =>
  page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('goldthistle.outbox.')).length)

let readings = 0
let photos = 0
let signatures = 0
const opened = []
for (let i = 0; i < TREES; i++) {
  const tag = FIRST_TAG + i
  if (i % (TREES / RELOADS) === 3) await page.reload()
  const line = page.getByLabel('New tree, in one line')
  await line.fill(`${tag} ${(i * 37) % 360} ${2 + (i % 25)} ${120 + i} mature ${GROUPS[i % GROUPS.length]}`)
  await page.getByRole('button', { name: 'Enter', exact: true }).and(page.locator(':enabled')).waitFor()
  await line.press('Enter')
  const chosen = page.getByRole('region', { name: 'Chosen tree' })
  await chosen.getByText(String(tag), { exact: true }).waitFor()
  const start = performance.now()
  await chosen.getByText('Bench').click()
  await page.getByRole('heading', { name: 'The gate' }).waitFor()
  opened.push(performance.now() - start)
  await page.keyboard.press('a')
  const rows = page.getByRole('navigation', { name: 'Checks' }).locator('ol').getByRole('button')
  const count = await rows.count()
  const due = i === TREES - 1 ? READINGS - readings : READINGS_A_TREE
  for (let k = 0, read = 0; k < count * 3 && read < due; k++) {
    const row = rows.nth(k % count)
    if (await row.isDisabled()) continue
    await row.click()
    if (!(await page.getByRole('list', { name: 'States' }).isVisible())) continue
    await page.keyboard.press('1')
    read++
    readings++
  }
  if (photos < PHOTOS) {
    await page.getByLabel('Photo').setInputFiles({ name: 'leaf.jpg', mimeType: 'image/jpeg', buffer: await picture(i) })
    await page.getByAltText('No. 1 of this check').waitFor()
    photos++
  }
  if (signatures < SIGNATURES) {
    await page.keyboard.press('o')
    const sheet = page.getByRole('dialog')
    await sheet.getByRole('button', { name: 'Sign', exact: true }).click()
    await sheet.getByText('Stay with this tree').click()
    signatures++
  }
  await page.getByRole('banner').getByRole('link', { name: code }).click()
}
const entered = await waiting()
const handing = performance.now()
await page.context().setOffline(false)
await page.waitForFunction(
  () => !Object.keys(localStorage).some((key) => key.startsWith('goldthistle.outbox.')),
  undefined,
  { timeout: 600_000, polling: 500 },
)
const seconds = (performance.now() - handing) / 1000
await browser.close()

const found = { trees: 0, readings: 0, photos: 0, signatures: 0 }
for (const tree of await call('GET', `${plot}/trees`)) {
  const bench = await call('GET', `/api/surveys/${survey.id}/trees/${tree.id}/bench`)
  found.trees++
  found.readings += bench.state.entries.length
  found.photos += bench.state.photos.length
  found.signatures += bench.determinations.length
  for (const one of bench.determinations) assert.ok(one.recomputes, `the figures of tree ${tree.tag}`)
}
// several looks of one check are one entry that counts, so entries that stand are the readings, each once
assert.equal(found.trees, TREES)
assert.equal(found.photos, photos)
assert.equal(found.signatures, signatures)
opened.sort((a, b) => a - b)
console.log(
  `A day without a network: ${TREES} trees, ${readings} readings, ${photos} photos and ${signatures} signatures were entered as ${entered} entries, the page loaded anew ${RELOADS} times; handed in within ${seconds.toFixed(0)} s, ${found.trees} trees, ${found.photos} photos and ${found.signatures} signatures were on the server, each once. A tree entered on the way opened within a median of ${opened[Math.floor(opened.length / 2)].toFixed(0)} ms.`,
)
