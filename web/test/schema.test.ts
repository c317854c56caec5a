import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { drawingSchema } from '../src/draw/schema'

const KEPT = fileURLToPath(new URL('../../formats/src/main/resources/drawing.schema.json', import.meta.url))

it('the kept schema of drawings is the drawings’ own; vitest -u writes it anew', async () => {
  await expect(`${JSON.stringify(drawingSchema(), null, 1)}\n`).toMatchFileSnapshot(KEPT)
})
