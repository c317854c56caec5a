import { GraduationCap } from 'lucide-react'
import { Link } from 'react-router'

/** Says on every page of practice that nothing of it counts: a bar of its own colour and pattern. */
export function PracticeBar() {
  return (
    <p className="practice-bar flex min-h-11 flex-wrap items-center gap-x-3 border-b-2 border-slate px-4 print:hidden">
      <GraduationCap aria-hidden className="size-5" />
      <strong>Practice</strong>
      <span className="max-sm:hidden">Nothing here enters a survey.</span>
      <Link to="/practice" className="ml-auto min-h-11 content-center font-semibold underline">
        My practice
      </Link>
    </p>
  )
}
