import { X } from 'lucide-react'
import { useEffect, useState } from 'react'
import type { Observer } from '../../api/types'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'

/** What an observer is to know of their own account; it stays until they put it away, for as long as the page is open. */
export function AccountNotices({ observer }: { readonly observer: Observer }) {
  const [told, setTold] = useState<readonly string[]>(observer.notices)
  const [away, setAway] = useState<readonly string[]>([])
  useEffect(() => {
    setTold((before) => [...before, ...observer.notices.filter((one) => !before.includes(one))])
  }, [observer.notices])
  return told
    .filter((one) => !away.includes(one))
    .map((one) => (
      <Notice key={one} tone="wrong">
        <span className="flex items-center justify-between gap-3">
          {one}
          <Button look="quiet" className="px-2!" onClick={() => setAway([...away, one])}>
            <X aria-hidden className="size-5" />
            <span className="sr-only">I have read this</span>
          </Button>
        </span>
      </Notice>
    ))
}
