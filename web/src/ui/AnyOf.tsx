import { ToggleGroup } from 'radix-ui'

type Props = {
  readonly label: string
  readonly options: readonly string[]
  readonly values: readonly string[]
  readonly onChange: (values: string[]) => void
}

/** A choice of any number among short words. */
export function AnyOf({ label, options, values, onChange }: Props) {
  return (
    <ToggleGroup.Root
      type="multiple"
      aria-label={label}
      value={[...values]}
      onValueChange={onChange}
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
