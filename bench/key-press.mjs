// How long it takes from a key press on the Bench to the repainted beam, in Chromium, with the largest sheet.
// usage: node key-press.mjs URL CALL-SIGN PASSPHRASE
import { signedInPage } from './page.mjs'

const WARM_UP = 300 // on another tree, so that the server has been at work for a while, as in life
const MEASURED = 300
const WARM_UP_TREE = 23 // a birch
const TREE = 4 // an alder: 16 characters, 4 taxa

const [url, callSign, passphrase] = process.argv.slice(2)
const { browser, page } = await signedInPage(url, callSign, passphrase)
const checks = page.getByRole('navigation', { name: 'Checks' })

/** Opens a tree's Bench, and notes from now on how long each press takes. */
async function open(tag) {
  await page.goto(new URL('/plots', url).href)
  await page.getByText('Kettle Moss 07').click()
  await page.getByRole('button', { name: `Tree ${tag}`, exact: true }).click()
  await page.getByRole('region', { name: 'Chosen tree' }).getByText('Bench').click()
  await checks.waitFor()
  await page.evaluate(listen)
}

// from the key's own time stamp to the frame after the one in which the beam's words, which hold every figure, changed
function listen() {
  window.repainted = []
  let pressed
  window.addEventListener('keydown', (event) => { pressed = event.timeStamp }, true)
  const beam = document.querySelector('aside')
  new MutationObserver((changes) => {
    if (pressed === undefined || !changes.some((one) => one.attributeName === 'aria-label')) return
    const start = pressed
    pressed = undefined
    requestAnimationFrame(() => {
      const channel = new MessageChannel() // runs once the frame is painted
      channel.port1.onmessage = () => window.repainted.push(performance.now() - start)
      channel.port2.postMessage(null)
    })
  }).observe(beam, { subtree: true, attributes: true, attributeFilter: ['aria-label'] })
}

const settled = () =>
  page.waitForFunction(() => localStorage.getItem('goldthistle.outbox') === null, undefined, { polling: 5 })

/** Reads every check that can be read now and has states, so that the balance is as full as it gets; then one of them anew. */
async function press(check, count) {
  const rows = checks.locator('ol').getByRole('button')
  for (let i = 0; i < (await rows.count()); i++) {
    if (await rows.nth(i).isDisabled()) continue
    await rows.nth(i).click()
    if (await page.getByRole('list', { name: 'States' }).isVisible()) await page.keyboard.press('1')
    await settled()
  }
  await checks.getByRole('button', { name: check }).click() // one look, so that each press changes it
  const states = await page.getByRole('list', { name: 'States' }).getByRole('listitem').count()
  for (let i = 0; i < count; i++) {
    const before = await page.evaluate(() => window.repainted.length)
    await page.keyboard.press(`${1 + (i % states)}`)
    await page.waitForFunction((count) => window.repainted.length > count, before, { polling: 5 })
    await settled()
  }
}

await open(WARM_UP_TREE)
await press('Rough black bark', WARM_UP)
await open(TREE)
await press('Bark at chest height', MEASURED)
// the least that this way can take on this machine: a key, the smallest request, one word repainted
const bare = await page.evaluate(async ({ warmUp, measured }) => {
  const word = document.body.appendChild(document.createElement('p'))
  const times = []
  for (let i = 0; i < warmUp + measured; i++) {
    const start = performance.now()
    await (await fetch('/api/session')).text()
    word.textContent = String(i)
    await new Promise((painted) => requestAnimationFrame(() => setTimeout(painted)))
    times.push(performance.now() - start)
  }
  word.remove()
  return times.slice(warmUp)
}, { warmUp: WARM_UP, measured: MEASURED })
const at = (times, share) => times.sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(share * times.length))].toFixed(1)
const times = (await page.evaluate(() => window.repainted)).slice(-MEASURED)
console.log(
  `From a key press to the repainted beam in Chromium, through the server and back, over ${MEASURED} presses: median ${at(times, 0.5)} ms, p95 ${at(times, 0.95)} ms. The smallest request and one repainted word took ${at(bare, 0.5)} ms in the same run, p95 ${at(bare, 0.95)} ms.`,
)
await browser.close()
