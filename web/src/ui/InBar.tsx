import { type ReactNode, useSyncExternalStore } from 'react'
import { createPortal } from 'react-dom'

const SLOT = 'bar-slot'

/** Where a page puts what it has to say into the bar at the top. */
export function BarSlot({ className }: { readonly className: string }) {
  return <div id={SLOT} className={className} />
}

const never = () => () => {}

/** Shows its children in the bar at the top. */
export function InBar({ children }: { readonly children: ReactNode }) {
  const slot = useSyncExternalStore(never, () => document.getElementById(SLOT))
  return slot && createPortal(children, slot)
}
