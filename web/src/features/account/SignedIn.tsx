import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type ReactNode, useEffect } from 'react'
import { Navigate, NavLink, Outlet, useLocation, useMatch, useNavigate } from 'react-router'
import { api, SIGNED_OUT } from '../../api/client'
import { ObserverContext } from '../../api/observer'
import { failure, wordsOf } from '../../api/problem'
import { Button } from '../../ui/Button'
import { Logo } from '../../ui/Logo'
import { Notice } from '../../ui/Notice'
import { sessionQuery } from './queries'

const TAB =
  'flex min-h-12 items-center border-b-[3px] border-transparent px-3 aria-[current=page]:border-thistle aria-[current=page]:font-bold'

/** Every page that needs an observer: the bar above, the page below. */
export function SignedIn({ children }: { readonly children: ReactNode }) {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const location = useLocation()
  const onBench = useMatch('/surveys/:surveyId/trees/:treeId')
  const session = useQuery(sessionQuery)
  useEffect(() => {
    const signedOut = () => queries.setQueryData(sessionQuery.queryKey, null) // leads to signing in, and back here
    window.addEventListener(SIGNED_OUT, signedOut)
    return () => window.removeEventListener(SIGNED_OUT, signedOut)
  }, [queries])
  const signOut = useMutation({
    mutationFn: async () => {
      const { error, response } = await api.DELETE('/api/session')
      if (!response.ok) throw failure(response.status, error)
    },
    onSuccess: () => {
      queries.clear()
      navigate('/sign-in', { replace: true })
    },
  })

  if (session.isPending) {
    return (
      <main className="p-6">
        <p role="status">{session.failureReason ? wordsOf(session.failureReason) : 'One moment …'}</p>
      </main>
    )
  }
  if (session.isError) return <Notice tone="wrong">{wordsOf(session.error)}</Notice>
  if (session.data === null) return <Navigate to="/sign-in" state={location.pathname} replace />
  return (
    <ObserverContext value={session.data}>
      <div className="flex min-h-dvh flex-col lg:h-dvh">
        <header className="flex flex-wrap items-center gap-x-6 border-b border-line px-4">
          <Logo />
          <nav aria-label="Pages" className="flex">
            <NavLink to="/today" className={TAB}>
              Today
            </NavLink>
            {onBench && (
              <NavLink to={location.pathname} className={TAB}>
                Bench
              </NavLink>
            )}
          </nav>
          <div className="ml-auto flex items-center gap-1">
            <span className="font-bold">{session.data.callSign}</span>
            <Button look="quiet" onClick={() => signOut.mutate()}>
              Sign out
            </Button>
          </div>
        </header>
        {signOut.isError && <Notice tone="wrong">{wordsOf(signOut.error)}</Notice>}
        {children}
        <Outlet />
      </div>
    </ObserverContext>
  )
}
