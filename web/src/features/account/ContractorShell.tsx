import type { ReactNode } from 'react'
import { Link, Navigate, Outlet, useLocation } from 'react-router'
import type { Observer } from '../../api/types'
import { useSaid } from '../../common/control/lookStore'
import { useTelling } from '../../common/control/useTelling'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { Logo } from '../../ui/Logo'
import { counted } from '../../ui/words'

type Props = {
  readonly observer: Observer
  readonly onSignOut: () => void
  /** what must be told */
  readonly children: ReactNode
}

/** What a contractor sees: the cards of approved trees, and a way out. */
export function ContractorShell({ observer, onSignOut, children }: Props) {
  const { pathname } = useLocation()
  useTelling(observer.callSign)
  const waiting = useSaid(observer.callSign).filter((one) => one.sent !== '').length
  if (!pathname.startsWith('/control/cards')) return <Navigate to="/control/cards" replace />
  return (
    <div className="flex min-h-dvh flex-col">
      <header className="flex min-h-13 items-center gap-x-3 border-b border-line px-3 print:hidden">
        <Logo short />
        <Link to="/control/cards" className="flex min-h-12 items-center px-2 font-bold">
          Cards
        </Link>
        <span className="ml-auto text-quiet">{observer.callSign}</span>
        {waiting > 0 ? (
          <Confirm words="Sign out" disabled={false} onConfirm={onSignOut}>
            What waits here, or was refused, stays on this device: {counted(waiting, 'thing')}. It is handed
            in when you sign in here again.
          </Confirm>
        ) : (
          <Button look="quiet" onClick={onSignOut}>
            Sign out
          </Button>
        )}
      </header>
      {children}
      <Outlet />
    </div>
  )
}
