// Four observers who read and read, each reading sent again under its id until it is acknowledged; prints a line for each.
// usage: node kill-writers.mjs URL PASSPHRASE STOP-FILE
import { existsSync } from 'node:fs'
import { signedIn } from './client.mjs'

const [url, passphrase, stopFile] = process.argv.slice(2)
const STATES = ['fine-sharp', 'incurved']
const sleep = (ms) => new Promise((done) => setTimeout(done, ms))

async function patiently(work) {
  for (;;) {
    try {
      return await work()
    } catch {
      await sleep(100) // whatever was wrong: it is sent again
    }
  }
}

async function writer(callSign) {
  let call = await patiently(() => signedIn(url, callSign, passphrase))
  const survey = `/api/surveys/${(await call('GET', '/api/surveys'))[0].id}`
  const tree = crypto.randomUUID()
  const plot = `${survey}/plots/${crypto.randomUUID()}`
  await call('PUT', plot, { code: `Wrack ${tree}`, radiusMetres: 15, habitat: [], notes: '' })
  await call('PUT', `${plot}/trees/${tree}`, {
    tag: 1,
    azimuthDegrees: 10,
    distanceMetres: 3,
    diameterMillimetres: 140,
    stage: 'mature',
    origin: 'wild',
    conditionNotes: '',
    groupId: 'bird-cherries',
  })
  for (let i = 0; !existsSync(stopFile); i++) {
    const id = crypto.randomUUID()
    await patiently(async () => {
      try {
        await call('PUT', `${survey}/trees/${tree}/readings/${id}`, {
          character: 'tooth-shape',
          states: [STATES[i % 2]],
          notSeen: false,
        })
      } catch (error) {
        if (String(error).includes('401')) call = await signedIn(url, callSign, passphrase)
        throw error
      }
    })
    console.log(`${id} ${Date.now()}`)
    await sleep(20)
  }
}

await Promise.all(['Dipper', 'Siskin', 'Wren', 'Redpoll'].map(writer))
