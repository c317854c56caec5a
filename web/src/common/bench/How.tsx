import type { Character } from '../../api/types'
import { OneOf } from '../../ui/OneOf'
import { TRAITS } from './traits'
import type { Manner } from './useManner'

type Props = {
  readonly character: Character
  readonly said?: Manner
  readonly notSeen: boolean
  /** Whether it was said that the tree bears none of it. */
  readonly notBorne: boolean
  /** undefined: how it is read makes no difference here, and is not asked */
  readonly onSay?: (how: Manner) => void
  readonly onNotSeen: () => void
  readonly onNotBorne: () => void
}

const PRESSED =
  'min-h-11 rounded-plain border border-ink bg-card px-3 font-semibold hover:bg-thistle-wash aria-pressed:bg-ink aria-pressed:text-card forced-colors:aria-pressed:outline-4 forced-colors:aria-pressed:outline-solid'

/** How surely, from what and from where it is read, as far as the sheet makes a difference; or that there was nothing to read. */
export function How({ character, said = {}, notSeen, notBorne, onSay, onNotSeen, onNotBorne }: Props) {
  return (
    <div className="flex flex-wrap gap-2">
      {TRAITS.filter(({ matters }) => onSay && matters(character)).map(({ of, label, codes, assumed }) => (
        <OneOf
          key={of}
          label={label}
          options={codes.map((value) => ({ value, text: value }))}
          value={notSeen ? '' : (said[of] ?? '')}
          assumed={notSeen ? undefined : assumed(character)}
          onChange={(value) => onSay?.({ [of]: value })}
        />
      ))}
      <button type="button" aria-pressed={notSeen && !notBorne} className={PRESSED} onClick={onNotSeen}>
        Not seen
      </button>
      {character.mayBearNone && (
        <button type="button" aria-pressed={notBorne} className={PRESSED} onClick={onNotBorne}>
          None on this tree
        </button>
      )}
    </div>
  )
}
