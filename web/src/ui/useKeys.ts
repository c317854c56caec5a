import { useEffect, useEffectEvent } from 'react'

/** What keys do; a key is as the browser names it: "n", "?", "1". */
export type Keys = Readonly<Record<string, (() => void) | undefined>>

const TYPING = 'input:not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable]'

/** Whether keys pressed on an element are text that is being typed. */
function isTyping(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof Element)) return false
  const field = target.closest(TYPING)
  if (!field) return false
  // no letter belongs in an empty field of numbers, so there the keys keep their meaning
  const numbers = field instanceof HTMLInputElement && field.dataset.keys === 'letters' && field.value === ''
  return !(numbers && /^[a-z?/]$/.test(key))
}

/** Listens to keys on the page while no dialog lies over it and nobody types. */
export function useKeys(keys: Keys): void {
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
    if (document.querySelector('[role=dialog], [role=alertdialog]') || isTyping(event.target, event.key))
      return
    const act = keys[event.key]
    if (!act) return
    event.preventDefault()
    act()
  })
  useEffect(() => {
    window.addEventListener('keydown', pressed)
    return () => window.removeEventListener('keydown', pressed)
  }, [])
}
