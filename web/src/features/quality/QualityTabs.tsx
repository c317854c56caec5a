import { NavLink } from 'react-router'

const TABS = [
  { to: '/quality', text: 'Agreement' },
  { to: '/quality/lessons', text: 'What the record teaches' },
] as const

/** The pages on the quality of a survey's calls. */
export function QualityTabs() {
  return (
    <nav aria-label="Pages on quality" className="flex flex-wrap items-center gap-x-5">
      {TABS.map(({ to, text }) => (
        <NavLink
          key={to}
          to={to}
          end
          className="inline-flex min-h-11 items-center border-b-2 border-transparent aria-[current=page]:border-thistle aria-[current=page]:font-bold"
        >
          {text}
        </NavLink>
      ))}
    </nav>
  )
}
