import type { Character, Sheet } from '../../api/types'
import { Drawing } from '../../ui/Drawing'
import { Mark } from '../../ui/Mark'
import { measured } from '../../ui/words'

type SideProps = { readonly character: Character; readonly id: string; readonly words: string }

/** A state drawn with its name, or a number. */
export function Side({ character, id, words }: SideProps) {
  const state = character.states.find((one) => one.id === id)
  return (
    <figure className="w-32">
      {state?.draw && (
        <Drawing hint={state.draw} className="h-28 w-32 rounded-plain border border-line bg-card" />
      )}
      <figcaption className="text-sm leading-tight">
        <span className="text-quiet">{words}</span>{' '}
        <strong>
          {state?.name ??
            (id === '' ? 'none on this tree' : measured(Number(Number(id).toFixed(2)), character.unit))}
        </strong>
      </figcaption>
    </figure>
  )
}

/** The mark of a taxon with its name, as everywhere. */
export function TaxonName({ sheet, id }: { readonly sheet: Sheet; readonly id: string }) {
  const place = sheet.taxa.findIndex((one) => one.id === id)
  return (
    <span className="inline-flex items-center gap-1">
      {place >= 0 && <Mark candidate={place} standing="other" />}
      {sheet.taxa[place]?.commonName ?? 'none of these'}
    </span>
  )
}
