import { MONTHS } from './words'

type Props = {
  /** 1-12 */
  readonly value: number
  readonly onChange: (month: number) => void
  readonly className?: string
  /** Where no text beside it says what is chosen. */
  readonly label?: string
}

/** A choice of one month. */
export function MonthPick({ value, onChange, className, label }: Props) {
  return (
    <select
      aria-label={label}
      className={className}
      value={value}
      onChange={(event) => onChange(Number(event.target.value))}
    >
      {MONTHS.map((name, i) => (
        <option key={name} value={i + 1}>
          {name}
        </option>
      ))}
    </select>
  )
}
