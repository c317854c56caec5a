import type { Sheet } from '../../api/types'
import { counted, monthName } from '../../ui/words'
import { wordsOfReading } from '../bench/entries'
import type { Entered, Unsent } from '../bench/unsent'

const KINDS: Readonly<Record<Entered['kind'], string>> = {
  reading: 'reading',
  mark: 'mark of the gate',
  caution: 'caution read',
  circumstances: 'change of circumstances',
  tier: 'change of tier',
  group: 'change of group',
  photo: 'photo',
  signature: 'signature',
  aid: 'own note',
  tree: 'tree',
  closed: 'plot closed or opened',
}

const PLURALS: Partial<Record<Entered['kind'], string>> = {
  mark: 'marks of the gate',
  caution: 'cautions read',
  circumstances: 'changes of circumstances',
  tier: 'changes of tier',
  group: 'changes of group',
  closed: 'plots closed or opened',
}

/** "14 trees, 5 signatures, 3 photos", the most weighty first. */
export function kindsWords(kinds: readonly Entered['kind'][]): string {
  const order: readonly Entered['kind'][] = ['tree', 'signature', 'photo', 'reading']
  const all = [...order, ...(Object.keys(KINDS) as Entered['kind'][]).filter((one) => !order.includes(one))]
  return all
    .map((kind) => ({ kind, count: kinds.filter((one) => one === kind).length }))
    .filter(({ count }) => count > 0)
    .map(({ kind, count }) => {
      const plural = PLURALS[kind]
      return count > 1 && plural ? `${count} ${plural}` : counted(count, KINDS[kind])
    })
    .join(', ')
}

/** What was typed, in words; the sheet names what it has names for. */
export function enteredWords({ entered }: Unsent, sheet: Sheet | undefined): string {
  switch (entered.kind) {
    case 'reading': {
      const character = sheet?.characters.find((one) => one.id === entered.reading.character)
      if (!character) return `reading of ${entered.reading.character}`
      return entered.reading.withdrawn
        ? `${character.name}: taken back`
        : `${character.name}: ${wordsOfReading(character, entered.reading)}`
    }
    case 'mark': {
      const item = sheet?.gate.find((one) => one.id === entered.item)
      return `gate, ${item?.name ?? entered.item}: ${entered.mark}`
    }
    case 'caution':
      return 'the caution about wounding was read'
    case 'circumstances':
      return `${entered.circumstances.stage}, ${entered.circumstances.origin}, ${monthName(entered.circumstances.month)}`
    case 'tier':
      return `the call is for ${entered.tier}`
    case 'group':
      return `taken up among: ${entered.groupId}`
    case 'photo':
      return `photo “${entered.name}”`
    case 'signature': {
      const { outcome, taxonId, note } = entered.signed
      const taxon = sheet?.taxa.find((one) => one.id === taxonId)
      return `signature: ${taxon?.commonName ?? outcome}${note ? `, “${note}”` : ''}`
    }
    case 'aid':
      return `own note: “${entered.body}”`
    case 'tree': {
      const { tag, azimuthDegrees, distanceMetres, diameterMillimetres } = entered.body
      return `tree ${tag}: ${azimuthDegrees}°, ${distanceMetres} m, ${diameterMillimetres} mm`
    }
    case 'closed':
      return entered.closed ? 'the plot is closed' : 'the plot is opened again'
  }
}
