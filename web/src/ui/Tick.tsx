type Props = {
  readonly on: boolean
  readonly words: string
  readonly onChange: (on: boolean) => void
}

/** Something that is so, or not. */
export function Tick({ on, words, onChange }: Props) {
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-5 shrink-0 accent-thistle"
        checked={on}
        onChange={() => onChange(!on)}
      />
      {words}
    </label>
  )
}
