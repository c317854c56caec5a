import { Suspense } from 'react'
import { later } from '../../ui/later'
import type { Props } from './WhichGroupSheet'

const WhichGroupSheet = later(() => import('./WhichGroupSheet').then((it) => it.WhichGroupSheet))

/** The way from first looks to a group; its drawings are fetched when it is first opened. */
export function WhichGroup(props: Props) {
  return (
    <Suspense fallback={null}>
      <WhichGroupSheet {...props} />
    </Suspense>
  )
}
