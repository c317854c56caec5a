// How long it takes from a key press on the Bench to the repainted beam, in Chromium, with the largest sheet: with the server
// beside it, 300 ms away and not there at all; and how long a press takes that only repaints a word, in the same run.
// usage: node key-press.mjs URL CALL-SIGN PASSPHRASE
import { signedInPage } from './page.mjs'

const WARM_UP = 200 // on another tree, so that everything has been at work for a while, as in life
const MEASURED = 200 // of each
const FAR = 300 // milliseconds to the server and back
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

// from the key's own time stamp to the frame after the one in which the beam's words, which hold every figure, changed; a
// press of z repaints one word beside it
function listen() {
  window.repainted = []
  let pressed
  const noted = () => {
    const start = pressed
    pressed = undefined
    requestAnimationFrame(() => {
      const channel = new MessageChannel() // runs once the frame is painted
      channel.port1.onmessage = () => window.repainted.push(performance.now() - start)
      channel.port2.postMessage(null)
    })
  }
  const word = document.body.appendChild(document.createElement('p'))
  word.style.cssText = 'position:fixed;bottom:0;left:0'
  let presses = 0
  window.addEventListener(
    'keydown',
    (event) => {
      pressed = event.timeStamp
      if (event.key !== 'z') return
      event.stopImmediatePropagation()
      word.textContent = String(presses++)
      noted()
    },
    true,
  )
  new MutationObserver((changes) => {
    if (pressed !== undefined && changes.some((one) => one.attributeName === 'aria-label')) noted()
  }).observe(document.querySelector('aside'), {
    subtree: true,
    attributes: true,
    attributeFilter: ['aria-label'],
  })
}

/** Presses one key after the other, each once the one before is painted. */
async function press(keys, count) {
  const from = await page.evaluate(() => window.repainted.length)
  for (let i = 0; i < count; i++) {
    await page.keyboard.press(keys[i % keys.length])
    await page.waitForFunction((done) => window.repainted.length > done, from + i, { polling: 5 })
    await page.waitForTimeout(60) // as fast as a finger is
  }
  return (await page.evaluate(() => window.repainted)).slice(from)
}

/** Reads every check that can be read now and has states, so that the balance is as full as it gets; then takes one up. */
async function readAll(check) {
  const rows = checks.locator('ol').getByRole('button')
  for (let i = 0; i < (await rows.count()); i++) {
    if (await rows.nth(i).isDisabled()) continue
    await rows.nth(i).click()
    if (await page.getByRole('list', { name: 'States' }).isVisible()) await page.keyboard.press('1')
    await page.waitForTimeout(60)
  }
  await checks.getByRole('button', { name: check }).click() // one look, so that each press changes it
  const states = await page.getByRole('list', { name: 'States' }).getByRole('listitem').count()
  return Array.from({ length: states }, (_, i) => `${i + 1}`)
}

await open(WARM_UP_TREE)
await press(await readAll('Rough black bark'), WARM_UP)
await open(TREE)
const keys = await readAll('Bark at chest height')
await press(['z'], WARM_UP)
await press(keys, WARM_UP)
const bare = await press(['z'], MEASURED)
const beside = await press(keys, MEASURED)
await page.route('**/api/**', async (route) => {
  await new Promise((later) => setTimeout(later, FAR))
  await route.continue().catch(() => undefined)
})
const far = await press(keys, MEASURED)
await page.unroute('**/api/**')
await page.context().setOffline(true)
const without = await press(keys, MEASURED)
await page.context().setOffline(false)
const at = (times, share) =>
  times.sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(share * times.length))].toFixed(1)
const said = (times) => `median ${at(times, 0.5)} ms, p95 ${at(times, 0.95)} ms`
console.log(
  `From a key press to the repainted beam in Chromium, over ${MEASURED} presses each: ${said(beside)}; with the server ${FAR} ms away ${said(far)}; without a network ${said(without)}. A press that only repaints a word took ${said(bare)} in the same run.`,
)
await browser.close()
