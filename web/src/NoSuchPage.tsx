import { Link, useLocation } from 'react-router'
import { PageTitle } from './ui/PageTitle'

/** Said where an address leads nowhere. */
export function NoSuchPage() {
  const { pathname } = useLocation()
  return (
    <main className="mx-auto grid w-full max-w-xl gap-3 p-6">
      <PageTitle>No such page</PageTitle>
      <h1 className="text-2xl">There is no such page</h1>
      <p>
        Nothing is at <code className="figure break-all">{pathname}</code>. The address may be mistyped, or
        belong to something that is no more. Nothing was lost.
      </p>
      <p>
        <Link to="/today" className="font-semibold text-thistle underline">
          Go to Today
        </Link>
        , or press <kbd className="figure">/</kbd> and type where to.
      </p>
    </main>
  )
}
