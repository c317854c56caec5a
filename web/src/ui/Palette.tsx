import { Command } from 'cmdk'
import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'

/** Somewhere to go, or something to do, under the words by which people look for it. */
export type Place = {
  readonly id: string
  readonly words: string
  readonly hint?: ReactNode
  readonly go: () => void
}

type Props = {
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
  readonly places: readonly Place[]
  /** hears what is typed, so that more places can be looked for */
  readonly onTyped: (typed: string) => void
}

/** The command line: typing narrows the places down, Enter goes there. */
export function Palette({ open, onOpenChange, places, onTyped }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed z-20 top-[12vh] left-1/2 w-[min(38rem,94vw)] -translate-x-1/2 rounded-plain border border-ink bg-paper p-2"
        >
          <Dialog.Title className="sr-only">Go to</Dialog.Title>
          <Command loop label="Go to">
            <Command.Input
              onValueChange={onTyped}
              placeholder="Where to? A tree, a group, a check …"
              className="min-h-12 w-full rounded-plain border border-edge bg-card px-3 text-lg"
            />
            <Command.List className="mt-2 max-h-[50vh] overflow-y-auto">
              <Command.Empty className="p-3">Nothing is called that. Try fewer letters.</Command.Empty>
              {places.map((place) => (
                <Command.Item
                  key={place.id}
                  value={`${place.words} ${place.id}`}
                  onSelect={() => {
                    onOpenChange(false)
                    place.go()
                  }}
                  className="flex min-h-11 cursor-pointer items-center justify-between gap-4 rounded-plain px-3 data-[selected=true]:bg-thistle data-[selected=true]:text-card"
                >
                  {place.words}
                  {place.hint && <span className="figure text-sm">{place.hint}</span>}
                </Command.Item>
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
