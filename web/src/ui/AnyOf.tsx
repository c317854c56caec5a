import { ToggleGroup } from 'radix-ui'

type Props<T extends string> = {
  readonly label: string
  readonly options: readonly T[]
  readonly values: readonly T[]
  readonly onChange: (values: T[]) => void
}

/** A choice of any number among short words. */
export function AnyOf<T extends string>({ label, options, values, onChange }: Props<T>) {
  return (
    <ToggleGroup.Root
      type="multiple"
      aria-label={label}
      value={[...values]}
      onValueChange={(next) => onChange(next as T[])}
      className="flex flex-wrap gap-2"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option}
          value={option}
          className="min-h-11 rounded-plain border border-edge bg-card px-3 data-[state=on]:bg-ink data-[state=on]:text-card"
        >
          {option}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  )
}
