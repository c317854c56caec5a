import { PenLine } from 'lucide-react'
import type { Outcome } from '../../api/codes'
import type { Bench, Determination } from '../../api/types'
import type { AsItStands } from '../../common/bench/asItStands'
import { decidingBalance, taxonName } from '../../common/bench/judgementWords'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'
import { SignedNote } from './SignedNote'
import { SignForm } from './SignForm'

type Props = {
  readonly tree: AsItStands
  /** What is being signed; undefined: nothing. */
  readonly outcome: Outcome | undefined
  /** What this observer signed last, as long as no reading changed since; undefined: nothing stands like that. */
  readonly stands: Determination | undefined
  /** A signature that is told of. */
  readonly told: Determination | undefined
  readonly onSign: (outcome: Outcome) => void
  readonly onSigned: (signed: Determination) => void
  readonly onClose: () => void
}

const TITLES: Readonly<Record<Outcome, string>> = {
  taxon: 'The sentence that will stand',
  'come-back': 'Not today',
  laboratory: 'Send a sample',
  group: 'The group only',
}

const OTHERS = [
  ['come-back', 'come back', 'v'],
  ['laboratory', 'sample', 'l'],
  ['group', 'group only', 'o'],
] as const

/** What can be signed: the lead, a date to come back, a sample for the laboratory, or the group. */
export function SignPanel(props: Props) {
  const { tree, outcome, stands, told, onSign, onSigned, onClose } = props
  const { bench, sheet } = tree
  const lead = taxonName(sheet, decidingBalance(bench).lead)
  return (
    <div className="grid gap-2" data-guide="sign">
      {stands ? (
        <Button className="h-15 border-2 border-moss leading-tight" onClick={() => onSigned(stands)}>
          Signed {stands.outcome === 'taxon' ? stands.commonName : 'already'}, look again
        </Button>
      ) : (
        <SignButton bench={bench} lead={lead} onSign={() => onSign('taxon')} />
      )}
      <div className="grid grid-cols-[1.25fr_1fr_1.2fr] gap-2">
        {OTHERS.filter(([other]) => other !== 'laboratory' || bench.tree.laboratoryUsed).map(
          ([other, words, key]) => (
            <Button key={other} className="whitespace-nowrap px-1! text-sm" onClick={() => onSign(other)}>
              {words} <kbd className="figure font-normal max-lg:hidden">{key}</kbd>
            </Button>
          ),
        )}
      </div>
      <Sheet
        title={outcome ? (outcome === 'taxon' && bench.missing.length > 0 ? 'Not yet' : TITLES[outcome]) : ''}
        open={outcome !== undefined}
        onOpenChange={(stays) => !stays && onClose()}
      >
        {outcome && <SignForm tree={tree} outcome={outcome} onDone={onSigned} />}
      </Sheet>
      <SignedNote bench={bench} sheet={sheet} signed={told} onClose={onClose} />
    </div>
  )
}

type ButtonProps = {
  readonly bench: Bench
  readonly lead: string
  readonly onSign: () => void
}

/** It never looks ready when it is not: then it says what is missing, in its own words. */
function SignButton({ bench, lead, onSign }: ButtonProps) {
  const [first, ...more] = bench.missing
  if (first === undefined) {
    return (
      <Button look="main" className="h-15 text-lg leading-tight" onClick={onSign}>
        <PenLine aria-hidden className="mr-2 inline size-5" />
        Sign {lead} <kbd className="figure ml-1 font-normal max-lg:hidden">g</kbd>
      </Button>
    )
  }
  return (
    <Button className="h-15 border-dashed bg-paper! px-2! text-[0.95rem] leading-tight" onClick={onSign}>
      Not yet: {first}
      {more.length > 0 && ` · ${more.length} more`} <kbd className="figure font-normal max-lg:hidden">g</kbd>
    </Button>
  )
}
