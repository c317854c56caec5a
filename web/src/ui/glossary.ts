import words from './glossary.json'

/** A coined or technical word with one sentence that explains it, and perhaps a drawing that helps. */
export type Explained = {
  readonly id: string
  readonly term: string
  readonly says: string
  readonly draw?: string
}

/** Every word that explains itself on screen, in the order in which one meets them; the manual prints them too. */
export const GLOSSARY: readonly Explained[] = words

const byId = new Map(GLOSSARY.map((one) => [one.id, one]))

/** The explanation of a word; throws if the glossary has none. */
export function explained(id: string): Explained {
  const found = byId.get(id)
  if (!found) throw new Error(`the glossary does not explain “${id}”`)
  return found
}

/** The glossary as a page of the manual. */
export function glossaryPage(): string {
  const rows = GLOSSARY.map(({ term, says }) => `| ${term} | ${says} |`)
  return [
    '# Words',
    '',
    'What Goldthistle calls things. On screen each of these words explains itself when it is pointed at, reached by',
    'Tab or touched; `?` lists them all. This page is made from the same file, `web/src/ui/glossary.json`.',
    '',
    '| word | meaning |',
    '| --- | --- |',
    ...rows,
    '',
  ].join('\n')
}
