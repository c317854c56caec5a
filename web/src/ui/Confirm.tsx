import { type ReactNode, useState } from 'react'
import { Button } from './Button'
import { Sheet } from './Sheet'

type Props = {
  /** what the button says that asks, and the one that does it */
  readonly words: string
  readonly disabled: boolean
  readonly onConfirm: () => void
  /** what it would do */
  readonly children: ReactNode
}

/** A button for something that is hard to undo: it says what it would do, and asks. */
export function Confirm({ words, disabled, onConfirm, children }: Props) {
  const [asking, setAsking] = useState(false)
  return (
    <>
      <Button disabled={disabled} onClick={() => setAsking(true)}>
        {words}
      </Button>
      <Sheet title={`${words}?`} open={asking} onOpenChange={setAsking}>
        <div className="grid gap-4">
          <div>{children}</div>
          <div className="flex justify-end gap-3">
            <Button look="quiet" onClick={() => setAsking(false)}>
              No, leave it
            </Button>
            <Button
              look="main"
              onClick={() => {
                setAsking(false)
                onConfirm()
              }}
            >
              {words}
            </Button>
          </div>
        </div>
      </Sheet>
    </>
  )
}
