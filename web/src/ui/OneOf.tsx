import { ToggleGroup } from 'radix-ui'

type Props<T extends string> = {
  readonly label: string
  readonly options: readonly { readonly value: T; readonly text: string }[]
  /** empty: none yet */
  readonly value: T | ''
  readonly onChange: (value: T) => void
}

/** A choice of exactly one among a few short words, side by side. */
export function OneOf<T extends string>({ label, options, value, onChange }: Props<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next !== '' && onChange(next as T)}
      className="flex w-fit flex-wrap rounded-plain border border-edge bg-card"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option.value}
          value={option.value}
          className="min-h-11 border-line px-3 not-first:border-l data-[state=on]:bg-ink data-[state=on]:text-card first:rounded-l-[5px] last:rounded-r-[5px]"
        >
          {option.text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  )
}
