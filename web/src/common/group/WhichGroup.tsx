import { lazy, Suspense } from 'react'
import type { Props } from './WhichGroupSheet'

const WhichGroupSheet = lazy(() =>
  import('./WhichGroupSheet').then((it) => ({ default: it.WhichGroupSheet })),
)

/** The way from first looks to a group; its drawings are fetched when it is first opened. */
export function WhichGroup(props: Props) {
  return (
    <Suspense fallback={null}>
      <WhichGroupSheet {...props} />
    </Suspense>
  )
}
