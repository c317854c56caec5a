import { markPath } from '../draw/markPath'

export type Standing = 'lead' | 'rival' | 'other'

const FILL = { lead: 'fill-gold', rival: 'fill-slate', other: 'fill-quiet' } as const

/** A candidate's mark: its shape says which, its colour whether it leads. */
export function Mark({ candidate, standing }: { readonly candidate: number; readonly standing: Standing }) {
  return (
    <svg viewBox="-1.3 -1.3 2.6 2.6" className={`size-4 shrink-0 ${FILL[standing]}`} aria-hidden="true">
      <path d={markPath(candidate)} fillRule="evenodd" />
    </svg>
  )
}
