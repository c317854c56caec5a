// answers what the browser's core makes of each case of a file, a line each; usage: answer.mjs RECKONER CASES
import { readFileSync, writeFileSync } from 'node:fs'

const [, , module, cases, answers] = process.argv
const reckoner = await import(module)
const { sheets, calls } = JSON.parse(readFileSync(cases, 'utf8'))
for (const { versionId, version, file } of sheets) reckoner.openSheet(versionId, version, file)
writeFileSync(
  answers,
  calls
    .map(({ begun, entered, signature, month, withOutlook }) =>
      JSON.stringify({
        laidOut: reckoner.layOut(begun, entered, month),
        signed: signature ? reckoner.layOut(begun, [...entered, signature], month) : undefined,
        outlook: withOutlook ? reckoner.outlook(begun, entered, 2026, month) : undefined,
      }),
    )
    .join('\n'),
)
