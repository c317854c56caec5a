import type { ReactNode } from 'react'

/** A part of a page of figures. */
export function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section aria-label={title} className="min-w-0">
      <h2 className="mb-1 text-xl">{title}</h2>
      {children}
    </section>
  )
}

/** A cell that holds a figure. */
export function Figure({ children }: { readonly children: ReactNode }) {
  return <td className="figure pl-3 text-right whitespace-nowrap">{children}</td>
}
