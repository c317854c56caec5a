import type { ReactNode } from 'react'

const TONES = {
  wrong: 'border-rust bg-rust-wash',
  waiting: 'border-gold bg-gold-wash',
  plain: 'border-thistle bg-thistle-wash',
} as const

type Props = { readonly tone: keyof typeof TONES; readonly children: ReactNode }

/** Something that must be read: what is wrong, or what is being waited for. */
export function Notice({ tone, children }: Props) {
  return (
    <div
      role={tone === 'wrong' ? 'alert' : 'status'}
      className={`rounded-plain border-l-4 px-4 py-2 ${TONES[tone]}`}
    >
      {children}
    </div>
  )
}
