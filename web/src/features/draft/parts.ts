import type { SheetFile } from '../../common/draft/sheetFile'

/** A part of the editor; a number is a character's place. */
export type Part = 'about' | 'taxa' | 'gate' | 'cautions' | 'functions' | 'effects' | number

const CHARACTER = /^characters(?:\[(\d+)\]|\.([^.]+))(?:\.(.*))?$/
const TAXON = /^taxa(?:\[(\d+)\]|\.([^.]+))(?:\.(.*))?$/

function found<T extends { readonly id: string }>(match: RegExpExecArray, list: readonly T[]): number {
  return match[1] === undefined ? list.findIndex((one) => one.id === match[2]) : Number(match[1])
}

/** The part that holds a place of the sheet. */
export function partOf(key: string, sheet: SheetFile): Part {
  const character = CHARACTER.exec(key)
  if (character) {
    const index = found(character, sheet.characters)
    return index < 0 ? 'about' : index
  }
  if (key.startsWith('taxa')) return 'taxa'
  if (key.startsWith('gate') || key.startsWith('firstLook')) return 'gate'
  if (key.startsWith('indices')) return 'functions'
  return /^(cautions|sources)/.test(key) ? 'cautions' : 'about'
}

/** A place of the sheet in words. */
export function placeWords(key: string, sheet: SheetFile): string {
  const character = CHARACTER.exec(key)
  if (character) {
    const name = sheet.characters[found(character, sheet.characters)]?.name || 'a new character'
    return character[3] ? `${name}, ${plain(character[3])}` : name
  }
  const taxon = TAXON.exec(key)
  const one = taxon && sheet.taxa[found(taxon, sheet.taxa)]
  if (taxon && one) {
    const name = one.commonName || 'a taxon without a name'
    return taxon[3] ? `${name}, ${plain(taxon[3])}` : name
  }
  return key.startsWith('fallback')
    ? `what is recorded otherwise${plain(key.slice('fallback'.length))}`
    : plain(key)
}

function plain(key: string): string {
  return key
    .replaceAll('.', ', ')
    .replaceAll(/\[(\d+)\]/g, (_, i: string) => ` ${Number(i) + 1}`)
    .replaceAll(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`)
}
