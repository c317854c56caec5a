import { useQueryClient } from '@tanstack/react-query'
import { type ReactElement, Suspense } from 'react'
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary'
import { Link, useLocation } from 'react-router'
import { wordsOf } from '../api/problem'
import { Button } from './Button'
import { Coming } from './Coming'
import { PageTitle } from './PageTitle'

const numbers = new WeakMap<object, number>()
let pages = 0

/** One for each kind of page: another page has a place of its own, so that why it does not come is not hidden by the one before. */
function placeOf(page: ReactElement): number {
  const kind = page.type as object
  const number = numbers.get(kind) ?? ++pages
  numbers.set(kind, number)
  return number
}

/** A page whose code is fetched when it is first opened; what breaks on it leaves everything around it in place. */
export function Fetched({ page }: { readonly page: ReactElement }) {
  const { pathname } = useLocation()
  const queries = useQueryClient()
  const forget = () => queries.removeQueries({ type: 'inactive' }) // it may have broken on what was fetched
  return (
    <ErrorBoundary FallbackComponent={Broken} resetKeys={[pathname]} onReset={forget}>
      <Suspense
        key={placeOf(page)}
        fallback={
          <div className="p-4">
            <Coming />
          </div>
        }
      >
        {page}
      </Suspense>
    </ErrorBoundary>
  )
}

function Broken({ error, resetErrorBoundary }: FallbackProps) {
  return (
    <main className="mx-auto grid w-full max-w-xl gap-3 p-6">
      <PageTitle>This page broke</PageTitle>
      <h1 className="text-2xl">This page broke</h1>
      <p>
        Something on it was not foreseen. What was signed or handed in is on the server, and what waits to be
        handed in is kept on this device.
      </p>
      <p className="figure break-words text-sm text-quiet">{wordsOf(error)}</p>
      <div className="flex flex-wrap items-center gap-5">
        <Button onClick={resetErrorBoundary}>Open it again</Button>
        <Link to="/today" className="font-semibold text-thistle underline">
          Go to Today
        </Link>
      </div>
      <p>If it breaks again, tell whoever runs the server, with the line above.</p>
    </main>
  )
}
