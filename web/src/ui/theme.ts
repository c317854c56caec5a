import { keep, readKept } from '../api/kept'

export const THEMES = ['day', 'dusk', 'sun'] as const

/** The light that the screen is read in; sun is black on white with heavier lines, for glare. */
export type Theme = (typeof THEMES)[number]

/** The theme that was chosen in this browser, or the one that the device asks for. */
export function theme(): Theme {
  const asked = window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dusk' : 'day'
  const kept = readKept<Theme>('theme', asked)
  return THEMES.includes(kept) ? kept : asked
}

/** Puts the theme on the page. */
export function applyTheme(): void {
  document.documentElement.dataset.theme = theme()
}

/** Chooses a theme for this browser. */
export function chooseTheme(chosen: Theme): void {
  keep('theme', chosen)
  applyTheme()
}
