import { ToggleGroup } from 'radix-ui'

type Props<T extends string> = {
  readonly label: string
  readonly options: readonly { readonly value: T; readonly text: string }[]
  /** empty: none yet */
  readonly value: T | ''
  /** what is taken for granted while none is chosen; it is hatched, and said */
  readonly assumed?: T | null | undefined
  readonly onChange: (value: T) => void
}

const ITEM =
  'min-h-11 border-line px-3 not-first:border-l first:rounded-l-[5px] last:rounded-r-[5px] data-[state=on]:bg-ink data-[state=on]:text-card forced-colors:data-[state=on]:underline forced-colors:data-[state=on]:decoration-4'

/** A choice of exactly one among a few short words, side by side. */
export function OneOf<T extends string>({ label, options, value, assumed, onChange }: Props<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next !== '' && onChange(next as T)}
      className="flex w-fit flex-wrap rounded-plain border border-edge bg-card"
    >
      {options.map((option) => {
        const isAssumed = value === '' && option.value === assumed
        return (
          <ToggleGroup.Item
            key={option.value}
            value={option.value}
            // a shown choice that is touched is said from then on
            className={`${ITEM} ${isAssumed ? 'hatched' : ''}`}
          >
            {option.text}
            {isAssumed && <span className="sr-only"> (assumed)</span>}
          </ToggleGroup.Item>
        )
      })}
    </ToggleGroup.Root>
  )
}
