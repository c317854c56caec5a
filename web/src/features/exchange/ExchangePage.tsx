import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Download } from 'lucide-react'
import { useState } from 'react'
import { useParams } from 'react-router'
import { useKeptText } from '../../api/kept'
import { Problem, wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { ImportColumn, ImportFile } from '../../api/types'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { counted } from '../../ui/words'
import { ArchiveRules } from './ArchiveRules'
import { Columns } from './Columns'
import {
  forgetImport,
  importQuery,
  isAtWork,
  sendColumns,
  sendEncoding,
  sendFile,
  stopImport,
  storeImport,
} from './queries'
import { Stored } from './Stored'

const LINK =
  'inline-flex min-h-11 items-center gap-2 rounded-plain border border-ink bg-card px-4 font-semibold'

const FILES = [
  {
    path: 'export.csv',
    name: 'Table (CSV)',
    tells: 'Plots and trees, a row a stem; imported again, it gives back all of them.',
  },
  {
    path: 'readings.csv',
    name: 'Readings (CSV)',
    tells: 'A row a look: the state or the value, what it was measured from and how far off it may be.',
  },
  {
    path: 'determinations.csv',
    name: 'Signatures (CSV)',
    tells:
      'A row a signature: who, when, on which sheet, for what, how sure, and what spoke for and against.',
  },
  { path: 'export.geojson', name: 'Map (GeoJSON)', tells: 'Every plot and every stem where it stands.' },
  { path: 'export.geojson?layer=plots', name: 'Plots alone (GeoJSON)', tells: 'For a layer of its own.' },
  { path: 'export.geojson?layer=trees', name: 'Trees alone (GeoJSON)', tells: 'For a layer of its own.' },
  {
    path: 'darwin-core.zip',
    name: 'Archive (Darwin Core)',
    tells: 'Stems, readings, every signature and the photos, in the terms that collections share.',
  },
]

/** A survey's way in and out as a file. */
export function ExchangePage() {
  const { surveyId = '' } = useParams()
  const survey = useSurvey().surveys.find((one) => one.id === surveyId)
  const [importId, setImportId] = useKeptText(`import.${surveyId}`)
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto grid w-full max-w-5xl gap-6">
        <div>
          <PageTitle>Import and export</PageTitle>
          <h1 className="text-2xl">Import and export</h1>
          {survey && (
            <p className="text-quiet">
              {survey.name}, season {survey.season}
            </p>
          )}
        </div>
        <section className="grid gap-2">
          <h2 className="text-lg">Out</h2>
          <ul className="grid grid-cols-1 divide-y divide-edge border-y border-edge">
            {FILES.map(({ path, name, tells }) => (
              <li key={path} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
                <a className={`${LINK} w-64`} href={`/api/surveys/${surveyId}/${path}`} download>
                  <Download aria-hidden className="size-4" /> {name}
                </a>
                <span className="min-w-0 flex-1 basis-60">{tells}</span>
              </li>
            ))}
          </ul>
          <ArchiveRules surveyId={surveyId} />
        </section>
        <section className="grid gap-3">
          <h2 className="text-lg">In</h2>
          {survey?.closedAt ? (
            <Notice tone="waiting">This survey is closed; nothing can be added to it.</Notice>
          ) : importId === '' ? (
            <ChooseFile surveyId={surveyId} onSent={setImportId} />
          ) : (
            <Import
              key={importId}
              surveyId={surveyId}
              importId={importId}
              onForgotten={() => setImportId('')}
            />
          )}
        </section>
        <Stored surveyId={surveyId} />
      </div>
    </main>
  )
}

function ChooseFile({
  surveyId,
  onSent,
}: {
  readonly surveyId: string
  readonly onSent: (id: string) => void
}) {
  const queries = useQueryClient()
  const send = useMutation({
    mutationFn: (file: File) => sendFile(surveyId, crypto.randomUUID(), file),
    onSuccess: (sent) => {
      queries.setQueryData(importQuery(surveyId, sent.id).queryKey, sent)
      onSent(sent.id)
    },
  })
  return (
    <>
      <p>
        A table (CSV, with a heading, from any spreadsheet) or a map (GeoJSON) of plots and trees, up to 100
        MB. What its columns hold is guessed and shown first; then it is checked row by row and stored whole,
        or not at all.
      </p>
      <label className="block w-fit font-semibold">
        File
        <input
          type="file"
          accept=".csv,.txt,.tsv,.json,.geojson"
          disabled={send.isPending}
          onChange={(event) => {
            const file = event.target.files?.[0]
            if (file) send.mutate(file)
            event.target.value = ''
          }}
          className="mt-1 block min-h-11 font-normal file:mr-3 file:min-h-11 file:rounded-plain file:border file:border-thistle file:bg-thistle file:px-4 file:font-semibold file:text-card"
        />
      </label>
      {send.isPending && <p role="status">Sending the file …</p>}
      {send.isError && <Notice tone="wrong">{wordsOf(send.error)}</Notice>}
    </>
  )
}

type ImportProps = {
  readonly surveyId: string
  readonly importId: string
  readonly onForgotten: () => void
}

/** One file from its columns to its being stored. */
function Import({ surveyId, importId, onForgotten }: ImportProps) {
  const queries = useQueryClient()
  const query = importQuery(surveyId, importId)
  const file = useQuery(query)
  const [changed, setChanged] = useState<readonly ImportColumn[]>()
  const survey = useSurvey().surveys.find((one) => one.id === surveyId)
  const took = (answer: ImportFile) => {
    queries.setQueryData(query.queryKey, answer)
    queries.invalidateQueries({ queryKey: ['surveys', surveyId, 'imports'] })
  }
  const check = useMutation({
    mutationFn: (columns: readonly ImportColumn[]) => sendColumns(surveyId, importId, columns),
    onSuccess: (answer) => {
      setChanged(undefined) // what was chosen is the server's now, and what it checks can be stored
      took(answer)
    },
  })
  const read = useMutation({
    mutationFn: (encoding: ImportFile['encoding']) => sendEncoding(surveyId, importId, encoding),
    onSuccess: (answer) => {
      setChanged(undefined) // the headings may be others now
      took(answer)
    },
  })
  const store = useMutation({ mutationFn: () => storeImport(surveyId, importId), onSuccess: took })
  const stop = useMutation({ mutationFn: () => stopImport(surveyId, importId), onSuccess: took })
  const forget = useMutation({
    mutationFn: () => forgetImport(surveyId, importId),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['surveys', surveyId, 'plots'] })
      onForgotten()
    },
  })
  if (file.isError) {
    return (
      <>
        <Notice tone="wrong">{wordsOf(file.error)}</Notice>
        {file.error instanceof Problem && <Button onClick={onForgotten}>Choose another file</Button>}
      </>
    )
  }
  if (!file.data) return <OnItsWay of={file}>One moment …</OnItsWay>
  const { state, name, problemCount, problems, told, plotsNew, treesNew, oddMedian } = file.data
  const columns = changed ?? file.data.columns
  const busy = isAtWork(file.data)
  const asked = state === 'checked' && oddMedian != null // which is one of the problems
  const error = check.error ?? read.error ?? store.error ?? stop.error ?? forget.error
  return (
    <div className="grid gap-3">
      <p>
        <strong>{name}</strong>, {file.data.format === 'csv' ? 'a table' : 'a map'} with{' '}
        {counted(file.data.headings.length, 'column')}.
      </p>
      {told && <Notice tone={state === 'stopped' ? 'waiting' : 'wrong'}>{told}</Notice>}
      {error && <Notice tone="wrong">{wordsOf(error)}</Notice>}
      {busy && <AtWork file={file.data} onStop={() => stop.mutate()} />}
      {state === 'stored' && (
        <Notice tone="plain">
          Stored: {counted(plotsNew, 'new plot')} and {counted(treesNew, 'tree')}.
        </Notice>
      )}
      {state === 'checked' && problemCount === 0 && (
        <Notice tone="plain">
          Every row can be taken over: {counted(plotsNew, 'new plot')} and {counted(treesNew, 'tree')}.
        </Notice>
      )}
      {asked && <AskUnit file={file.data} columns={columns} onSay={(said) => check.mutate(said)} />}
      {problemCount > (asked ? 1 : 0) && (
        <section aria-label="Problems" className="grid gap-2">
          <Notice tone="wrong">
            {counted(problemCount, 'problem')}. Nothing is stored until there is none: mend the file and send
            it again, or change the columns below.
          </Notice>
          <table className="w-full border-collapse bg-card text-left">
            <thead>
              <tr className="border-b border-ink">
                <th scope="col" className="px-2 py-1 text-right">
                  {file.data.format === 'csv' ? 'row' : 'feature'}
                </th>
                <th scope="col" className="px-2">
                  column
                </th>
                <th scope="col" className="px-2">
                  what is wrong
                </th>
              </tr>
            </thead>
            <tbody>
              {problems.map((one) => (
                <tr key={`${one.place} ${one.heading} ${one.problem}`} className="border-b border-line">
                  <td className="figure px-2 py-1 text-right">{one.place}</td>
                  <td className="px-2">{one.heading}</td>
                  <td className="px-2">{one.problem}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {problemCount > problems.length && <p>and {problemCount - problems.length} more</p>}
        </section>
      )}
      {!busy && state !== 'stored' && (
        <>
          {file.data.format === 'csv' && (
            <div className="flex flex-wrap items-end gap-x-4 gap-y-1">
              <Choice
                label="Its letters are written as"
                options={file.data.encodings.map((one) => ({ value: one, text: one }))}
                value={file.data.encoding}
                onChange={(encoding) => read.mutate(encoding)}
              />
              <p className="pb-2 text-quiet">Guessed. If names below look garbled, choose another.</p>
            </div>
          )}
          <Columns file={file.data} columns={columns} onChange={setChanged} />
        </>
      )}
      <div className="flex flex-wrap gap-2">
        {!busy && state !== 'stored' && (
          <Button
            look={state === 'checked' && problemCount === 0 ? 'plain' : 'main'}
            onClick={() => check.mutate(columns)}
          >
            {state === 'sent' ? 'Check every row' : 'Check again'}
          </Button>
        )}
        {state === 'checked' && problemCount === 0 && !changed && (
          <Button look="main" onClick={() => store.mutate()}>
            Store all of it{survey ? ` in ${survey.name}, season ${survey.season}` : ''}
          </Button>
        )}
        {!busy && (
          <Button look={state === 'stored' ? 'main' : 'quiet'} onClick={() => forget.mutate()}>
            {state === 'stored' ? 'Another file' : 'Forget this file'}
          </Button>
        )}
      </div>
    </div>
  )
}

type AskProps = {
  readonly file: ImportFile
  readonly columns: readonly ImportColumn[]
  readonly onSay: (columns: readonly ImportColumn[]) => void
}

/** Half of the trees are thicker or thinner than trees are: in which unit were they measured? */
function AskUnit({ file, columns, onSay }: AskProps) {
  const column = columns.find((one) => one.field === 'diameter')
  if (!column) return null
  const units = file.fields.find((one) => one.field === 'diameter')?.units ?? []
  const say = (unit: string, sure: boolean) =>
    onSay([...columns.filter((one) => one !== column), { ...column, unit, sure }])
  return (
    <section aria-label="In which unit?" className="rounded-plain border-2 border-ink bg-card p-3">
      <p>
        “{column.heading}” is read in {column.unit}:{' '}
        {file.problems.find((one) => one.heading === column.heading)?.problem}.
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {units.map((unit) => (
          <Button
            key={unit}
            look={unit === column.unit ? 'plain' : 'main'}
            onClick={() => say(unit, unit === column.unit)}
          >
            {unit === column.unit ? `really in ${unit}` : `in ${unit}`}
          </Button>
        ))}
      </div>
    </section>
  )
}

function AtWork({ file, onStop }: { readonly file: ImportFile; readonly onStop: () => void }) {
  const share = Math.round(100 * file.shareDone)
  return (
    <div className="rounded-plain border border-edge bg-card p-3">
      <p role="status" className="flex justify-between">
        <span>{file.state === 'checking' ? 'Checking' : 'Storing'} …</span>
        <span className="figure">
          {file.rowsDone.toLocaleString('en-GB')} rows, {share} %
        </span>
      </p>
      <progress className="my-2 block h-3 w-full accent-thistle" max={100} value={share} aria-label="Done" />
      <Button onClick={onStop}>Stop</Button>
    </div>
  )
}
