import { useEffect, useEffectEvent } from 'react'

/** What keys do; a key is as the browser names it: "n", "?", "1"; "Shift+1" is the digit's key with Shift. */
export type Keys = Readonly<Record<string, (() => void) | undefined>>

const TYPING = 'input:not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable]'
const OVER_THE_PAGE = '[role=dialog], [role=alertdialog], [role=menu]'
const MOVES = ['j', 'k'] // these may be held down; everything else is done once, however long its key is held

/** What a field of numbers says in `data-keys`, and which keys keep their meaning on the page while it is typed in. */
export const MEANT_ELSEWHERE = { letters: /^[a-z?]$/, 'letters /': /^[a-z?/]$/ } as const
type NumbersField = keyof typeof MEANT_ELSEWHERE

/** Whether a key pressed on an element is text that is being typed. */
function isTyping(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof Element)) return false
  const field = target.closest(TYPING)
  if (!field) return false
  // no letter belongs in a field of numbers, so there letters keep their meaning; the field takes its number first
  const keys = field instanceof HTMLInputElement ? field.dataset.keys : undefined
  return !(keys !== undefined && keys in MEANT_ELSEWHERE && MEANT_ELSEWHERE[keys as NumbersField].test(key))
}

/** The name of a pressed key; a digit's key with Shift is told apart where the layout has no digit there. */
function nameOf(event: KeyboardEvent): string {
  const digit = /^Digit([1-9])$/.exec(event.code)?.[1]
  return event.shiftKey && digit && !/^\d$/.test(event.key) ? `Shift+${digit}` : event.key
}

/** Listens to keys on the page while nothing lies over it and nobody types. */
export function useKeys(keys: Keys): void {
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
    if (document.querySelector(OVER_THE_PAGE) || isTyping(event.target, event.key)) return
    const act = keys[nameOf(event)]
    if (!act) return
    event.preventDefault()
    if (!event.repeat || MOVES.includes(event.key)) act()
  })
  useEffect(() => {
    window.addEventListener('keydown', pressed)
    return () => window.removeEventListener('keydown', pressed)
  }, [])
}
