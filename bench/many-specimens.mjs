// Repeats the clear specimens of a file until there are as many as asked for, as one long list.
// usage: node many-specimens.mjs SPECIMENS.json COUNT
import { readFileSync } from 'node:fs'

const [file, count] = process.argv.slice(2)
const clear = JSON.parse(readFileSync(file, 'utf8')).filter((specimen) => specimen.expect === 'clear')

async function write(text) {
  if (!process.stdout.write(text)) await new Promise((resolve) => process.stdout.once('drain', resolve))
}

for (let i = 0; i < Number(count); i++) {
  await write((i === 0 ? '[' : ',\n') + JSON.stringify({ ...clear[i % clear.length], id: `tree-${i}` }))
}
await write(']\n')
