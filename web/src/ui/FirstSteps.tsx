import { useQuery } from '@tanstack/react-query'
import { Check } from 'lucide-react'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { useObserver } from '../api/observer'
import { peopleQuery } from '../api/people'
import type { Survey } from '../api/types'

const LINK = 'inline-flex min-h-11 items-center rounded-plain border border-ink bg-card px-4 font-semibold'

/** What comes first in a survey that has no plot yet. */
export function FirstSteps({ survey }: { readonly survey: Survey }) {
  const observer = useObserver()
  const leads = observer.role === 'lead'
  const people = useQuery({ ...peopleQuery, enabled: leads })
  const others = (people.data?.people.length ?? 0) + (people.data?.invitations.length ?? 0) > 1
  return (
    <section aria-label="What comes first" className="my-4 max-w-3xl">
      <h2 className="border-b-2 border-ink pb-1 text-xl">What comes first</h2>
      <ol className="divide-y divide-line border-b border-line bg-card">
        <Step done title={`${survey.name.split(',')[0]} is set up.`}>
          {leads && (
            <Link to={`/surveys/${survey.id}/settings`} className={LINK}>
              Change it
            </Link>
          )}
        </Step>
        <Step title="Its plots and trees: record them by hand as you walk, or import a table or a map of them.">
          {!survey.closedAt && (
            <Link to="/plots" state={{ adding: true }} className={LINK}>
              Record the first plot
            </Link>
          )}
          <Link to={`/surveys/${survey.id}/exchange`} className={LINK}>
            Import a file
          </Link>
        </Step>
        {leads && (
          <Step done={others} title="Your crew: each gets a link for choosing a passphrase.">
            <Link to="/people" state={{ inviting: true }} className={LINK}>
              Invite somebody
            </Link>
          </Step>
        )}
        <Step title="Then open a tree from its plot, read what the Bench asks for, and sign." />
      </ol>
    </section>
  )
}

type StepProps = { readonly title: string; readonly done?: boolean; readonly children?: ReactNode }

function Step({ title, done = false, children }: StepProps) {
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 px-3 py-3">
      <span className="grid size-7 shrink-0 place-items-center rounded-full border border-ink">
        {done && <Check aria-label="done" className="size-4" />}
      </span>
      <span className="min-w-56 flex-1">{title}</span>
      {children}
    </li>
  )
}
