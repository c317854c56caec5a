import { useMutation } from '@tanstack/react-query'
import { useObserver } from '../../api/observer'
import type { Determination, NewDetermination } from '../../api/types'
import { type AsItStands, signatureOn } from '../../common/bench/asItStands'
import { keepReasons } from '../../common/bench/reasons'
import { forgetUndo } from '../../common/bench/undo'
import { useEnter } from '../../common/bench/useEnter'

/** Signs the observer's call: it is looked at here whether it can be, and handed in as everything else. */
export function useSigning(stands: AsItStands, onSigned: (signed: Determination | undefined) => void) {
  const observer = useObserver().callSign
  const { tree } = stands.bench
  const enter = useEnter(tree)
  return useMutation({
    mutationFn: async (signed: NewDetermination) => {
      const id = crypto.randomUUID()
      const signature = await signatureOn(stands, signed, id, observer)
      enter({ kind: 'signature', signed }, id)
      return signature
    },
    onSuccess: (signature) => {
      forgetUndo(observer, tree.id)
      keepReasons(tree.id, {})
      onSigned(signature)
    },
  })
}
