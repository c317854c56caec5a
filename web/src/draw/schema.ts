import { catalogue } from './draw'
import type { Allowed } from './parameters'

function schemaOf(allowed: Allowed): object {
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
    allOf: [...parts].map(([part, parameters]) => ({
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
