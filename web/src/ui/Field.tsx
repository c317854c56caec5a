import { type InputHTMLAttributes, type ReactNode, useId } from 'react'
import { FIELD } from './Choice'

type Props = InputHTMLAttributes<HTMLInputElement> & {
  readonly label: ReactNode
  readonly hint?: ReactNode
  /** what is wrong with it, in words; empty or undefined: nothing */
  readonly wrong?: string | undefined
}

/** A field with its label above and what is wrong with it below. */
export function Field({ label, hint, wrong, className = '', ...rest }: Props) {
  const id = useId()
  return (
    <div className={className}>
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      <input
        id={id}
        className={FIELD}
        aria-invalid={wrong ? true : undefined}
        aria-describedby={wrong || hint ? `${id}-told` : undefined}
        {...rest}
      />
      {(wrong || hint) && (
        <p id={`${id}-told`} className={wrong ? 'text-rust-ink' : 'text-sm text-quiet'}>
          {wrong || hint}
        </p>
      )}
    </div>
  )
}
