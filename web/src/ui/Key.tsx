/** The key that does the same. */
export function Key({ name }: { readonly name: string }) {
  return (
    <kbd className="figure inline-grid size-7 shrink-0 place-items-center rounded-plain border border-current bg-paper text-base font-bold text-ink max-lg:pointer-coarse:hidden">
      {name}
    </kbd>
  )
}
