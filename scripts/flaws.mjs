// Asks a public database whether any library that ships has a known flaw. Without a network it says that it could not, and
// holds the libraries against the floors below alone.
// usage: node flaws.mjs MAVEN_DEPENDENCIES PACKAGE_LOCK
import { readFileSync } from 'node:fs'

const DATABASE = 'https://api.osv.dev/v1/querybatch'

/** Below these a flaw is known; written down here so that it is seen without a network too. */
const FLOORS = { 'org.apache.commons:commons-lang3': '3.18.0', 'org.apache.commons:commons-text': '1.10.0' }

const [dependencies, lock] = process.argv.slice(2)
const maven = [...new Set(readFileSync(dependencies, 'utf8').match(/^ {3}\S+:\S+:jar:\S+:(?:compile|runtime)/gm) ?? [])]
  .map((line) => line.trim().split(':'))
  .map(([group, artifact, , version]) => ({ ecosystem: 'Maven', name: `${group}:${artifact}`, version }))
const npm = Object.entries(JSON.parse(readFileSync(lock, 'utf8')).packages)
  .filter(([path, one]) => path !== '' && !one.dev && one.version)
  .map(([path, one]) => ({ ecosystem: 'npm', name: path.replace(/^.*node_modules\//, ''), version: one.version }))
const all = [...maven, ...npm]

const digits = (version) => version.split(/[.-]/).map(Number)
const isBelow = (version, floor) => {
  const [a, b] = [digits(version), digits(floor)]
  const i = b.findIndex((one, at) => (a[at] ?? 0) !== one)
  return i >= 0 && (a[i] ?? 0) < b[i]
}

const flaws = all
  .filter((one) => FLOORS[one.name] && isBelow(one.version, FLOORS[one.name]))
  .map((one) => `${one.name} ${one.version} is below ${FLOORS[one.name]}`)
try {
  const answer = await fetch(DATABASE, {
    method: 'POST',
    signal: AbortSignal.timeout(30_000),
    body: JSON.stringify({
      queries: all.map(({ ecosystem, name, version }) => ({ package: { ecosystem, name }, version })),
    }),
  })
  if (!answer.ok) throw new Error(`it answered ${answer.status}`)
  const { results } = await answer.json()
  results.forEach((result, i) => {
    for (const { id } of result.vulns ?? []) flaws.push(`${all[i].name} ${all[i].version}: ${id}`)
  })
  console.log(`${all.length} libraries were asked for`)
} catch (error) {
  console.log(`the database of flaws could not be asked (${error.cause?.code ?? error.message}): only what is written down here was looked for in ${all.length} libraries`)
}
for (const flaw of flaws) console.log(flaw)
process.exit(flaws.length > 0 ? 1 : 0)
