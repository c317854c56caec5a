import type { Bench, Sheet } from '../../api/types'
import { Thistle } from '../../ui/Thistle'
import { percent } from '../../ui/words'
import { decidingBalance, taxonName } from './judgementWords'

export type Part = 'path' | 'check' | 'call'

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly part: Part
  readonly onPart: (part: Part) => void
}

const TAB =
  'flex min-h-14 flex-1 items-center justify-center gap-2 border-t-4 border-transparent px-2 aria-pressed:border-thistle aria-pressed:font-bold'

/** The three parts of the Bench one at a time, for a narrow screen; the call is always in sight. */
export function PartBar({ bench, sheet, part, onPart }: Props) {
  const balance = decidingBalance(bench)
  const signed = bench.determinations.some((one) => one.outcome === 'taxon' && !one.superseded)
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
        className={`${TAB} flex-[1.6]`}
        aria-pressed={part === 'call'}
        onClick={() => onPart('call')}
      >
        <Thistle figures={bench.thistle} signed={signed} className="size-9 shrink-0" />
        <span className="text-left leading-tight">
          {taxonName(sheet, balance.lead)}{' '}
          <span className="figure block">{percent(bench.thistle.share)}</span>
        </span>
      </button>
    </nav>
  )
}
