// Writes docs/words.md, the manual's page of words, from the glossary that the screens explain themselves by.
// usage: node glossary.mjs   (in web, once its packages are there)
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createServer } from 'vite'

const server = await createServer({
  root: import.meta.dirname,
  configFile: false,
  logLevel: 'error',
  appType: 'custom',
  server: { middlewareMode: true, hmr: false, ws: false },
})
try {
  const { glossaryPage } = await server.ssrLoadModule('/src/ui/glossary.ts')
  writeFileSync(join(import.meta.dirname, '../docs/words.md'), glossaryPage())
} finally {
  await server.close()
}
