import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { explained, GLOSSARY, glossaryPage } from '../src/ui/glossary'

const SOURCES = fileURLToPath(new URL('../src/', import.meta.url))

describe('the glossary', () => {
  it('explains each word in one or two short sentences, once', () => {
    expect(new Set(GLOSSARY.map((one) => one.id)).size).toBe(GLOSSARY.length)
    for (const { says } of GLOSSARY) {
      expect(says).toMatch(/\.$/)
      expect(says.length).toBeLessThan(190)
    }
    expect(() => explained('nobody')).toThrow('nobody')
  })

  it('has every word that a screen asks it for', () => {
    const asked = readdirSync(SOURCES, { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.tsx'))
      .flatMap((file) => [...readFileSync(SOURCES + file, 'utf8').matchAll(/<Term id="([\w-]+)"/g)])
      .map(([, id = '']) => id)

    expect(asked.length).toBeGreaterThan(10)
    for (const id of asked) expect(explained(id).term).not.toBe('')
  })

  it('is printed in the manual as it stands here', () => {
    const printed = readFileSync(new URL('../../docs/words.md', import.meta.url), 'utf8')

    expect(printed).toBe(glossaryPage())
  })
})
