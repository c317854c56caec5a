import type { Group, NamedTaxon } from '../../api/types'

/** What a name in a line stands for: a taxon, or a group whose taxa get mixed up. */
export type Named =
  | { readonly kind: 'taxon'; readonly taxon: NamedTaxon }
  | { readonly kind: 'group'; readonly group: Group }

/** What typed words may mean; more than one: they do not say enough. */
export function named(
  words: string,
  taxa: readonly NamedTaxon[],
  groups: readonly Group[],
): readonly Named[] {
  const typed = plain(words)
  if (typed === '') return []
  const exact = taxa.filter((one) => plain(one.commonName) === typed || plain(one.scientificName) === typed)
  if (exact.length > 0) return once(exact).map((taxon) => ({ kind: 'taxon', taxon }))
  const groupsSaid = groups.filter((one) =>
    namesOf(one).some((name) => [name, singular(name)].includes(typed)),
  )
  if (groupsSaid.length > 0) return groupsSaid.map((group) => ({ kind: 'group', group }))
  const coded = taxa.filter((one) => codeOf(one.scientificName) === typed)
  if (coded.length > 0) return once(coded).map((taxon) => ({ kind: 'taxon', taxon }))
  const begun = once(
    taxa.filter((one) => isBegun(one.commonName, typed) || isBegun(one.scientificName, typed)),
  )
  if (begun.length > 0) return begun.map((taxon) => ({ kind: 'taxon', taxon }))
  return groups
    .filter((one) => namesOf(one).some((name) => name.startsWith(typed)))
    .map((group) => ({ kind: 'group', group }))
}

/** What a group may be called in a line. */
function namesOf(group: Group): readonly string[] {
  return [plain(group.shortName), plain(group.groupId)]
}

/** Two letters of the genus and two of the epithet: "bepe" is Betula pendula. */
export function codeOf(scientificName: string): string {
  const [genus = '', epithet = ''] = plain(scientificName).split(' ')
  return genus.slice(0, 2) + epithet.slice(0, 2)
}

/** Whether each typed word begins a word of the name, in order: "sil bir" is silver birch. */
function isBegun(name: string, typed: string): boolean {
  const parts = plain(name).split(' ')
  let from = 0
  for (const word of typed.split(' ')) {
    const at = parts.findIndex((part, i) => i >= from && part.startsWith(word))
    if (at < 0) return false
    from = at + 1
  }
  return true
}

function plain(text: string): string {
  return text
    .toLowerCase()
    .replace(/[×.,-]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
}

function singular(name: string): string {
  return name
    .replace(/ies$/, 'y')
    .replace(/(ch)es$/, '$1')
    .replace(/s$/, '')
}

/** A taxon that stands in several groups is one taxon. */
function once(taxa: readonly NamedTaxon[]): readonly NamedTaxon[] {
  return taxa.filter((one, i) => taxa.findIndex((other) => other.scientificName === one.scientificName) === i)
}
