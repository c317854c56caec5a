import { X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import type { ReactNode, RefObject } from 'react'

type Props = {
  readonly title: string
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
  /** what has the focus when it opens; undefined: the sheet itself */
  readonly focus?: RefObject<HTMLElement | null>
  /** whether it takes what the screen has */
  readonly wide?: boolean
  readonly children: ReactNode
}

/** A sheet of paper laid over the page until it is dealt with. */
export function Sheet({ title, open, onOpenChange, focus, wide = false, children }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          // the sheet itself, so that Enter does not close it, nor a field call up the keyboard of a touch screen
          onOpenAutoFocus={(event) => {
            event.preventDefault()
            const sheet = event.currentTarget
            if (focus?.current) focus.current.focus()
            else if (sheet instanceof HTMLElement) sheet.focus()
          }}
          className={`fixed z-20 top-1/2 left-1/2 -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-plain border border-ink bg-paper outline-none ${wide ? 'max-h-[98dvh] w-[min(70rem,98vw)] p-4' : 'max-h-[92dvh] w-[min(40rem,94vw)] p-6'}`}
        >
          <Dialog.Title className="mb-4 pr-12 text-2xl">{title}</Dialog.Title>
          {children}
          <Dialog.Close className="absolute top-4 right-4 grid size-11 place-items-center rounded-plain hover:bg-thistle-wash">
            <X aria-hidden className="size-5" />
            <span className="sr-only">Close</span>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
