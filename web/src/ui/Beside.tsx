import { Popover } from 'radix-ui'
import type { ReactNode } from 'react'

type Props = {
  readonly label: string
  /** What it is about. */
  readonly place: Element
  readonly side: 'top' | 'left' | 'right'
  readonly children: ReactNode
}

/**
 * A note that stands beside something of the page and points at it. It takes no focus, and what lies below it can be
 * touched, but for what takes the pointer of its own.
 */
export function Beside({ label, place, side, children }: Props) {
  return (
    <Popover.Root open>
      <Popover.Anchor virtualRef={{ current: place }} />
      <Popover.Portal>
        <Popover.Content
          role="note"
          aria-label={label}
          side={side}
          align="center"
          sideOffset={6}
          collisionPadding={10}
          onOpenAutoFocus={(event) => event.preventDefault()}
          onInteractOutside={(event) => event.preventDefault()}
          className="pointer-events-none z-20 w-80 max-w-[92vw] rounded-plain border-2 border-thistle bg-card p-3"
        >
          {children}
          <Popover.Arrow className="fill-thistle" width={14} height={7} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
