import { keep, readKept } from '../api/kept'

export type Theme = 'day' | 'dusk'

/** The theme that was chosen in this browser, or the one that the device asks for. */
export function theme(): Theme {
  const asked = window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dusk' : 'day'
  return readKept<Theme>('theme', asked)
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
