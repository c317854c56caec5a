import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useNavigate, useParams } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import type { PracticeSet, Sheet } from '../../api/types'
import { takeUp, useTries } from '../../common/practice/practiceStore'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { percent } from '../../ui/words'
import { PracticeBar } from './PracticeBar'
import { closeSet, setQuery } from './queries'
import { Side, TaxonName } from './shown'

/** A set that a crew calls together: the trees to call, and once it is closed what came of them, to hang on the wall. */
export function SetPage() {
  const { surveyId = '', setId = '' } = useParams()
  const set = useQuery(setQuery(surveyId, setId))
  const sheet = useQuery({ ...sheetQuery(set.data?.versionId ?? ''), enabled: set.data !== undefined })
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <PageTitle>Practice: calling together</PageTitle>
      <PracticeBar />
      <div className="relative min-h-0 flex-1 overflow-y-auto p-4 print:overflow-visible">
        <div className="mx-auto grid w-full max-w-4xl gap-4">
          {(set.isError || sheet.isError) && (
            <Notice tone="wrong">{wordsOf(set.error ?? sheet.error)}</Notice>
          )}
          {!set.data && !set.isError && <OnItsWay of={set}>Fetching the set …</OnItsWay>}
          {set.data && sheet.data && <Open surveyId={surveyId} set={set.data} sheet={sheet.data} />}
        </div>
      </div>
    </main>
  )
}

type Props = { readonly surveyId: string; readonly set: PracticeSet; readonly sheet: Sheet }

function Open({ surveyId, set, sheet }: Props) {
  const observer = useObserver()
  const navigate = useNavigate()
  const queries = useQueryClient()
  const called = useTries(observer.callSign).filter((one) => one.setId === set.id && one.called)
  const next = set.trees.find((tree) => !called.some((one) => one.seed === tree.seed))
  const closing = useMutation({
    mutationFn: () => closeSet(surveyId, set.id),
    onSuccess: (closed) => queries.setQueryData(setQuery(surveyId, set.id).queryKey, closed),
  })
  return (
    <>
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <div className="min-w-60 flex-1">
          <h1 className="text-2xl">Calling together: {set.groupTitle}</h1>
          <p>
            {set.readers.length === 0
              ? 'Nobody has called a tree yet.'
              : `${set.readers.map((one) => `${one.callSign} ${one.called}`).join(', ')}, of ${set.trees.length} trees.`}
          </p>
        </div>
        {!set.closedAt && next && (
          <Button
            look="main"
            onClick={() =>
              navigate(
                `/practice/trees/${takeUp(observer.callSign, { ...next, versionId: set.versionId, groupId: set.groupId, setId: set.id, surveyId })}`,
              )
            }
          >
            Call tree {set.trees.indexOf(next) + 1} of {set.trees.length}
          </Button>
        )}
        {!set.closedAt && observer.role === 'lead' && (
          <Button disabled={closing.isPending} onClick={() => closing.mutate()}>
            That is all: close it
          </Button>
        )}
        {set.closedAt && (
          <Button className="print:hidden" onClick={() => window.print()}>
            Print it
          </Button>
        )}
      </header>
      {closing.isError && <Notice tone="wrong">{wordsOf(closing.error)}</Notice>}
      {!set.closedAt && !next && (
        <Notice tone="plain">You have called all of them. The lead closes the set.</Notice>
      )}
      {set.closedAt && <Closed set={set} sheet={sheet} />}
    </>
  )
}

function Closed({ set, sheet }: { readonly set: PracticeSet; readonly sheet: Sheet }) {
  return (
    <>
      <section>
        <h2 className="text-lg">Look at these again</h2>
        {set.worst.length === 0 && <p>Everything was read as it is.</p>}
        <ol className="grid gap-3">
          {set.worst.map((one) => {
            const character = sheet.characters.find((other) => other.id === one.character)
            return (
              character && (
                <li
                  key={one.character}
                  className="break-inside-avoid rounded-plain border border-line bg-card p-3"
                >
                  <p>
                    <strong>{character.name}</strong>: {percent(one.right / one.looks)} of {one.looks} looks
                    read as they are
                  </p>
                  {one.shown !== '' && (
                    <div className="mt-2 flex items-center gap-3">
                      <Side character={character} id={one.shown} words="it was" />
                      <span aria-hidden className="text-2xl">
                        →
                      </span>
                      <Side character={character} id={one.read} words="most often read" />
                    </div>
                  )}
                  <p className="mt-1 leading-snug">{character.howTo}</p>
                </li>
              )
            )
          })}
        </ol>
      </section>
      <section>
        <h2 className="text-lg">The trees</h2>
        <table className="w-full text-left">
          <thead>
            <tr className="border-b-2 border-ink">
              <th scope="col">tree</th>
              <th scope="col">it is</th>
              <th scope="col">right</th>
              <th scope="col">wrong</th>
              <th scope="col">open</th>
            </tr>
          </thead>
          <tbody>
            {set.results.map((one) => (
              <tr key={one.seed} className="border-b border-line">
                <th scope="row" className="figure">
                  {set.trees.findIndex((tree) => tree.seed === one.seed) + 1}
                </th>
                <td>
                  <TaxonName sheet={sheet} id={one.truth} />
                </td>
                <td className="figure">{one.right}</td>
                <td className="figure">{one.wrong}</td>
                <td className="figure">{one.open}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </>
  )
}
