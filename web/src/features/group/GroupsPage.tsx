import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { groupsQuery } from '../../api/groups'
import { wordsOf } from '../../api/problem'
import { Notice } from '../../ui/Notice'

/** The groups that get mixed up; each opens side by side. */
export function GroupsPage() {
  const groups = useQuery(groupsQuery)
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-5xl">
        <div className="my-2 flex flex-wrap items-center justify-between gap-3">
          <h1 className="text-2xl">Groups</h1>
          <Link
            to="/drawings"
            className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
          >
            All drawings
          </Link>
        </div>
        {groups.isError && <Notice tone="wrong">{wordsOf(groups.error)}</Notice>}
        {groups.isPending && <p role="status">Fetching the groups …</p>}
        <ul className="grid gap-3 md:grid-cols-2">
          {groups.data?.map((group) => (
            <li key={group.groupId}>
              <Link
                to={`/groups/${group.groupId}`}
                className="block h-full rounded-plain border border-line bg-card p-4 hover:bg-thistle-wash"
              >
                <span className="block font-head text-lg font-bold">{group.title}</span>
                <span className="mt-1 block">{group.taxa.join(' · ')}</span>
                <span className="mt-1 block text-quiet">{group.why}</span>
              </Link>
            </li>
          ))}
        </ul>
      </div>
    </main>
  )
}
