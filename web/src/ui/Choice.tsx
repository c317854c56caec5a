import type { ReactNode } from 'react'

export const FIELD =
  'mt-1 block w-full min-h-11 rounded-plain border border-edge bg-card px-3 aria-invalid:border-2 aria-invalid:border-rust'

type Props<T extends string> = {
  readonly label: ReactNode
  readonly options: readonly { readonly value: T; readonly text: string }[]
  readonly value: T
  readonly onChange: (value: T) => void
}

type PickProps<T extends string> = Omit<Props<T>, 'label'> & {
  readonly className?: string
  /** Where no text beside it says what is chosen. */
  readonly label?: string
}

/** The same among others in a row, which say what is chosen by themselves. */
export function Pick<T extends string>({ label, options, value, onChange, className = FIELD }: PickProps<T>) {
  return (
    <select
      aria-label={label}
      className={className}
      value={value}
      onChange={(event) => onChange(event.target.value as T)}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.text}
        </option>
      ))}
    </select>
  )
}

/** A choice of one among many, folded until it is touched. */
export function Choice<T extends string>({ label, options, value, onChange }: Props<T>) {
  return (
    <label className="block font-semibold">
      {label}
      <Pick options={options} value={value} onChange={onChange} />
    </label>
  )
}
