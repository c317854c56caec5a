import { Tooltip } from 'radix-ui'
import { type ReactNode, useState } from 'react'
import { explained } from './glossary'
import { TermDrawing } from './TermDrawing'

type Props = {
  /** of the glossary */
  readonly id: string
  /** other words for it, where its own do not fit */
  readonly children?: ReactNode
}

/** Around a page whose terms explain themselves: one at a time. */
export const Terms = Tooltip.Provider

/** A word that explains itself in one sentence when it is pointed at, reached by keyboard or touched. */
export function Term({ id, children }: Props) {
  const [open, setOpen] = useState(false)
  const { term, says, draw } = explained(id)
  return (
    <Tooltip.Root open={open} onOpenChange={setOpen} delayDuration={250}>
      <Tooltip.Trigger
        type="button"
        className="cursor-help rounded-sm text-left underline decoration-quiet decoration-dotted underline-offset-[3px]"
        onClick={(event) => {
          event.preventDefault() // a touch opens it, where pointing would
          setOpen(true)
        }}
      >
        {children ?? term}
      </Tooltip.Trigger>
      <Tooltip.Portal>
        <Tooltip.Content
          collisionPadding={8}
          sideOffset={6}
          className="z-30 max-w-80 rounded-plain border-2 border-ink bg-card p-3 text-base font-normal text-ink"
        >
          <strong className="font-head">{term}</strong>
          <br />
          {says}
          {draw && <TermDrawing draw={draw} />}
        </Tooltip.Content>
      </Tooltip.Portal>
    </Tooltip.Root>
  )
}
