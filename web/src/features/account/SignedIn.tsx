import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Menu as MenuLines } from 'lucide-react'
import { type ReactNode, useEffect, useState } from 'react'
import { Link, matchPath, Navigate, Outlet, useLocation, useMatch, useNavigate } from 'react-router'
import { api, requireDone, SIGNED_OUT } from '../../api/client'
import { ObserverContext } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { useSurvey, useTakenInHand } from '../../api/surveys'
import type { Observer } from '../../api/types'
import { HandingInPill } from '../../common/along/HandingIn'
import { InstrumentPill } from '../../common/bench/InstrumentPill'
import { outbox } from '../../common/bench/outbox'
import { queueQuery } from '../../common/review/queries'
import { Button } from '../../ui/Button'
import { BarSlot } from '../../ui/InBar'
import { Logo } from '../../ui/Logo'
import { Menu, MenuItem } from '../../ui/Menu'
import { Notice } from '../../ui/Notice'
import { Palette } from '../../ui/Palette'
import { useKeys } from '../../ui/useKeys'
import { AccountNotices } from './AccountNotices'
import { ContractorShell } from './ContractorShell'
import { DeviceNotices } from './DeviceNotices'
import { HelpSheet } from './HelpSheet'
import { LeaveWaiting } from './LeaveWaiting'
import { usePlaces } from './places'
import { rememberSignedIn, sessionQuery } from './queries'
import { YouSheet } from './YouSheet'

const TAB =
  'flex min-h-12 items-center border-b-[3px] border-transparent px-3 aria-[current=page]:border-thistle aria-[current=page]:font-bold'

type Page = {
  readonly to: string
  readonly name: string
  /** addresses that begin otherwise and belong to it all the same */
  readonly also?: string
  readonly leadsOnly?: boolean
  /** whether it is there where a survey allows calls for control alone */
  readonly controlOnly?: boolean
}

const PAGES: readonly Page[] = [
  { to: '/today', name: 'Today' },
  { to: '/season', name: 'Season' },
  { to: '/plots', name: 'Plots', also: '/surveys/:surveyId/plots/*' },
  { to: '/review', name: 'Review', also: '/surveys/:surveyId/review/*' },
  { to: '/groups', name: 'Groups', also: '/drafts/*' },
  { to: '/practice', name: 'Practice' },
  { to: '/quality', name: 'Quality' },
  { to: '/people', name: 'People', leadsOnly: true },
  // last, since it is known to be there only once the survey has come: nothing moves away from under a finger
  { to: '/control', name: 'Control', also: '/surveys/:surveyId/control/*', controlOnly: true },
]

/** Whether an address is a page's own, or belongs to it. */
function isCurrent({ to, also }: Page, address: string): boolean {
  return matchPath(`${to}/*`, address) !== null || (also !== undefined && matchPath(also, address) !== null)
}

/** How many reviews wait for this observer. */
function useWaiting(): number {
  const { survey } = useSurvey()
  const queue = useQuery({ ...queueQuery(survey?.id ?? '', { mine: true }), enabled: survey !== undefined })
  return queue.data?.forMe ?? 0
}

function Waiting({ count }: { readonly count: number }) {
  if (count === 0) return null
  return (
    <span className="figure ml-1 rounded-full bg-thistle px-2 text-sm font-bold text-card">
      {count}
      <span className="sr-only"> for you</span>
    </span>
  )
}

type BarProps = {
  readonly observer: Observer
  /** On the Bench the pages are folded, so that the tree has the bar. */
  readonly folded: boolean
  readonly onGo: () => void
  readonly onHelp: () => void
  readonly onYou: () => void
}

/** The bar at the top: the pages, going anywhere by typing, help, and who one is. */
function Bar({ observer, folded, onGo, onHelp, onYou }: BarProps) {
  const { pathname } = useLocation()
  const navigate = useNavigate()
  const waiting = useWaiting()
  const { survey } = useSurvey()
  useTakenInHand(survey)
  const pages = PAGES.filter(
    (one) => (!one.leadsOnly || observer.role === 'lead') && (!one.controlOnly || survey?.controlUsed),
  )
  return (
    <header className="flex min-h-13 items-center gap-x-3 border-b border-line px-3 max-sm:gap-x-1 max-sm:px-2 print:hidden">
      <Menu
        label="Menu"
        className={`grid size-11 shrink-0 place-items-center rounded-plain border border-ink bg-card hover:bg-thistle-wash ${folded ? '' : 'min-[79rem]:hidden'}`}
        button={<MenuLines aria-hidden className="size-5" />}
      >
        {pages.map((page) => (
          <MenuItem key={page.to} current={isCurrent(page, pathname)} onChoose={() => navigate(page.to)}>
            {page.name}
            {page.to === '/review' && <Waiting count={waiting} />}
          </MenuItem>
        ))}
        <MenuItem onChoose={onGo}>Go to …</MenuItem>
        <MenuItem onChoose={onHelp}>Keys and words</MenuItem>
        <MenuItem onChoose={onYou}>{observer.callSign}</MenuItem>
      </Menu>
      <span className={folded ? 'max-lg:hidden' : ''}>
        <Logo short />
      </span>
      {!folded && (
        <nav aria-label="Pages" className="flex max-[79rem]:hidden">
          {pages.map((page) => (
            <Link
              key={page.to}
              to={page.to}
              className={TAB}
              aria-current={isCurrent(page, pathname) ? 'page' : undefined}
            >
              {page.name}
              {page.to === '/review' && (
                <span className="inline-block min-w-12 whitespace-nowrap">
                  <Waiting count={waiting} />
                </span>
              )}
            </Link>
          ))}
        </nav>
      )}
      <BarSlot className={folded ? 'min-w-0 flex-1' : ''} />
      <HandingInPill brief={folded} />
      <InstrumentPill />
      <div className={`ml-auto flex items-center ${folded ? 'max-lg:hidden' : ''}`}>
        <Button look="quiet" className="px-2! whitespace-nowrap max-sm:hidden" onClick={onGo}>
          <kbd className="figure mr-1">/</kbd> go to …
        </Button>
        <Button look="quiet" className="px-2!" onClick={onHelp}>
          <kbd className="figure">?</kbd> <span className="sr-only">Keys and words</span>
        </Button>
        <Button look="quiet" className="max-w-36 truncate px-2! text-ink!" onClick={onYou}>
          {observer.callSign}
        </Button>
      </div>
    </header>
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
  const [help, setHelp] = useState(false)
  useEffect(() => {
    const signedOut = () => {
      rememberSignedIn(null)
      queries.setQueryData(sessionQuery.queryKey, null) // leads to signing in, and back here
    }
    window.addEventListener(SIGNED_OUT, signedOut)
    return () => window.removeEventListener(SIGNED_OUT, signedOut)
  }, [queries])
  const signOut = useMutation({
    mutationFn: async (everywhere: boolean) => {
      requireDone(everywhere ? await api.DELETE('/api/session/everywhere') : await api.DELETE('/api/session'))
    },
    onSuccess: () => {
      rememberSignedIn(null)
      queries.clear()
      navigate('/sign-in', { replace: true })
    },
  })

  // what waits to be handed in stays on this device, and whoever leaves it behind is to know
  const [leaving, setLeaving] = useState<boolean>()
  const leave = (everywhere: boolean) =>
    session.data && outbox.of(session.data.callSign).length > 0
      ? setLeaving(everywhere)
      : signOut.mutate(everywhere)
  const places = usePlaces(going, typed, session.data, () => leave(false))
  useKeys({ '/': () => setGoing(true), '?': () => setHelp(true) })

  if (session.isPending) {
    return (
      <main className="p-6">
        <p role="status">{session.failureReason ? wordsOf(session.failureReason) : 'One moment …'}</p>
      </main>
    )
  }
  if (session.isError && session.data === undefined)
    return <Notice tone="wrong">{wordsOf(session.error)}</Notice>
  if (session.data === null)
    return <Navigate to="/sign-in" state={location.pathname + location.search} replace />
  if (session.data.role === 'contractor') {
    return (
      <ObserverContext value={session.data}>
        <ContractorShell observer={session.data} onSignOut={() => signOut.mutate(false)}>
          <AccountNotices observer={session.data} key={session.data.id} />
          <DeviceNotices />
          {signOut.isError && <Notice tone="wrong">{wordsOf(signOut.error)}</Notice>}
        </ContractorShell>
      </ObserverContext>
    )
  }
  return (
    <ObserverContext value={session.data}>
      <div className="flex min-h-dvh flex-col lg:h-dvh print:block print:h-auto">
        <Bar
          observer={session.data}
          folded={onBench !== null}
          onGo={() => setGoing(true)}
          onHelp={() => setHelp(true)}
          onYou={() => setYou(true)}
        />
        <AccountNotices observer={session.data} key={session.data.id} />
        <DeviceNotices />
        {signOut.isError && <Notice tone="wrong">{wordsOf(signOut.error)}</Notice>}
        {children}
        <Outlet />
        <Palette open={going} onOpenChange={setGoing} places={places} onTyped={setTyped} />
        <LeaveWaiting
          entries={leaving === undefined ? [] : outbox.of(session.data.callSign)}
          onStay={() => setLeaving(undefined)}
          onLeave={() => {
            setLeaving(undefined)
            signOut.mutate(leaving ?? false)
          }}
        />
        <HelpSheet open={help} onOpenChange={setHelp} onBench={onBench !== null} />
        <YouSheet
          observer={session.data}
          open={you}
          onOpenChange={setYou}
          onSignOut={() => leave(false)}
          onSignOutEverywhere={() => leave(true)}
        />
      </div>
    </ObserverContext>
  )
}
