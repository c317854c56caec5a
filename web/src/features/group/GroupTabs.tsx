import { Link, NavLink } from 'react-router'

const TABS = [
  { page: '', text: 'Side by side' },
  { page: '/season', text: 'Season' },
  { page: '/characters', text: 'Characters' },
  { page: '/card', text: 'Field card' },
  { page: '/cautions', text: 'Cautions' },
  { page: '/versions', text: 'Versions' },
] as const

/** The pages of a group. */
export function GroupTabs({ groupId }: { readonly groupId: string }) {
  return (
    <nav aria-label="Pages of the group" className="mb-2 flex flex-wrap items-center gap-x-5 print:hidden">
      <Link to="/groups" className="inline-flex min-h-11 items-center font-semibold text-thistle underline">
        All groups
      </Link>
      {TABS.map(({ page, text }) => (
        <NavLink
          key={page}
          to={`/groups/${groupId}${page}`}
          end
          className="inline-flex min-h-11 items-center border-b-2 border-transparent aria-[current=page]:border-thistle aria-[current=page]:font-bold"
        >
          {text}
        </NavLink>
      ))}
    </nav>
  )
}
