import { useQueries, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { groupsQuery } from '../../api/groups'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import type { Sheet } from '../../api/types'
import { outermost, valueOn } from '../../common/bench/rulerScale'
import { Drawing } from '../../ui/Drawing'
import { Notice } from '../../ui/Notice'
import { PageTitle } from '../../ui/PageTitle'
import { measured } from '../../ui/words'

/** All drawings, by group and character, with their words. */
export function GalleryPage() {
  const groups = useQuery(groupsQuery)
  const sheets = useQueries({ queries: (groups.data ?? []).map((group) => sheetQuery(group.versionId)) })
  const shown = useGrowing(sheets.length)
  const failed = groups.error ?? sheets.find((one) => one.error)?.error
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4 print:overflow-visible">
      <div className="mx-auto w-full max-w-6xl">
        <Link to="/groups" className="inline-flex min-h-11 items-center font-semibold text-thistle underline">
          All groups
        </Link>
        <PageTitle>All drawings</PageTitle>
        <h1 className="text-2xl">All drawings</h1>
        {failed && <Notice tone="wrong">{wordsOf(failed)}</Notice>}
        {sheets.some((one) => one.isPending) && <p role="status">Fetching the sheets …</p>}
        <nav aria-label="Groups on this page" className="my-2 flex flex-wrap gap-x-4">
          {sheets.map(
            ({ data }) =>
              data && (
                <a
                  key={data.groupId}
                  href={`#${data.groupId}`}
                  className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
                >
                  {data.groupId}
                </a>
              ),
          )}
        </nav>
        {sheets.slice(0, shown).map(({ data }) => data && <Group key={data.groupId} sheet={data} />)}
      </div>
    </main>
  )
}

/** Counts up to a number, one a frame, so that the first group is there at once and the page never stands still. */
function useGrowing(to: number): number {
  const [shown, setShown] = useState(1)
  useEffect(() => {
    if (shown >= to) return
    const next = requestAnimationFrame(() => setShown(shown + 1))
    return () => cancelAnimationFrame(next)
  }, [shown, to])
  return shown
}

const ROW = 'grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-2'
const GATE = [
  ['draw', 'fits'],
  ['drawOtherwise', 'fails'],
] as const
const TILE = 'rounded-plain border border-line bg-card p-2'

function Group({ sheet }: { readonly sheet: Sheet }) {
  return (
    <section id={sheet.groupId} aria-label={sheet.title}>
      <h2 className="mt-6 mb-2 border-b-2 border-ink text-xl">{sheet.title}</h2>
      {sheet.gate.map((item) => (
        <div key={item.id} className="gallery-row mb-4">
          <h3 className="mb-1 text-base">Gate: {item.name}</h3>
          <ul className={ROW}>
            {GATE.map(
              ([key, words]) =>
                item[key] && (
                  <li key={key} className={TILE}>
                    <Drawing hint={item[key]} className="drawn h-32 w-full" />
                    <span className="mt-1 block text-sm leading-snug">{words}</span>
                  </li>
                ),
            )}
          </ul>
        </div>
      ))}
      {sheet.characters.map((character) => (
        <div key={character.id} className="gallery-row mb-4">
          <h3 className="mb-1 text-base">{character.name}</h3>
          <ul className={ROW}>
            {character.states.map((state) => (
              <li key={state.id} className={TILE}>
                {state.draw && <Drawing hint={state.draw} className="drawn h-32 w-full" />}
                <span className="mt-1 block text-sm leading-snug">{state.name}</span>
              </li>
            ))}
            {character.figure &&
              outermost(character).map((value) => (
                <li key={value} className={TILE}>
                  {character.figure && (
                    <Drawing
                      hint={character.figure}
                      value={valueOn(character, value)}
                      className="drawn h-32 w-full"
                    />
                  )}
                  <span className="figure mt-1 block text-sm">{measured(value, character.unit)}</span>
                </li>
              ))}
          </ul>
        </div>
      ))}
    </section>
  )
}
