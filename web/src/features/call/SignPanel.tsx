import { useState } from 'react'
import type { Bench, Sheet as GroupSheet } from '../../api/types'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'
import { decidingBalance, taxonName } from './judgementWords'
import { type Outcome, SignForm } from './SignForm'

type Props = { readonly bench: Bench; readonly sheet: GroupSheet; readonly waiting: number }

const TITLES: Readonly<Record<Outcome, string>> = {
  taxon: 'The sentence that will stand',
  'come-back': 'Not today',
  laboratory: 'Send a sample',
  group: 'The group only',
}

/** What can be signed: the lead, a date to come back, a sample for the laboratory, or the group. */
export function SignPanel({ bench, sheet, waiting }: Props) {
  const [outcome, setOutcome] = useState<Outcome>()
  const { judgement } = bench
  const lead = taxonName(sheet, decidingBalance(bench).lead)
  const short = judgement.pointsShort > 0 ? `, still ${judgement.pointsShort.toFixed(1)} points short` : ''
  return (
    <div className="grid gap-2">
      <Button
        look={judgement.verdict === 'signable' ? 'main' : 'plain'}
        disabled={waiting > 0}
        onClick={() => setOutcome('taxon')}
      >
        {waiting > 0 ? 'Sign when all is sent' : `Sign ${lead}${short}`}
      </Button>
      <div className="grid grid-cols-3 gap-2">
        <Button
          className="whitespace-nowrap px-1! text-sm"
          disabled={waiting > 0}
          onClick={() => setOutcome('come-back')}
        >
          Come back
        </Button>
        <Button
          className="whitespace-nowrap px-1! text-sm"
          disabled={waiting > 0}
          onClick={() => setOutcome('laboratory')}
        >
          Sample
        </Button>
        <Button
          className="whitespace-nowrap px-1! text-sm"
          disabled={waiting > 0}
          onClick={() => setOutcome('group')}
        >
          Group only
        </Button>
      </div>
      <Sheet
        title={outcome ? TITLES[outcome] : ''}
        open={outcome !== undefined}
        onOpenChange={(stays) => !stays && setOutcome(undefined)}
      >
        {outcome && (
          <SignForm bench={bench} sheet={sheet} outcome={outcome} onDone={() => setOutcome(undefined)} />
        )}
      </Sheet>
    </div>
  )
}
