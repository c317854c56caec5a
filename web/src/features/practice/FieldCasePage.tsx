import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { api, dataOf } from '../../api/client'
import { useKeptText } from '../../api/kept'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import type { FieldCase, FieldResult, Sheet } from '../../api/types'
import { wordsOfReading } from '../../common/bench/entries'
import { photoAddress } from '../../common/bench/queries'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { monthName } from '../../ui/words'
import { CallFields, calledAs, lackingIn } from './CallFields'
import { PracticeBar } from './PracticeBar'
import { fieldCasesQuery } from './queries'
import { TaxonName } from './shown'

/** A settled case by its photos: called first, then what stands and what its readers read. */
export function FieldCasePage() {
  const { caseId = '' } = useParams()
  const cases = useQuery(fieldCasesQuery)
  const one = cases.data?.find((other) => other.caseId === caseId)
  const sheet = useQuery({ ...sheetQuery(one?.versionId ?? ''), enabled: one !== undefined })
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <PageTitle>Practice: a case from the field</PageTitle>
      <PracticeBar />
      <div className="relative min-h-0 flex-1 overflow-y-auto p-4">
        {cases.isPending && <OnItsWay of={cases}>Fetching the photos …</OnItsWay>}
        {cases.isError && !cases.data && <Notice tone="wrong">{wordsOf(cases.error)}</Notice>}
        {sheet.isError && <Notice tone="wrong">{wordsOf(sheet.error)}</Notice>}
        {cases.data && !one && (
          <Notice tone="wrong">This case is not open to you: you had a part in it, or it is withheld.</Notice>
        )}
        {one && sheet.data && <Case key={caseId} one={one} sheet={sheet.data} />}
      </div>
    </main>
  )
}

function Case({ one, sheet }: { readonly one: FieldCase; readonly sheet: Sheet }) {
  const queries = useQueryClient()
  const [named, setNamed] = useKeptText(`practice.${one.caseId}.named`)
  const [sure, setSure] = useKeptText(`practice.${one.caseId}.sure`)
  const [asked, setAsked] = useState(false)
  const lacks = lackingIn(named, sure)
  const [id] = useState(() => crypto.randomUUID())
  const calling = useMutation({
    mutationFn: async () =>
      dataOf(
        await api.PUT('/api/practice/cases/{caseId}/tries/{tryId}', {
          params: { path: { caseId: one.caseId, tryId: id } },
          body: {
            endedAt: new Date().toISOString(),
            ...calledAs(named, sure),
          },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['practice'] }),
  })
  const result = calling.data ?? one.result
  const characterOf = (character: string | null | undefined) =>
    sheet.characters.find((other) => other.id === character)?.name ?? 'the tree'
  return (
    <div className="mx-auto grid w-full max-w-5xl gap-4">
      <h1 className="text-2xl">
        {sheet.title}: a {one.stage} tree, {monthName(one.month)}
      </h1>
      <ul className="flex flex-wrap gap-3">
        {one.photos.map((photo) => (
          <li key={photo.id}>
            <a href={photoAddress(one.surveyId, one.treeId, photo.id)} target="_blank" rel="noreferrer">
              <img
                src={photoAddress(one.surveyId, one.treeId, photo.id)}
                alt={`Photo: ${characterOf(photo.character)}`}
                className="h-64 rounded-plain border border-line"
              />
              <span className="text-sm">{characterOf(photo.character)}</span>
            </a>
          </li>
        ))}
      </ul>
      {result ? (
        <Settled result={result} sheet={sheet} />
      ) : (
        <form
          aria-label="Your call"
          className="grid max-w-xl gap-3"
          onSubmit={(event) => {
            event.preventDefault()
            setAsked(true)
            if (lacks === undefined) calling.mutate()
          }}
        >
          <CallFields sheet={sheet} named={named} onName={setNamed} sure={sure} onSure={setSure} />
          {asked && lacks && <Notice tone="wrong">{lacks}</Notice>}
          {calling.isError && <Notice tone="wrong">{wordsOf(calling.error)}</Notice>}
          <Button type="submit" look="main" disabled={calling.isPending}>
            Call it, and see
          </Button>
        </form>
      )}
    </div>
  )
}

function Settled({ result, sheet }: { readonly result: FieldResult; readonly sheet: Sheet }) {
  return (
    <section className="grid gap-3 rounded-plain border-2 border-ink bg-card p-4">
      <h2 className="text-xl">
        {result.verdict === 'right' ? 'Right' : result.verdict === 'wrong' ? 'Wrong' : 'Left open'}: it stands
        as <TaxonName sheet={sheet} id={result.truth} />
      </h2>
      <div className="grid gap-4 sm:grid-cols-2">
        {result.readers.map((reader) => (
          <div key={reader.callSign}>
            <h3 className="text-base">
              {reader.callSign} named{' '}
              {reader.taxonId ? <TaxonName sheet={sheet} id={reader.taxonId} /> : 'nothing'}
            </h3>
            <ul className="text-sm">
              {reader.readings.map((reading) => {
                const character = sheet.characters.find((other) => other.id === reading.character)
                return (
                  character && (
                    <li key={reading.character} className="border-b border-line">
                      {character.name}: <strong>{wordsOfReading(character, reading)}</strong>
                    </li>
                  )
                )
              })}
            </ul>
          </div>
        ))}
      </div>
      <Link
        to={`/surveys/${result.surveyId}/review/${result.caseId}`}
        className="min-h-11 content-center font-semibold text-thistle underline"
      >
        The whole case
      </Link>
    </section>
  )
}
