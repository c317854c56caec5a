const MOST = 4

/** How promising a check is, as seeds: each counts by being filled, not by its colour. */
export function Seeds({ seeds, light = false }: { readonly seeds: number; readonly light?: boolean }) {
  const [full, empty] = light
    ? ['fill-card', 'fill-none stroke-card']
    : ['fill-thistle', 'fill-none stroke-edge']
  return (
    <svg viewBox="0 0 34 12" className="h-3 w-9 shrink-0" role="img" aria-label={`${seeds} of ${MOST} seeds`}>
      {Array.from({ length: MOST }, (_, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: seeds have no name but their place
          key={i}
          d={`M${4 + i * 8.5},0.8C${8 + i * 8.5},4 ${7 + i * 8.5},11 ${4 + i * 8.5},11C${1 + i * 8.5},11 ${i * 8.5},4 ${4 + i * 8.5},0.8Z`}
          className={i < seeds ? full : empty}
        />
      ))}
    </svg>
  )
}
