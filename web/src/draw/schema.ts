import { catalogue } from './draw'
import { OWN_PICTURE } from './ownPicture'
import type { Allowed } from './parameters'

/** A picture of one's own, by the print of its file. */
type Print = { readonly kind: 'print' }
const OWN: readonly [string, ReadonlyMap<string, Allowed | Print>] = [
  OWN_PICTURE,
  new Map([['image', { kind: 'print' } as const]]),
]

function schemaOf(allowed: Allowed | Print): object {
  if (allowed.kind === 'print') return { type: 'string', pattern: '^[0-9a-f]{64}$' }

  if (allowed.kind === 'number') return { type: 'number', minimum: allowed.least, maximum: allowed.most }
  if (allowed.kind === 'word') return { enum: allowed.words }
  return { type: 'boolean' }
}

/** The JSON Schema of a sheet's drawing hints, made of what the drawings ask for; an unknown part is left to its words. */
export function drawingSchema(): object {
  const parts = catalogue()
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'A drawing of a state, or of what is measured, in a group sheet',
    type: 'object',
    required: ['part'],
    properties: { part: { type: 'string', pattern: '^[a-z]+(-[a-z]+)*$' } },
    allOf: [...parts, OWN].map(([part, parameters]) => ({
      if: { properties: { part: { const: part } } },
      // biome-ignore lint/suspicious/noThenProperty: a word of JSON Schema
      then: {
        properties: {
          part: true,
          ...Object.fromEntries([...parameters].map(([name, allowed]) => [name, schemaOf(allowed)])),
        },
        additionalProperties: false,
      },
    })),
  }
}
