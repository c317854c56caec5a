import { useQuery } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { useParams } from 'react-router'
import { groupsQuery } from '../../api/groups'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import type { Sheet } from '../../api/types'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { amid } from '../../ui/words'
import { Characters } from './Characters'
import { FieldCard } from './FieldCard'
import { GroupTabs } from './GroupTabs'
import { Season } from './Season'
import { Versions } from './Versions'

/** The newest sheet of the group in the address, on a page of its own. */
function OnGroup({ show }: { readonly show: (sheet: Sheet) => ReactNode }) {
  const { groupId = '' } = useParams()
  const groups = useQuery(groupsQuery)
  const group = groups.data?.find((one) => one.groupId === groupId)
  const sheet = useQuery({ ...sheetQuery(group?.versionId ?? ''), enabled: group !== undefined })
  const failed = groups.error ?? sheet.error
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4 print:overflow-visible print:p-0">
      <div className="mx-auto w-full max-w-6xl">
        <GroupTabs groupId={groupId} />
        {failed && <Notice tone="wrong">{wordsOf(failed)}</Notice>}
        {groups.data && !group && (
          <Notice tone="wrong">The library has no such group. Choose one from the list.</Notice>
        )}
        {!failed && (group || !groups.data) && !sheet.data && (
          <OnItsWay of={[groups, sheet]}>Fetching the sheet …</OnItsWay>
        )}
        {sheet.data && show(sheet.data)}
      </div>
    </main>
  )
}

export function SeasonPage() {
  return <OnGroup show={(sheet) => <Season sheet={sheet} />} />
}

export function CharactersPage() {
  return <OnGroup show={(sheet) => <Characters sheet={sheet} />} />
}

export function CardPage() {
  return <OnGroup show={(sheet) => <FieldCard key={sheet.versionId} sheet={sheet} />} />
}

export function CautionsPage() {
  return <OnGroup show={(sheet) => <Cautions sheet={sheet} />} />
}

export function VersionsPage() {
  return <OnGroup show={(sheet) => <Versions sheet={sheet} />} />
}

function Cautions({ sheet }: { readonly sheet: Sheet }) {
  const checks = (topic: string) =>
    sheet.characters
      .filter((one) => one.hazards.some((hazard) => hazard.topic === topic))
      .map((one) => amid(one.name))
  return (
    <>
      <PageTitle>{`${sheet.title}: cautions`}</PageTitle>
      <h1 className="text-2xl">{sheet.title}: cautions</h1>
      <p className="mb-3 max-w-prose">
        They are shown on the Bench where they apply. Your own district’s rules come first, and control work
        is for trained, licensed people.
      </p>
      <ul className="grid gap-3 md:grid-cols-2">
        {sheet.cautions.map((one) => (
          <li
            key={one.topic}
            className="rounded-plain border border-line border-l-4 border-l-rust bg-card p-3"
          >
            <h2 className="text-base first-letter:uppercase">{one.topic.replaceAll('-', ' ')}</h2>
            <p>{one.text}</p>
            {checks(one.topic).length > 0 && (
              <p className="mt-1 text-sm text-quiet">Shown with: {checks(one.topic).join(', ')}.</p>
            )}
          </li>
        ))}
      </ul>
    </>
  )
}
