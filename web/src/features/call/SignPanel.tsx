import type { Bench, Sheet as GroupSheet } from '../../api/types'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'
import { decidingBalance, taxonName } from './judgementWords'
import { type Outcome, SignForm } from './SignForm'

type Props = {
  readonly bench: Bench
  readonly sheet: GroupSheet
  /** While something that was entered is not weighed yet. */
  readonly disabled: boolean
  /** What is being signed; undefined: nothing. */
  readonly outcome: Outcome | undefined
  readonly onSign: (outcome: Outcome) => void
  readonly onClose: () => void
}

const TITLES: Readonly<Record<Outcome, string>> = {
  taxon: 'The sentence that will stand',
  'come-back': 'Not today',
  laboratory: 'Send a sample',
  group: 'The group only',
}

const OTHERS = [
  ['come-back', 'Come back in …'],
  ['laboratory', 'Sample'],
  ['group', 'Group only'],
] as const

/** What can be signed: the lead, a date to come back, a sample for the laboratory, or the group. */
export function SignPanel({ bench, sheet, disabled, outcome, onSign, onClose }: Props) {
  const { judgement } = bench
  const lead = taxonName(sheet, decidingBalance(bench).lead)
  const short = judgement.pointsShort > 0 ? `, still ${judgement.pointsShort.toFixed(1)} points short` : ''
  return (
    <div className="grid gap-2">
      <Button
        look={judgement.verdict === 'signable' ? 'main' : 'plain'}
        disabled={disabled}
        onClick={() => onSign('taxon')}
      >
        {`Sign ${lead}${short}`}
      </Button>
      <div className="grid grid-cols-[1.4fr_1fr_1fr] gap-2">
        {OTHERS.filter(([other]) => other !== 'laboratory' || bench.tree.laboratoryUsed).map(
          ([other, words]) => (
            <Button
              key={other}
              className="whitespace-nowrap px-1! text-sm"
              disabled={disabled}
              onClick={() => onSign(other)}
            >
              {words}
            </Button>
          ),
        )}
      </div>
      <Sheet
        title={outcome ? TITLES[outcome] : ''}
        open={outcome !== undefined}
        onOpenChange={(stays) => !stays && onClose()}
      >
        {outcome && <SignForm bench={bench} sheet={sheet} outcome={outcome} onDone={onClose} />}
      </Sheet>
    </div>
  )
}
