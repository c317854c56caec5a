import type { ReactNode, TextareaHTMLAttributes } from 'react'

type Props = TextareaHTMLAttributes<HTMLTextAreaElement> & {
  readonly label: ReactNode
}

/** A field for several lines of words, with its label above. */
export function TextArea({ label, rows = 2, className = '', ...rest }: Props) {
  return (
    <label className={`block font-semibold ${className}`}>
      {label}
      <textarea
        rows={rows}
        className="mt-1 block w-full rounded-plain border border-edge bg-card px-3 py-2 font-normal"
        {...rest}
      />
    </label>
  )
}
