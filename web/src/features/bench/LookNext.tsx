import type { Bench, Sheet, SuggestedCheck } from '../../api/types'
import { GATE } from '../../common/bench/inHand'
import { checkName, whyNext } from '../../common/bench/judgementWords'
import type { Work } from '../../common/bench/useWork'
import { Button } from '../../ui/Button'
import { Term } from '../../ui/Term'
import { amid } from '../../ui/words'
import { Told } from './Told'

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  /** the check in hand; undefined: the gate */
  readonly inHand: string | undefined
  readonly next: SuggestedCheck | undefined
  readonly work: Work
  readonly onTakeUp: (character: string) => void
}

/** What the last entry did, and what to look at next and why: always in the same place, always of the same height. */
export function LookNext({ bench, sheet, work, inHand, next, onTakeUp }: Props) {
  const gate = bench.gateAllThatLacks
  const here = gate ? inHand === undefined : next?.character === inHand
  const first = gate ? GATE : next?.character
  return (
    <div
      data-guide="look-next"
      className="flex h-22 max-sm:h-26 shrink-0 items-center gap-2 overflow-hidden border-l-4 border-thistle bg-thistle-wash px-3 leading-tight max-lg:fixed max-lg:inset-x-0 max-lg:bottom-15 max-lg:z-10 max-lg:border-t max-lg:border-t-thistle short:static"
    >
      <div className="min-w-0 flex-1 max-sm:text-[0.9rem]">
        {/* each has its own two lines, so that neither moves the other */}
        <p role="status" className="h-[2.5em] overflow-hidden font-semibold">
          <Told bench={bench} work={work} check={inHand} />
        </p>
        <p className="h-[2.5em] overflow-hidden max-sm:h-[3.7em]">
          <Term id="look-next">{first ? 'Look next' : 'Look next: nothing'}</Term>
          {gate
            ? `: the gate${here ? ', here' : ''}. A ${bench.judgement.tier} asks for all that the group shares; nothing else is missing.`
            : next
              ? `${here ? ': this one. ' : `: ${amid(checkName(sheet, next.character))}. `}${whyNext(sheet, bench, next)}`
              : ' more can be read on this tree today.'}
        </p>
      </div>
      {/* the button keeps its place, so that a finger finds it */}
      <Button
        look="quiet"
        className="shrink-0 px-2!"
        disabled={!first || here}
        onClick={() => first && onTakeUp(first)}
      >
        take it up <kbd className="figure max-lg:hidden">n</kbd>
      </Button>
    </div>
  )
}
