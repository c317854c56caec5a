// what a browser has and jsdom lacks
if (typeof window !== 'undefined') {
  window.matchMedia ??= (query) =>
    ({ matches: false, media: query, addEventListener: () => {}, removeEventListener: () => {} }) as never
  window.HTMLElement.prototype.scrollIntoView ??= () => {}
}
