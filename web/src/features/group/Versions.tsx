import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import type { Sheet, SheetVersionRow } from '../../api/types'
import { begin, draftsQuery } from '../../common/draft/queries'
import { Differences } from '../../common/group/Differences'
import { differencesQuery, versionsQuery } from '../../common/group/queries'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { PageTitle } from '../../ui/PageTitle'
import { dayAndTime } from '../../ui/words'

const FILE = 'inline-flex min-h-11 items-center font-semibold text-thistle underline'

/** The versions of a sheet: who made each and why, what is different between two, and the way to the next one. */
export function Versions({ sheet }: { readonly sheet: Sheet }) {
  const observer = useObserver()
  const versions = useQuery(versionsQuery(sheet.groupId))
  return (
    <>
      <PageTitle>{`${sheet.title}: versions`}</PageTitle>
      <h1 className="text-2xl">{sheet.title}: versions</h1>
      <p className="mb-3 max-w-prose">
        A signed call keeps the version it was signed with, and gives the same figures for ever.
      </p>
      {observer.role !== 'crew' && <Editing sheet={sheet} />}
      {versions.isError && <Notice tone="wrong">{wordsOf(versions.error)}</Notice>}
      <ul className="divide-y divide-line border-y border-line bg-card">
        {versions.data?.map((one) => (
          <li key={one.id} className="px-3 py-2">
            <Version version={one} newest={one.id === sheet.versionId} />
          </li>
        ))}
      </ul>
      {(versions.data?.length ?? 0) > 1 && (
        <Compare key={versions.data?.[0]?.id} versions={versions.data ?? []} />
      )}
      <h2 className="mt-4 text-lg">Sources</h2>
      <ul className="list-disc pl-6">
        {sheet.sources.map((source) => (
          <li key={source}>{source}</li>
        ))}
      </ul>
    </>
  )
}

function Version({ version, newest }: { readonly version: SheetVersionRow; readonly newest: boolean }) {
  const { original, originalVersion, newestOriginal } = version
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4">
        <span className="font-semibold">Version {version.version}</span>
        <span>{version.builtIn ? 'came with the application' : `made by ${version.madeBy}`}</span>
        <span className="text-quiet">{dayAndTime(version.createdAt)}</span>
        <span className="ml-auto flex gap-4">
          <a href={`/api/sheets/${version.id}/file`} download className={FILE}>
            Its file (JSON)
          </a>
          <a href={`/api/sheets/${version.id}/matrix.csv`} download className={FILE}>
            Its figures (CSV)
          </a>
        </span>
      </div>
      {version.note !== '' && <p>{version.note}</p>}
      {original && (
        <p className="text-quiet">
          A region’s own figures, laid over version {originalVersion} of{' '}
          <Link className="text-thistle underline" to={`/groups/${original}`}>
            {original.replaceAll('-', ' ')}
          </Link>
          .{' '}
          {newest && newestOriginal !== originalVersion && (
            <b className="text-rust-ink">
              The original has version {newestOriginal} by now, which these figures do not fit; edit them to
              follow it.
            </b>
          )}
        </p>
      )}
    </>
  )
}

/** Who works on the next version, and the way to work on it. */
function Editing({ sheet }: { readonly sheet: Sheet }) {
  const navigate = useNavigate()
  const drafts = useQuery(draftsQuery)
  const [failed, setFailed] = useState<string>()
  const ofGroup = drafts.data?.filter((one) => one.groupId === sheet.groupId) ?? []
  const mine = ofGroup.find((one) => one.mine)
  const others = ofGroup.filter((one) => !one.mine)
  const edit = async () => {
    try {
      const draft = await begin({ from: 'change', versionId: sheet.versionId })
      navigate(`/drafts/${draft.id}`)
    } catch (error) {
      setFailed(wordsOf(error))
    }
  }
  return (
    <div className="mb-4 grid gap-2">
      <div className="flex flex-wrap items-center gap-4">
        <Button look="main" onClick={() => void (mine ? navigate(`/drafts/${mine.id}`) : edit())}>
          {mine ? 'Go on with your draft' : 'Edit this sheet'}
        </Button>
        {mine && <span className="text-quiet">last changed {dayAndTime(mine.changedAt)}</span>}
      </div>
      {others.map((one) => (
        <Notice key={one.id} tone="plain">
          {one.owner} has a draft of this sheet, last changed {dayAndTime(one.changedAt)}.{' '}
          <Link className="text-thistle underline" to={`/drafts/${one.id}`}>
            Look at it
          </Link>
        </Notice>
      ))}
      {failed && <Notice tone="wrong">{failed}</Notice>}
    </div>
  )
}

/** What is different between two versions, in words. */
function Compare({ versions }: { readonly versions: readonly SheetVersionRow[] }) {
  const [to, setTo] = useState(versions[0]?.id ?? '')
  const [from, setFrom] = useState(versions[1]?.id ?? '')
  const differences = useQuery(differencesQuery(from, to))
  const options = versions.map((one) => ({ value: one.id, text: `version ${one.version}` }))
  return (
    <section aria-label="What is different" className="mt-4">
      <h2 className="text-lg">What is different</h2>
      <div className="my-2 flex flex-wrap gap-3">
        <Choice label="From" options={options} value={from} onChange={setFrom} />
        <Choice label="To" options={options} value={to} onChange={setTo} />
      </div>
      {differences.isError && <Notice tone="wrong">{wordsOf(differences.error)}</Notice>}
      {differences.data && <Differences changes={differences.data} />}
    </section>
  )
}
