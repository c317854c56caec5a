import type { ButtonHTMLAttributes, Ref } from 'react'

const LOOKS = {
  main: 'border-thistle bg-thistle text-card hover:bg-ink disabled:border-edge disabled:bg-line disabled:text-quiet',
  plain: 'border-ink bg-card hover:bg-thistle-wash disabled:border-line disabled:text-quiet',
  quiet: 'border-transparent text-thistle underline-offset-4 hover:underline',
} as const

type Props = ButtonHTMLAttributes<HTMLButtonElement> & {
  readonly look?: keyof typeof LOOKS
  readonly ref?: Ref<HTMLButtonElement>
}

/** A button as large as a cold finger needs. */
export function Button({ look = 'plain', className = '', type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={`min-h-11 rounded-plain border px-4 font-semibold disabled:cursor-not-allowed ${LOOKS[look]} ${className}`}
      {...rest}
    />
  )
}
