import {
  type CharacterFile,
  idOf,
  replaced,
  type SheetFile,
  type StateFile,
  type TaxonFile,
} from '../../common/draft/sheetFile'

/**
 * Ids follow the names until they are saved: others may know a saved one. An id that is not what its name gives was chosen,
 * by hand or in a file, and stays too.
 */
function followed(id: string, was: string, is: string, saved: boolean, others: readonly string[]): string {
  const base = idOf(was, [])
  const follows = id === base || id.replace(/-\d+$/, '') === base
  return saved || !follows ? id : idOf(is, others)
}

const others = (all: readonly { readonly id: string }[], index: number) =>
  all.filter((_, i) => i !== index).map((one) => one.id)

/** What a taxon's id is made of: its epithet, or its common name while it has none. */
function nameOf({ scientificName, commonName }: Pick<TaxonFile, 'scientificName' | 'commonName'>): string {
  const words = scientificName.trim().split(/\s+/)
  return words.length > 1 ? (words.at(-1) ?? '') : commonName
}

type Saved = readonly string[]

/** A group called otherwise. */
export function withTitle(sheet: SheetFile, title: string, saved: Saved): SheetFile {
  return { ...sheet, title, id: followed(sheet.id, sheet.title, title, saved.includes('id'), []) }
}

/** A taxon changed, its id with its name, wherever the sheet speaks of it. */
export function withTaxonChanged(
  sheet: SheetFile,
  index: number,
  next: Partial<TaxonFile>,
  saved: Saved,
): SheetFile {
  const was = sheet.taxa[index]
  if (!was) return sheet
  const is = { ...was, ...next }
  const id = followed(
    was.id,
    nameOf(was),
    nameOf(is),
    saved.includes(`taxa.${was.id}`),
    others(sheet.taxa, index),
  )
  const taxa = replaced(sheet.taxa, index, () => ({ ...is, id }))
  if (id === was.id) return { ...sheet, taxa }
  const name = (one: string) => (one === was.id ? id : one)
  return {
    ...sheet,
    taxa: taxa.map((one) => (one.parents ? { ...one, parents: one.parents.map(name) } : one)),
    characters: sheet.characters.map((one) => ({ ...one, profiles: rekeyed(one.profiles, was.id, id) })),
    ...(sheet.indices && {
      indices: sheet.indices.map((one) => ({ ...one, taxa: one.taxa.map(name) })),
    }),
  }
}

/** A character changed, its id with its name. */
export function withCharacterChanged(
  sheet: SheetFile,
  index: number,
  next: Partial<CharacterFile>,
  saved: Saved,
): SheetFile {
  const was = sheet.characters[index]
  if (!was) return sheet
  const is = { ...was, ...next }
  const isSaved = saved.includes(`characters.${was.id}`)
  const id = followed(was.id, was.name, is.name, isSaved, others(sheet.characters, index))
  const name = (one: string) => (one === was.id ? id : one)
  return {
    ...sheet,
    characters: replaced(sheet.characters, index, () => ({ ...is, id })),
    ...(sheet.indices && {
      indices: sheet.indices.map((one) => ({
        ...one,
        terms: one.terms.map((term) => ({ ...term, character: name(term.character) })),
      })),
    }),
  }
}

/** A state of a character changed, its id with its name, in every profile too. */
export function withStateChanged(
  character: CharacterFile,
  index: number,
  next: Partial<StateFile>,
  saved: Saved,
): Pick<CharacterFile, 'states' | 'profiles'> {
  const states = character.states ?? []
  const was = states[index]
  if (!was) return { states, profiles: character.profiles }
  const is = { ...was, ...next }
  const isSaved = saved.includes(`characters.${character.id}.states.${was.id}`)
  const id = followed(was.id, was.name, is.name, isSaved, others(states, index))
  return {
    states: replaced(states, index, () => ({ ...is, id })),
    profiles: Object.fromEntries(
      Object.entries(character.profiles).map(([taxon, profile]) => [
        taxon,
        rekeyed(profile as Readonly<Record<string, number>>, was.id, id),
      ]),
    ),
  }
}

/** One of a list that nothing else speaks of changed, its id with its name. */
export function withItemChanged<T extends { readonly id: string; readonly name: string }>(
  list: readonly T[],
  index: number,
  next: Partial<T>,
  isSaved: (id: string) => boolean,
): readonly T[] {
  return replaced(list, index, (was) => {
    const is = { ...was, ...next }
    return { ...is, id: followed(was.id, was.name, is.name, isSaved(was.id), others(list, index)) }
  })
}

/** The same entries in the same order, one of them under another key. */
function rekeyed<T>(of: Readonly<Record<string, T>>, from: string, to: string): Readonly<Record<string, T>> {
  return Object.fromEntries(Object.entries(of).map(([key, value]) => [key === from ? to : key, value]))
}
