import { ToggleGroup } from 'radix-ui'
import { MONTHS, monthRuns } from './words'

const RADIUS = 42 // percent of the ring's width

type Props = {
  readonly months: readonly number[]
  readonly disabled: boolean
  readonly onChange: (months: readonly number[]) => void
}

/** The months in which a character can be read, as a ring with January at the top. */
export function MonthRing({ months, disabled, onChange }: Props) {
  return (
    <ToggleGroup.Root
      type="multiple"
      aria-label="Months in which it can be read"
      disabled={disabled}
      value={months.map(String)}
      onValueChange={(next) => onChange(next.map(Number).sort((a, b) => a - b))}
      className="relative size-64"
    >
      <span
        aria-hidden
        className="absolute inset-0 m-auto flex size-28 items-center justify-center text-center text-sm leading-tight text-quiet"
      >
        {months.length === 12 ? 'all year' : monthRuns(months) || 'never'}
      </span>
      {MONTHS.map((name, i) => {
        const angle = (i / MONTHS.length) * 2 * Math.PI
        return (
          <ToggleGroup.Item
            key={name}
            value={String(i + 1)}
            style={{
              left: `${50 + RADIUS * Math.sin(angle)}%`,
              top: `${50 - RADIUS * Math.cos(angle)}%`,
            }}
            className="absolute size-11 -translate-x-1/2 -translate-y-1/2 rounded-full border border-edge bg-card text-sm data-[state=on]:border-ink data-[state=on]:bg-moss data-[state=on]:font-bold data-[state=on]:text-card"
          >
            {name.slice(0, 3)}
            <span className="sr-only">: {name}</span>
          </ToggleGroup.Item>
        )
      })}
    </ToggleGroup.Root>
  )
}
