import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { groupsQuery } from '../../api/groups'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import { useAsItStands } from '../../common/bench/asItStands'
import { entriesOf } from '../../common/bench/entries'
import { Notice } from '../../ui/Notice'
import { GroupTabs } from './GroupTabs'
import { SideBySide } from './SideBySide'

const NOTHING_READ = new Map<string, never>()

/** The taxa of a group side by side. */
export function GroupSideBySide() {
  const { groupId = '' } = useParams()
  const groups = useQuery(groupsQuery)
  const group = groups.data?.find((one) => one.groupId === groupId)
  const sheet = useQuery({ ...sheetQuery(group?.versionId ?? ''), enabled: group !== undefined })
  const failed = groups.error ?? sheet.error
  if (failed) return <Failed words={wordsOf(failed)} />
  if (groups.data && !group)
    return <Failed words="The library has no such group. Choose one from the list." />
  if (!sheet.data) return <Fetching />
  return (
    <SideBySide
      sheet={sheet.data}
      month={new Date().getMonth() + 1}
      stage="mature"
      entries={NOTHING_READ}
      first={sheet.data.taxa.map((one) => one.id)}
      back={<GroupTabs groupId={groupId} />}
    />
  )
}

/** The candidates of a tree side by side, with what was read on it. */
export function TreeSideBySide() {
  const { surveyId = '', treeId = '' } = useParams()
  const stands = useAsItStands(useObserver().callSign, surveyId, treeId)
  if (stands instanceof Error) return <Failed words={wordsOf(stands)} />
  if (!stands) return <Fetching />
  const { bench, sheet, unsent } = stands
  const { lead, rival } = bench.figures.withSurroundings
  const others = sheet.taxa.map((one) => one.id).filter((id) => id !== lead && id !== rival)
  return (
    <SideBySide
      sheet={sheet}
      month={bench.circumstances.month}
      stage={bench.circumstances.stage}
      entries={entriesOf(bench, unsent)}
      first={[lead, rival, ...others]}
      back={
        <Link
          to={`/surveys/${surveyId}/trees/${treeId}`}
          className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
        >
          Back to {bench.tree.plotCode}, tree {bench.tree.tag}
        </Link>
      }
    />
  )
}

function Failed({ words }: { readonly words: string }) {
  return (
    <main className="p-4">
      <Notice tone="wrong">{words}</Notice>
    </main>
  )
}

function Fetching() {
  return (
    <main className="p-4">
      <p role="status">Fetching the sheet …</p>
    </main>
  )
}
