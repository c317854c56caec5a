import { Suspense } from 'react'
import { Coming } from '../../ui/Coming'
import { later } from '../../ui/later'
import { Sheet } from '../../ui/Sheet'
import { type Props, WHICH_GROUP } from './whichGroup'

const WhichGroupSheet = later(() => import('./WhichGroupSheet').then((it) => it.WhichGroupSheet))

/** The way from first looks to a group; its drawings are fetched when it is first opened. */
export function WhichGroup(props: Props) {
  return (
    <Suspense
      fallback={
        <Sheet title={WHICH_GROUP} open onOpenChange={(stays) => !stays && props.onClose()}>
          <Coming />
        </Sheet>
      }
    >
      <WhichGroupSheet {...props} />
    </Suspense>
  )
}
