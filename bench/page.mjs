import { chromium } from 'playwright-core'

/** A page of 1280 by 800 in Chromium on which an observer has signed in, and its browser. */
export async function signedInPage(url, callSign, passphrase) {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium-headless-shell',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-sync'],
  })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  page.setDefaultTimeout(20_000)
  await page.goto(url)
  await page.getByLabel('Call sign').fill(callSign)
  await page.getByLabel('Passphrase').fill(passphrase)
  await page.getByText('Sign in', { exact: true }).click()
  await page.waitForURL((address) => !address.href.includes('sign-in'))
  return { browser, page }
}
