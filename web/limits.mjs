// Writes src/api/limits.ts: what the server takes and what it usually is, as its document says, so that a form says the same;
// and the document's version.
import { readFileSync, writeFileSync } from 'node:fs'

const NAMES = { minimum: 'least', maximum: 'most', maxLength: 'longest', maxItems: 'many', default: 'usual' }

const { info, components } = JSON.parse(readFileSync('openapi.json', 'utf8'))
const { schemas } = components
const limits = {}
for (const [name, schema] of Object.entries(schemas)) {
  for (const [field, property] of Object.entries(schema.properties ?? {})) {
    const said = { ...property.additionalProperties, ...property }
    for (const [key, as] of Object.entries(NAMES)) {
      if (said[key] !== undefined) ((limits[name] ??= {})[field] ??= {})[as] = said[key]
    }
  }
}
writeFileSync(
  'src/api/limits.ts',
  `export const limits = ${JSON.stringify(limits, null, 2)} as const\n\n/** The version of the API that this page is made for. */\nexport const apiVersion: string = '${info.version}'\n`,
)
