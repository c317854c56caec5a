/** The mark with the name; short: on a narrow screen the name is for the ear alone. */
export function Logo({ short = false }: { readonly short?: boolean }) {
  return (
    <span className="flex items-center gap-2 font-head text-xl font-bold">
      <img src="/thistle.svg" alt="" className="size-7" />
      <span className={short ? 'max-sm:sr-only' : ''}>Goldthistle</span>
    </span>
  )
}
