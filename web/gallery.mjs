// Writes all drawings of the built-in sheets as one picture a group: docs/gallery/GROUP.svg, and docs/gallery.md.
// usage: node gallery.mjs   (in web, once its packages are there)
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { build } from 'vite'

const root = join(import.meta.dirname, '..')
const sheets = join(root, 'formats/src/main/resources/groups')
const out = join(root, 'docs/gallery')
const CELL = { width: 150, height: 190, drawing: 130 }
const COLUMNS = 6

// the day's colours, from the one place where they are written
const css = readFileSync(join(import.meta.dirname, 'src/index.css'), 'utf8').split('/* The same roles at dusk')[0]
const token = (name) => new RegExp(`--color-${name}: (#[0-9a-f]+)`).exec(css)?.[1] ?? '#000000'
const roles = readFileSync(join(import.meta.dirname, 'src/ui/Drawing.tsx'), 'utf8')
const colour = Object.fromEntries(
  [...roles.matchAll(/^ {2}(\w+): 'fill-([\w-]+)',$/gm)].map(([, role, name]) => [role, token(name)]),
)

const made = mkdtempSync(join(tmpdir(), 'drawings-'))
await build({
  root: import.meta.dirname,
  configFile: false,
  logLevel: 'error',
  build: {
    outDir: made,
    lib: { entry: join(import.meta.dirname, 'src/draw/draw.ts'), formats: ['es'], fileName: () => 'draw.mjs' },
  },
})
const { catalogue, draw } = await import(pathToFileURL(join(made, 'draw.mjs')).href)
rmSync(made, { recursive: true })

const escaped = (text) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;')

function lines(text, most) {
  const all = ['']
  for (const word of text.split(' ')) {
    if (all.at(-1) && `${all.at(-1)} ${word}`.length > most) all.push(word)
    else all[all.length - 1] = all.at(-1) ? `${all.at(-1)} ${word}` : word
  }
  return all
}

function cell({ part, ...parameters }, words, x, y, value) {
  const picture = draw(part, parameters, value)
  const scale = CELL.drawing / picture.height
  const paths = picture.marks.map((mark) => `<path d="${mark.d}" fill="${colour[mark.role]}"/>`).join('')
  const label = lines(words, 24)
    .slice(0, 3)
    .map((line, i) => `<text x="${x + 4}" y="${y + CELL.drawing + 16 + i * 14}" font-size="12">${escaped(line)}</text>`)
    .join('')
  return `<g transform="translate(${x + 6} ${y}) scale(${scale.toFixed(3)})">${paths}</g>${label}`
}

rmSync(out, { recursive: true, force: true })
mkdirSync(out, { recursive: true })
const titles = []
for (const file of readdirSync(sheets).sort()) {
  if (file.includes('specimens')) continue
  const sheet = JSON.parse(readFileSync(join(sheets, file), 'utf8'))
  let y = 12
  let body = ''
  const gate = sheet.gate.map((item) => ({
    name: `Gate: ${item.name}`,
    profiles: {},
    states: [
      { draw: item.draw, name: 'fits' },
      { draw: item.drawOtherwise, name: 'fails' },
    ].filter((one) => one.draw),
  }))
  for (const character of [...gate, ...sheet.characters]) {
    const ranges = Object.values(character.profiles).flatMap((one) => (one.range ? [one.range] : []))
    const [least, most] = [Math.min(...ranges.map((one) => one[0])), Math.max(...ranges.map((one) => one[3]))]
    const cells = character.states
      ? character.states.map((state) => [state.draw, state.name])
      : [0, 1].map((share) => {
          const raw = share ? most : least
          return [character.draw, String(raw), { raw, share }]
        })
    body += `<text x="8" y="${y + 16}" font-size="15" font-weight="bold">${escaped(character.name)}</text>`
    y += 26
    cells.forEach(([hint, words, value], i) => {
      body += cell(hint, words, 8 + (i % COLUMNS) * CELL.width, y + Math.floor(i / COLUMNS) * CELL.height, value)
    })
    y += Math.ceil(cells.length / COLUMNS) * CELL.height
  }
  const width = COLUMNS * CELL.width + 16
  writeFileSync(
    join(out, `${sheet.id}.svg`),
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${y}" viewBox="0 0 ${width} ${y}" font-family="sans-serif"><rect width="100%" height="100%" fill="#ffffff"/>${body}</svg>\n`,
  )
  titles.push(`## ${sheet.title}\n\n![${sheet.title}](gallery/${sheet.id}.svg)`)
}
const allowed = (one) =>
  one.kind === 'number' ? `${one.least} to ${one.most}` : one.kind === 'word' ? one.words.join(', ') : 'true, false'
const parts = [...catalogue()].map(
  ([part, parameters]) =>
    `| \`${part}\` | ${[...parameters].map(([name, one]) => `\`${name}\`: ${allowed(one)}`).join('; ') || '–'} |`,
)
writeFileSync(
  join(root, 'docs/gallery.md'),
  `# All drawings\n\nBy group and character, with their words; written by \`./goldthistle shots\`. Measured figures are drawn at the least and\nthe largest value of any candidate. In the application they are under *Groups*, *All drawings*.\n\n${titles.join('\n\n')}\n\n## Parts and their parameters\n\nOf words the first stands in where none is given.\n\n| part | parameters |\n| --- | --- |\n${parts.join('\n')}\n`,
)
