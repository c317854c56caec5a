import { limits } from '../../api/limits'
import type { Sheet } from '../../api/types'
import { TaxonName } from './shown'

/** What a tree may be called beside the taxa of its sheet. */
export const NONE = 'none-of-these'
export const OPEN = 'open'
const { least, most } = limits.NewTry.belief
/** Per cent: tens, and what lies close to certainty finer, from the least to the most that the server takes. */
const BELIEFS = [...Array.from({ length: 9 }, (_, i) => 10 * (i + 1)), 95, 99].filter(
  (belief) => belief >= 100 * least && belief <= 100 * most,
)

type Props = {
  readonly sheet: Sheet
  /** id of a taxon, none of these, or open; empty: nothing yet */
  readonly named: string
  readonly onName: (named: string) => void
  /** per cent; empty: nothing yet */
  readonly sure: string
  readonly onSure: (sure: string) => void
}

/** What a tree is called, and how sure one is of it. */
export function CallFields({ sheet, named, onName, sure, onSure }: Props) {
  return (
    <>
      <fieldset>
        <legend className="text-lg font-bold">Your call</legend>
        {[...sheet.taxa.map((taxon) => taxon.id), NONE, OPEN].map((id) => (
          <label key={id} className="flex min-h-11 items-center gap-2 border-b border-line">
            <input
              type="radio"
              name="named"
              className="size-5 accent-slate"
              checked={named === id}
              onChange={() => onName(id)}
            />
            {id === OPEN ? 'leave it open' : <TaxonName sheet={sheet} id={id} />}
          </label>
        ))}
      </fieldset>
      {named !== OPEN && (
        <fieldset>
          <legend className="font-bold">How sure are you?</legend>
          <div className="flex flex-wrap gap-1.5">
            {BELIEFS.map((belief) => (
              <label
                key={belief}
                className="figure grid min-h-11 min-w-12 cursor-pointer place-items-center rounded-plain border border-ink bg-card px-1 has-checked:bg-ink has-checked:text-card has-focus-visible:outline-3"
              >
                <input
                  type="radio"
                  name="sure"
                  className="sr-only"
                  checked={sure === `${belief}`}
                  onChange={() => onSure(`${belief}`)}
                />
                {belief} %
              </label>
            ))}
          </div>
        </fieldset>
      )}
    </>
  )
}

/** What is lacking before it can be called; undefined: nothing. */
export function lackingIn(named: string, sure: string): string | undefined {
  if (named === '') return 'Choose what it is, or leave it open.'
  return named !== OPEN && sure === '' ? 'Say how sure you are first.' : undefined
}

/** The call as it is sent. */
export function calledAs(named: string, sure: string) {
  return {
    outcome: named === OPEN || named === NONE ? named : ('taxon' as const),
    taxonId: named === OPEN || named === NONE ? null : named,
    belief: named === OPEN ? null : Number(sure) / 100,
  } as const
}
