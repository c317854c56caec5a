import { CircleCheck, OctagonX } from 'lucide-react'
import type { ReactNode } from 'react'

/** Red and large: this tree must not be cut, and why. */
export function DoNotCut({
  reasons,
  children,
}: {
  readonly reasons: readonly string[]
  readonly children?: ReactNode
}) {
  return (
    <div role="alert" className="my-3 rounded-plain border-4 border-rust bg-rust-wash p-4">
      <p className="flex items-center gap-3 text-3xl font-bold text-rust-ink uppercase">
        <OctagonX aria-hidden className="size-12 shrink-0" />
        Do not cut
      </p>
      <ul className="mt-2 ml-5 list-disc text-lg">
        {reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      {children}
    </div>
  )
}

/** It is still what it was called. */
export function Confirmed({ words, children }: { readonly words: string; readonly children?: ReactNode }) {
  return (
    <div role="status" className="my-3 rounded-plain border-4 border-moss bg-leaf p-4">
      <p className="flex items-center gap-3 text-2xl font-bold">
        <CircleCheck aria-hidden className="size-10 shrink-0" />
        Confirmed
      </p>
      <p className="mt-1 text-lg">{words}</p>
      {children}
    </div>
  )
}
