import { queryOptions, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, dataOf } from '../../api/client'
import { groupsQuery } from '../../api/groups'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import type { Group } from '../../api/types'
import { NewGroup } from '../../common/draft/NewGroup'
import { draftsQuery } from '../../common/draft/queries'
import { seasonQuery } from '../../common/group/queries'
import { WhichGroup } from '../../common/group/WhichGroup'
import { Button } from '../../ui/Button'
import { Mark } from '../../ui/Mark'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { dayAndTime, monthName } from '../../ui/words'

const FEWEST_LETTERS = 3

const namesQuery = (find: string) =>
  queryOptions({
    queryKey: ['sheets', 'names', find],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/sheets/names', { params: { query: { find } }, signal })),
    enabled: find.trim().length >= FEWEST_LETTERS,
  })

/** The groups that get mixed up, and everything that their sheets name. */
export function GroupsPage() {
  const groups = useQuery(groupsQuery)
  const [wanted, setWanted] = useState('')
  const [open, setOpen] = useState<'which' | 'new'>()
  const navigate = useNavigate()
  const edits = useObserver().role !== 'crew'
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-5xl">
        <div className="my-2 flex flex-wrap items-center justify-between gap-3">
          <PageTitle>Groups</PageTitle>
          <h1 className="text-2xl">Groups</h1>
          <div className="flex flex-wrap items-center gap-4">
            <Link
              to="/drawings"
              className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
            >
              All drawings
            </Link>
            <Button onClick={() => setOpen('which')}>Which group?</Button>
            {edits && <Button onClick={() => setOpen('new')}>New group</Button>}
          </div>
        </div>
        {open === 'which' && (
          <WhichGroup
            groups={groups.data ?? []}
            choose="Open"
            onChoose={(group) => navigate(`/groups/${group.groupId}`)}
            onClose={() => setOpen(undefined)}
          />
        )}
        {open === 'new' && <NewGroup groups={groups.data ?? []} onClose={() => setOpen(undefined)} />}
        {edits && <Drafts />}
        <label className="mb-3 block max-w-xl font-semibold">
          Look for a tree, a character or a state
          <input
            type="search"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
            className="mt-1 block min-h-11 w-full rounded-plain border border-edge bg-card px-3"
          />
        </label>
        {wanted.trim().length >= FEWEST_LETTERS && groups.data && (
          <Found wanted={wanted} groups={groups.data} />
        )}
        {groups.isError && <Notice tone="wrong">{wordsOf(groups.error)}</Notice>}
        {groups.isPending && <OnItsWay of={groups}>Fetching the groups …</OnItsWay>}
        <ul className="grid gap-3 md:grid-cols-2">
          {groups.data?.map((group) => (
            <li key={group.groupId}>
              <GroupCard group={group} />
            </li>
          ))}
        </ul>
      </div>
    </main>
  )
}

function GroupCard({ group }: { readonly group: Group }) {
  const month = new Date().getMonth() + 1
  const season = useQuery(seasonQuery(group.versionId, { stage: 'mature', wounding: false }))
  const fates = season.data?.months[month - 1]?.taxa
  return (
    <Link
      to={`/groups/${group.groupId}`}
      className="block h-full rounded-plain border border-line bg-card p-4 hover:bg-thistle-wash"
    >
      <span className="block font-head text-lg font-bold">{group.title}</span>
      <span className="mt-1 block">
        {group.taxa.map((taxon, k) => (
          <span key={taxon.id} className="mr-4 inline-flex items-center gap-1.5">
            <Mark candidate={k} standing="other" />
            {taxon.commonName}
            <span className={taxon.origin === 'invasive' ? 'text-sm text-rust-ink' : 'text-sm text-quiet'}>
              {[taxon.origin, taxon.standing !== 'common' && taxon.standing].filter(Boolean).join(', ')}
            </span>
          </span>
        ))}
      </span>
      <span className="mt-1 block font-semibold">
        {fates && `In ${monthName(month)} ${howOften(fates.map((fate) => fate.settles))}; `}
        {group.readable[month - 1]} of {group.characters} characters can be read now.
      </span>
      <span className="mt-1 block text-quiet">{group.why}</span>
      <span className="mt-1 block text-sm text-quiet">{group.region}</span>
    </Link>
  )
}

/** Drafts that are worked on, with whose they are. */
function Drafts() {
  const drafts = useQuery(draftsQuery)
  if (!drafts.data || drafts.data.length === 0) return null
  return (
    <section aria-label="Drafts" className="mb-4">
      <h2 className="text-lg">Drafts</h2>
      <ul className="divide-y divide-line border-y border-line bg-card">
        {drafts.data.map((one) => (
          <li key={one.id}>
            <Link
              to={`/drafts/${one.id}`}
              className="flex min-h-11 flex-wrap items-center gap-x-3 px-3 hover:bg-thistle-wash"
            >
              <span className="font-semibold">{one.title || 'A group without a name'}</span>
              <span className="text-quiet">
                {one.mine ? 'yours' : `${one.owner}’s`}, {one.groupId ? 'the next version' : 'a new group'}
              </span>
              <span className="ml-auto text-sm text-quiet">{dayAndTime(one.changedAt)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** How often a mature tree can be named, from the least to the most of the taxa. */
function howOften(settles: readonly number[]): string {
  const [least, most] = [Math.round(100 * Math.min(...settles)), Math.round(100 * Math.max(...settles))]
  if (most < 10) return 'hardly a tree can be named'
  return least === most
    ? `${most} trees in 100 can be named`
    : `${least} to ${most} trees in 100 can be named, by taxon`
}

/** What the sheets name that is like what was typed. */
function Found({ wanted, groups }: { readonly wanted: string; readonly groups: readonly Group[] }) {
  const found = useQuery(namesQuery(wanted))
  if (found.isError) return <Notice tone="wrong">{wordsOf(found.error)}</Notice>
  if (!found.data) return <OnItsWay of={found}>Looking …</OnItsWay>
  if (found.data.length === 0) return <p className="mb-3">No sheet names anything like that.</p>
  return (
    <ul aria-label="Found" className="mb-4 divide-y divide-line border-y border-line bg-card">
      {found.data.slice(0, 12).map((one) => (
        <li key={`${one.groupId} ${one.characterId} ${one.name}`}>
          <Link
            to={
              one.kind === 'taxon' || one.kind === 'other'
                ? `/groups/${one.groupId}`
                : `/groups/${one.groupId}/characters#${one.characterId}`
            }
            className="flex min-h-11 flex-wrap items-center gap-x-3 px-3 hover:bg-thistle-wash"
          >
            <span className="font-semibold">{one.name}</span>
            <span
              className={
                one.kind === 'taxon' || one.kind === 'other' ? 'scientific text-quiet' : 'text-quiet'
              }
            >
              {one.beside}
            </span>
            {one.foundBy && <span>also called {one.foundBy}</span>}
            <span className="ml-auto text-sm text-quiet">
              {one.kind === 'other' && 'no sheet holds it; these come near: '}
              {groups.find((group) => group.groupId === one.groupId)?.title}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  )
}
