import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { describe, expect, it } from 'vitest'
import document from '../openapi.json'

const ROOT = join(import.meta.dirname, '../src')

/** Written by the build from the server's document. */
const GENERATED = ['api/schema.ts', 'api/limits.ts']

/** What may hold numbers of its own, and why: none of them is a number of the job. */
const NUMBERS_OF_ITS_OWN: Readonly<Record<string, string>> = {
  'api/': 'codes of HTTP, and how long an answer is kept',
  'App.tsx': 'how long is waited',
  'draw/': 'strokes of drawings',
  'ui/': 'how it looks',
  'features/bench/Ancestry.tsx': 'the size of a picture',
  'features/bench/Guide.tsx': 'the size of a picture',
  'common/':
    'how often is asked again, how shares and digits are typed and how many, sizes of pictures, parameters of drawings',
  'features/bench/InstrumentsPage.tsx': 'ports of a device',
  'features/bench/CountUp.tsx': 'how long a touch is felt',
  'features/bench/PhotoStage.tsx': 'fingers, steps of enlarging and the loupe, in pixels of the screen',
  'features/bench/annotated.ts': 'how finely a photo is drawn anew',
  'features/control/PlotSketch.tsx': 'the size of a picture',
  'features/draft/': 'how the editor looks and how shares are typed',
  'features/exchange/queries.ts': 'how often is asked again',
  'features/group/RibbonCell.tsx': 'the size of a picture',
  'features/group/SideBySide.tsx': 'what fits on a page',
  'features/plot/StemMap.tsx': 'the size of a picture',
  'features/plot/stemMap.ts': 'the size of a picture',
  'features/plot/PlotsPage.tsx': 'how many plots are shown at once',
  'features/plot/LineTaken.tsx': 'examples of a line',
  'features/plot/QuickEntry.tsx': 'an example of a line',
  'features/plot/quickEntry.ts': 'units of length',
  'features/practice/':
    'the size of pictures and rulers, per cents to choose from, how many tries a device keeps',
  'features/quality/': 'the size of pictures, and decimals that are shown',
  'features/review/ReviewPage.tsx': 'ages that a list is narrowed by',
  'features/season/': 'the size of pictures, and how many metres a degree has',
  'features/account/queries.ts': 'a code of HTTP',
  'features/account/DeviceNotices.tsx': 'minutes of an hour and a day',
  'features/account/PeoplePage.tsx': 'minutes of an hour and a day',
}

const files = readdirSync(ROOT, { recursive: true, withFileTypes: true })
  .filter((one) => one.isFile() && /\.tsx?$/.test(one.name))
  .map((one) => relative(ROOT, join(one.parentPath, one.name)))
  .filter((name) => !GENERATED.includes(name))

const withoutComments = (name: string) =>
  readFileSync(join(ROOT, name), 'utf8').replace(/\/\*[\s\S]*?\*\/|(?<![:'"])\/\/[^\n]*/g, '')

const enums = Object.entries(
  document.components.schemas as Record<string, { enum?: readonly string[] }>,
).flatMap(([name, { enum: codes }]) => (codes ? [{ name, codes }] : []))

const isWithin = (some: readonly (string | undefined)[], all: readonly (string | undefined)[]) =>
  some.every((one) => all.includes(one))

describe('rules of the job stand in Java', () => {
  it.each(files)('%s lists no codes', (name) => {
    const code = withoutComments(name)
    const lists = [
      ...(code.match(/\[[^[\]]*\]/g) ?? []),
      ...(code.match(/\(\s*'[^'\n]+'(?:,\s*'[^'\n]+')+,?\s*\)/g) ?? []), // given to a function
      ...(code.match(/'[^'\n]+'(?:\s*\|\s*'[^'\n]+')+/g) ?? []), // a type of its own
    ]
    const found = lists.flatMap((list) => {
      const texts = [...list.matchAll(/'([^'\n]+)'/g)].map((one) => one[1])
      return enums
        .filter(({ codes }) => codes.length > 2 && new Set(texts).size > 2)
        .filter(({ codes }) => isWithin(codes, texts) || isWithin(texts, codes))
        .map((one) => `${one.name}: ${list}`)
    })

    expect(found, 'take it from api/codes').toEqual([])
  })

  it.each(files)('%s holds no number of the job', (name) => {
    if (Object.keys(NUMBERS_OF_ITS_OWN).some((allowed) => name.startsWith(allowed))) return
    const code = withoutComments(name)
      .replace(/'[^'\n]*'|"[^"\n]*"|`[^`]*`/g, '')
      .replace(/\b(?:size|strokeWidth|width|height|rows|tabIndex)=\{[^}]*\}/g, '')
    const found = [...code.matchAll(/(?<![\w.#-])(\d[\d_]*(?:\.\d+)?)(?![\w%])/g)]
      .map((one) => Number((one[1] ?? '').replaceAll('_', '')))
      .filter((value) => !Number.isInteger(value) || (value > 12 && value !== 100 && value !== 1000))

    expect(found, 'send it from the server, or say in this test why it is none').toEqual([])
  })

  it.each(files)('%s imports nothing of another feature', (name) => {
    const [, feature] = /^features\/([^/]+)\//.exec(name) ?? []
    const code = readFileSync(join(ROOT, name), 'utf8')
    const imported = [...code.matchAll(/(?:from|import\() ?'(\.[^']+)'/g)]
      .map((one) => relative(ROOT, join(ROOT, dirname(name), one[1] ?? '')))
      .filter((target) => target.startsWith('features/'))
      .filter((target) => !target.startsWith(`features/${feature}/`))

    if (name !== 'App.tsx') expect(imported, 'what features lend each other lies in common').toEqual([])
    if (!name.startsWith('ui/')) expect(code).not.toContain("from 'radix-ui'")
  })

  it('every exception is still needed', () => {
    const unused = Object.keys(NUMBERS_OF_ITS_OWN).filter(
      (allowed) => !files.some((name) => name.startsWith(allowed)),
    )

    expect(unused).toEqual([])
  })
})
