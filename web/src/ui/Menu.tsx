import { DropdownMenu } from 'radix-ui'
import type { ReactNode } from 'react'

type Props = {
  /** the button that opens it */
  readonly button: ReactNode
  readonly label: string
  readonly className?: string
  readonly children: ReactNode
}

const ITEM =
  'flex min-h-11 cursor-pointer items-center gap-3 rounded-plain px-3 outline-none data-[disabled]:text-quiet data-[highlighted]:bg-thistle data-[highlighted]:text-card'

/** A short list of things to do, opened by a button. */
export function Menu({ button, label, className = '', children }: Props) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger aria-label={label} className={className}>
        {button}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          className="z-30 max-h-[80dvh] min-w-48 overflow-y-auto rounded-plain border-2 border-ink bg-card p-1"
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

type ItemProps = {
  readonly onChoose: () => void
  readonly current?: boolean
  readonly children: ReactNode
}

/** One thing to do; the current one is marked. */
export function MenuItem({ onChoose, current = false, children }: ItemProps) {
  return (
    <DropdownMenu.Item
      onSelect={onChoose}
      aria-current={current ? 'page' : undefined}
      className={`${ITEM} ${current ? 'border-l-4 border-thistle font-bold' : ''}`}
    >
      {children}
    </DropdownMenu.Item>
  )
}
