import type { Bench } from '../../api/types'
import { effectWords } from '../../common/bench/judgementWords'
import { outbox } from '../../common/bench/outbox'
import type { Unsent } from '../../common/bench/unsent'
import type { Work } from '../../common/bench/useWork'

type Props = {
  readonly bench: Bench
  readonly work: Work
  /** the check in hand; undefined: the gate */
  readonly check: string | undefined
}

/** What the last entry did: that it was refused, what is to be said of it, or what it was worth. */
export function Told({ bench, work, check }: Props) {
  const refused = work.unsent.find((one) => one.refused !== undefined && isAbout(one, check))
  if (refused) {
    return (
      <>
        <strong className="text-rust-ink">{refused.refused} What you entered stays here.</strong>{' '}
        <button
          type="button"
          className="font-semibold text-thistle underline"
          onClick={() => outbox.drop(refused)}
        >
          Drop it
        </button>
      </>
    )
  }
  return work.told ?? effectWords(bench, check)
}

function isAbout({ entered }: Unsent, check: string | undefined): boolean {
  switch (entered.kind) {
    case 'reading':
      return entered.reading.character === check
    case 'photo':
      return entered.character === check
    case 'aid':
      return entered.characterId === check
    default:
      return check === undefined
  }
}
