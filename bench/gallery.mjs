// How long it takes from the click to all drawings painted, in Chromium: the first time, sheets to fetch and code to
// warm up included, and afterwards.
// usage: node gallery.mjs URL CALL-SIGN PASSPHRASE
import { signedInPage } from './page.mjs'

const AGAIN = 15
const DRAWINGS = 752 // states and measured figures; the page is full with these

const [url, callSign, passphrase] = process.argv.slice(2)
const { browser, page } = await signedInPage(url, callSign, passphrase)
const times = []
for (let i = 0; i <= AGAIN; i++) {
  await page.getByRole('link', { name: 'Groups' }).first().click()
  await page.getByRole('link', { name: 'All drawings' }).waitFor()
  await page.waitForTimeout(500)
  times.push(
    await page.evaluate(async (drawings) => {
      const start = performance.now()
      document.querySelector('a[href="/drawings"]').click()
      while (document.querySelectorAll('main svg.drawn').length < drawings) {
        await new Promise((next) => setTimeout(next, 4))
      }
      await new Promise((next) => requestAnimationFrame(next))
      await new Promise((next) => {
        const channel = new MessageChannel() // runs once the frame is painted
        channel.port1.onmessage = next
        channel.port2.postMessage(null)
      })
      return performance.now() - start
    }, DRAWINGS),
  )
}
const [first, ...again] = times
again.sort((a, b) => a - b)
console.log(
  `The gallery of all drawings is painted ${first.toFixed(0)} ms after the first click, its fifteen sheets fetched; when it is opened again, over ${AGAIN} times: median ${again[AGAIN >> 1].toFixed(0)} ms, slowest ${again.at(-1).toFixed(0)} ms.`,
)
await browser.close()
