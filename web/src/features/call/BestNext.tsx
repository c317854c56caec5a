import type { Bench, Sheet, SuggestedCheck } from '../../api/types'
import { Button } from '../../ui/Button'
import { checkName, whyNext } from './judgementWords'

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly next: SuggestedCheck | undefined
  readonly inHand: string | undefined
  readonly onTakeUp: (character: string) => void
}

/** What to look at next and why, or that nothing more is worth it today. */
export function BestNext({ bench, sheet, next, inHand, onTakeUp }: Props) {
  return (
    <div className="mb-4 flex min-h-12 flex-wrap items-center gap-x-3 gap-y-1 border-l-4 border-thistle bg-thistle-wash px-3 py-1">
      {!next && <span>Nothing more can be read on this tree today.</span>}
      {next?.character === inHand && next && (
        <span>
          <strong>Best next.</strong> {whyNext(sheet, bench, next)}
        </span>
      )}
      {next && next.character !== inHand && (
        <>
          <span className="flex-1">
            <strong>Best next: {checkName(sheet, next.character)}.</strong> {whyNext(sheet, bench, next)}
          </span>
          <Button look="quiet" onClick={() => onTakeUp(next.character)}>
            Take it up
          </Button>
        </>
      )}
    </div>
  )
}
