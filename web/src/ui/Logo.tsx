export function Logo() {
  return (
    <span className="flex items-center gap-2 font-head text-xl font-bold">
      <img src="/thistle.svg" alt="" className="size-7" />
      Goldthistle
    </span>
  )
}
