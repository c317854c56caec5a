import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { groupsQuery } from '../../api/groups'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import { entriesOf } from '../../common/bench/entries'
import { useUnsent } from '../../common/bench/outbox'
import { benchQuery } from '../../common/bench/queries'
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
  const observer = useObserver().callSign
  const bench = useQuery(benchQuery(surveyId, treeId))
  const sheet = useQuery({
    ...sheetQuery(bench.data?.sheetVersionId ?? ''),
    enabled: bench.data !== undefined,
  })
  const unsent = useUnsent(observer, treeId)
  const failed = bench.error ?? sheet.error
  if (failed && !bench.data) return <Failed words={wordsOf(failed)} />
  if (!bench.data || !sheet.data) return <Fetching />
  const { lead, rival } = bench.data.figures.withSurroundings
  const others = sheet.data.taxa.map((one) => one.id).filter((id) => id !== lead && id !== rival)
  return (
    <SideBySide
      sheet={sheet.data}
      month={bench.data.circumstances.month}
      stage={bench.data.circumstances.stage}
      entries={entriesOf(bench.data, unsent)}
      first={[lead, rival, ...others]}
      back={
        <Link
          to={`/surveys/${surveyId}/trees/${treeId}`}
          className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
        >
          Back to {bench.data.tree.plotCode}, tree {bench.data.tree.tag}
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
