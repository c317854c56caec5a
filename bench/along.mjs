// How long it takes to take 30 plots with 900 trees along, a third of them begun, how large that is, and how soon a tree that is
// along opens without a network.
// usage: node along.mjs URL CALL-SIGN PASSPHRASE
import { signedIn } from './client.mjs'
import { signedInPage } from './page.mjs'

const PLOTS = 30
const TREES = 30 // a plot
const BEGUN = 3 // every third
const OPENED = 12

const [url, callSign, passphrase] = process.argv.slice(2)
const call = await signedIn(url, callSign, passphrase)
const [survey] = await call('GET', '/api/surveys')
const groups = (await call('GET', '/api/sheets')).map((one) => one.groupId)
const plots = []
for (let p = 0; p < PLOTS; p++) {
  const id = crypto.randomUUID()
  plots.push(id)
  const plot = `/api/surveys/${survey.id}/plots/${id}`
  await call('PUT', plot, { code: `Along ${id.slice(0, 8)}`, radiusMetres: 30, habitat: [], notes: '' })
  for (let t = 0; t < TREES; t++) {
    const tree = crypto.randomUUID()
    const groupId = groups[t % groups.length]
    await call('PUT', `${plot}/trees/${tree}`, {
      tag: t + 1, azimuthDegrees: t * 12, distanceMetres: 3 + t / 2, diameterMillimetres: 200 + t,
      stage: 'mature', origin: 'wild', conditionNotes: '', groupId,
    })
    if (t % BEGUN > 0) continue
    const bench = `/api/surveys/${survey.id}/trees/${tree}`
    const { path, sheetVersionId } = await call('GET', `${bench}/bench`)
    const sheet = await call('GET', `/api/sheets/${sheetVersionId}`)
    for (const character of sheet.characters.filter((one) => path.includes(one.id)).slice(0, 4)) {
      const seen = character.states.length > 0 ? { states: [character.states[0].id] } : { values: [7] }
      await call('PUT', `${bench}/readings/${crypto.randomUUID()}`, { character: character.id, notSeen: false, ...seen })
    }
  }
}

const { browser, page } = await signedInPage(url, callSign, passphrase)
page.setDefaultTimeout(60_000)
let bytes = 0
const session = await page.context().newCDPSession(page)
await session.send('Network.enable')
session.on('Network.loadingFinished', ({ encodedDataLength }) => { bytes += encodedDataLength })
await page.goto(new URL(`/surveys/${survey.id}/plots/${plots[0]}`, url).href)
await page.getByText('Take along').waitFor()
await page.goto(new URL('/today', url).href)
const button = page.getByRole('button', { name: /^Take .* along$/ })
await button.waitFor()
await page.waitForTimeout(3000) // until the page itself has come, and all that it fetches by itself
bytes = 0
const start = performance.now()
await button.click()
await page.getByText(/^Along: /).waitFor()
const seconds = (performance.now() - start) / 1000
const said = await page.getByRole('region', { name: 'Along' }).getByText(/^Along: /).textContent()
await page.evaluate(async () => { await navigator.serviceWorker.ready })
await page.context().setOffline(true)
const times = []
for (let i = 0; i < OPENED; i++) {
  await page.goto(new URL(`/surveys/${survey.id}/plots/${plots[i]}`, url).href)
  await page.getByRole('button', { name: 'Tree 1', exact: true }).first().click()
  const bench = page.getByRole('region', { name: 'Chosen tree' }).getByText('Bench')
  await bench.waitFor()
  await page.evaluate(() => {
    window.opened = undefined
    window.addEventListener('click', (event) => {
      const at = event.timeStamp
      const look = () => {
        if (document.querySelector('aside [aria-label]')) window.opened = performance.now() - at
        else requestAnimationFrame(look)
      }
      look()
    }, { capture: true, once: true })
  })
  await bench.click()
  await page.waitForFunction(() => window.opened !== undefined)
  times.push(await page.evaluate(() => window.opened))
}
await browser.close()
times.sort((a, b) => a - b)
console.log(
  `Taking along took ${seconds.toFixed(1)} s and ${(bytes / 1e6).toFixed(1)} MB of answers, sheets and lists among them; the page said: “${said}”. A tree that is along opened without a network, each time in a page that was just loaded, within a median of ${times[Math.floor(times.length / 2)].toFixed(0)} ms, at most ${times.at(-1).toFixed(0)} ms.`,
)
