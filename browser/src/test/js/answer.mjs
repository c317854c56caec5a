// answers what the browser's core makes of each case of a file, a line each; usage: answer.mjs RECKONER CASES
import { readFileSync, writeFileSync } from 'node:fs'

const [, , module, cases, answers] = process.argv
const reckoner = await import(module)
const { sheets, calls, measured, practised } = JSON.parse(readFileSync(cases, 'utf8'))
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
// practice trees and what somebody made of them, a line each
writeFileSync(
  `${answers}.practised`,
  practised
    .map(({ versionId, made }) =>
      JSON.stringify({
        tree: reckoner.practiceTree(versionId, made.seed, made.one, made.other),
        result: reckoner.practiceResult(versionId, made),
      }),
    )
    .join('\n'),
)
// what is measured, a line each
writeFileSync(
  `${answers}.measured`,
  measured
    .map(({ versionId, character, parts, photo }) =>
      JSON.stringify(parts ? reckoner.taken(versionId, character, parts) : reckoner.onPhoto(versionId, character, photo)),
    )
    .join('\n'),
)
