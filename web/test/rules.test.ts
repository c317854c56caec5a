import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
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
  'features/call/Ancestry.tsx': 'the size of a picture',
  'features/call/Beam.tsx': 'the size of a picture',
  'features/call/BeamPicture.tsx': 'the size of a picture',
  'features/call/Guide.tsx': 'the size of a picture',
  'features/call/Notch.tsx': 'the size of a picture',
  'features/call/Ruler.tsx': 'the size of a picture',
  'features/call/rulerScale.ts': 'how a ruler is ticked',
  'features/call/judgementWords.ts': 'how a chance is said',
  'features/call/outbox.ts': 'how long a request is waited for',
  'features/call/queries.ts': 'how often is asked again',
  'features/call/numbers.ts': 'how typed digits are read',
  'features/call/NumberEntry.tsx': 'how long a line may be',
  'features/call/undo.ts': 'how many steps are kept',
  'features/draft/': 'how the editor looks and how shares are typed',
  'features/exchange/queries.ts': 'how often is asked again',
  'features/group/firstLooks.ts': 'parameters of drawings',
  'features/group/RibbonCell.tsx': 'the size of a picture',
  'features/group/SideBySide.tsx': 'what fits on a page',
  'features/plot/StemMap.tsx': 'the size of a picture',
  'features/plot/stemMap.ts': 'the size of a picture',
  'features/plot/queries.ts': 'how often is asked again',
  'features/plot/position.ts': 'minutes and seconds of a degree',
  'features/plot/QuickEntry.tsx': 'an example of a line',
  'features/plot/quickEntry.ts': 'units of length',
  'features/quality/': 'the size of pictures, and decimals that are shown',
  'features/review/ReviewPage.tsx': 'ages that a list is narrowed by',
  'features/review/caseWords.ts': 'milliseconds of a day',
  'features/review/queries.ts': 'how often is asked again, and a code of HTTP',
  'features/account/queries.ts': 'a code of HTTP',
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

describe('rules of the job stand in Java', () => {
  it.each(files)('%s lists no codes', (name) => {
    const lists = withoutComments(name).match(/\[[^[\]]*\]/g) ?? []
    const found = lists.flatMap((list) => {
      const texts = [...list.matchAll(/'([^'\n]+)'/g)].map((one) => one[1])
      return enums
        .filter(({ codes }) => codes.length > 2 && codes.every((code) => texts.includes(code)))
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

  it('every exception is still needed', () => {
    const unused = Object.keys(NUMBERS_OF_ITS_OWN).filter(
      (allowed) => !files.some((name) => name.startsWith(allowed)),
    )

    expect(unused).toEqual([])
  })
})
