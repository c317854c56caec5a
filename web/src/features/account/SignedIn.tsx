import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type ReactNode, useEffect, useState } from 'react'
import { Link, Navigate, NavLink, Outlet, useLocation, useMatch, useNavigate } from 'react-router'
import { api, SIGNED_OUT } from '../../api/client'
import { ObserverContext } from '../../api/observer'
import { failure, wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import { Button } from '../../ui/Button'
import { Logo } from '../../ui/Logo'
import { Notice } from '../../ui/Notice'
import { Palette } from '../../ui/Palette'
import { useKeys } from '../../ui/useKeys'
import { queueQuery } from '../review/queries'
import { usePlaces } from './places'
import { sessionQuery } from './queries'
import { YouSheet } from './YouSheet'

const TAB =
  'flex min-h-12 items-center border-b-[3px] border-transparent px-3 max-sm:px-1 max-sm:text-sm aria-[current=page]:border-thistle aria-[current=page]:font-bold'

type TabProps = { readonly to: string; readonly also: string; readonly children: ReactNode }

/** A tab that is the current one on its own pages and on some whose address begins otherwise. */
function Tab({ to, also, children }: TabProps) {
  const here = useMatch(`${to}/*`)
  const there = useMatch(also)
  return (
    <Link to={to} className={TAB} aria-current={here || there ? 'page' : undefined}>
      {children}
    </Link>
  )
}

/** Reviews, with how many wait for this observer. */
function ReviewTab() {
  const { survey } = useSurvey()
  const queue = useQuery({ ...queueQuery(survey?.id ?? '', { mine: true }), enabled: survey !== undefined })
  const waiting = queue.data?.forMe ?? 0
  return (
    <Tab to="/review" also="/surveys/:surveyId/review/*">
      Review
      {waiting > 0 && (
        <span className="figure ml-1 rounded-full bg-thistle px-2 text-sm font-bold text-card">
          {waiting}
          <span className="sr-only"> for you</span>
        </span>
      )}
    </Tab>
  )
}

/** Every page that needs an observer: the bar above, the page below. */
export function SignedIn({ children }: { readonly children: ReactNode }) {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const location = useLocation()
  const onBench = useMatch('/surveys/:surveyId/trees/:treeId')
  const session = useQuery(sessionQuery)
  const [going, setGoing] = useState(false)
  const [typed, setTyped] = useState('')
  const [you, setYou] = useState(false)
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

  const places = usePlaces(going, typed, session.data, () => signOut.mutate())
  useKeys({ '/': () => setGoing(true) })

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
      <div className="flex min-h-dvh flex-col lg:h-dvh print:block print:h-auto">
        <header className="flex print:hidden flex-wrap items-center gap-x-6 border-b border-line px-4 max-sm:gap-x-1 max-sm:px-2">
          <Logo short />
          <nav aria-label="Pages" className="flex">
            <NavLink to="/today" className={TAB}>
              Today
            </NavLink>
            <Tab to="/plots" also="/surveys/:surveyId/plots/*">
              Plots
            </Tab>
            <ReviewTab />
            {onBench && (
              <NavLink to={location.pathname} className={TAB}>
                Bench
              </NavLink>
            )}
            <Tab to="/groups" also="/drafts/*">
              Groups
            </Tab>
            <NavLink to="/quality" className={`${TAB} max-sm:hidden`}>
              Quality
            </NavLink>
            {session.data.role === 'lead' && (
              <NavLink to="/people" className={`${TAB} max-sm:hidden`}>
                People
              </NavLink>
            )}
          </nav>
          <div className="ml-auto flex items-center gap-1">
            <Button look="quiet" className="px-2! max-sm:hidden" onClick={() => setGoing(true)}>
              <kbd className="figure mr-1">/</kbd> go to …
            </Button>
            <Button
              look="quiet"
              className="max-w-36 truncate px-2! text-ink! max-sm:max-w-17 max-sm:px-1! max-sm:text-sm"
              onClick={() => setYou(true)}
            >
              {session.data.callSign}
            </Button>
          </div>
        </header>
        {signOut.isError && <Notice tone="wrong">{wordsOf(signOut.error)}</Notice>}
        {children}
        <Outlet />
        <Palette open={going} onOpenChange={setGoing} places={places} onTyped={setTyped} />
        <YouSheet
          observer={session.data}
          open={you}
          onOpenChange={setYou}
          onSignOut={() => signOut.mutate()}
        />
      </div>
    </ObserverContext>
  )
}
