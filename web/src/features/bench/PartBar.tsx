import type { Bench, Sheet } from '../../api/types'
import { decidingBalance, taxonName } from '../../common/bench/judgementWords'
import { percent } from '../../ui/words'

export type Part = 'path' | 'check' | 'call'

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly part: Part
  readonly signed: boolean
  readonly onPart: (part: Part) => void
}

const TAB =
  'flex h-15 flex-1 flex-col items-center justify-center border-t-4 border-transparent px-1 leading-tight aria-pressed:border-thistle aria-pressed:font-bold forced-colors:aria-pressed:underline'

/** The three parts of the Bench one at a time, for a narrow screen; the call is always in sight. */
export function PartBar({ bench, sheet, part, signed, onPart }: Props) {
  const balance = decidingBalance(bench)
  const ready = bench.missing.length === 0
  return (
    <nav aria-label="Parts" className="fixed inset-x-0 bottom-0 z-10 flex border-t border-ink bg-card">
      <button type="button" className={TAB} aria-pressed={part === 'path'} onClick={() => onPart('path')}>
        Stations
      </button>
      <button type="button" className={TAB} aria-pressed={part === 'check'} onClick={() => onPart('check')}>
        Check
      </button>
      <button
        type="button"
        className={`${TAB} flex-[1.7]`}
        aria-pressed={part === 'call'}
        onClick={() => onPart('call')}
      >
        <span className="text-center text-[0.95rem] font-semibold">
          {taxonName(sheet, balance.lead)} <span className="figure">{percent(bench.thistle.share)}</span>
        </span>
        <span className={`text-[0.85rem] ${ready || signed ? 'text-moss-ink' : 'text-rust-ink'}`}>
          {signed ? 'signed' : ready ? 'can be signed' : 'not yet'}
        </span>
      </button>
    </nav>
  )
}
