import { useState } from 'react'
import { kindsWords } from '../../common/along/entryWords'
import type { Unsent } from '../../common/bench/unsent'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'

type Props = {
  /** What waits to be handed in; none: nobody is leaving. */
  readonly entries: readonly Unsent[]
  readonly onStay: () => void
  readonly onLeave: () => void
}

/** Asks twice before somebody signs out of a device on which something of theirs waits. */
export function LeaveWaiting({ entries, onStay, onLeave }: Props) {
  const [sure, setSure] = useState(false)
  const stay = () => {
    setSure(false)
    onStay()
  }
  const waits = kindsWords(entries.map((one) => one.entered.kind))
  return (
    <Sheet title="Not handed in yet" open={entries.length > 0} onOpenChange={(open) => !open && stay()}>
      <div className="grid gap-4">
        <p>
          On this device wait: <strong>{waits}</strong>. They stay here, nobody else who signs in sees them,
          and they are handed in when you sign in here again.
        </p>
        {sure && (
          <p className="font-bold">The survey does not have them until then. Sign out all the same?</p>
        )}
        <div className="flex flex-wrap justify-end gap-3">
          <Button look="main" onClick={stay}>
            Stay
          </Button>
          <Button
            onClick={() => {
              if (!sure) setSure(true)
              else {
                setSure(false)
                onLeave()
              }
            }}
          >
            {sure ? 'Yes, sign out' : 'Sign out all the same'}
          </Button>
        </div>
      </div>
    </Sheet>
  )
}
