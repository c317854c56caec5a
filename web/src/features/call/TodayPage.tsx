import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import type { TreeRow } from '../../api/types'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { counted, percent } from '../../ui/words'
import { signedWords } from './outcomeWords'
import { Permissions } from './Permissions'
import { surveysQuery, treesQuery } from './queries'
import { Thistle } from './Thistle'

/** The trees of a survey that are easily mistaken for another taxon. */
export function TodayPage() {
  const observer = useObserver()
  const surveys = useQuery(surveysQuery)
  const [chosen, setChosen] = useState<string>()
  const survey = surveys.data?.find((one) => one.id === chosen) ?? surveys.data?.[0]

  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-5xl">
        {surveys.isError && <Notice tone="wrong">{wordsOf(surveys.error)}</Notice>}
        {surveys.data?.length === 0 && (
          <Notice tone="plain">You do not belong to a survey yet. Its lead adds you to one.</Notice>
        )}
        {survey && (
          <>
            <div className="my-2 flex flex-wrap items-end justify-between gap-3">
              <div>
                <h1 className="text-2xl">{survey.name}</h1>
                <p className="text-quiet">
                  Season {survey.season}. These trees belong to groups that are easily mistaken.
                </p>
              </div>
              {surveys.data && surveys.data.length > 1 && (
                <OneOf
                  label="Survey"
                  options={surveys.data.map((one) => ({
                    value: one.id,
                    text: one.name.split(',')[0] ?? one.name,
                  }))}
                  value={survey.id}
                  onChange={setChosen}
                />
              )}
            </div>
            {observer.role === 'lead' && <Permissions survey={survey} />}
            <Trees surveyId={survey.id} />
          </>
        )}
      </div>
    </main>
  )
}

function Trees({ surveyId }: { readonly surveyId: string }) {
  const trees = useQuery(treesQuery(surveyId))
  if (trees.isError) return <Notice tone="wrong">{wordsOf(trees.error)}</Notice>
  if (!trees.data) return <p role="status">Fetching the trees …</p>
  const plots = Map.groupBy(trees.data, (tree) => tree.plotCode)
  return [...plots].map(([plot, rows]) => (
    <section key={plot} className="mt-4" aria-label={plot}>
      <h2 className="mb-1 text-lg">{plot}</h2>
      <ul className="divide-y divide-line border-y border-line bg-card">
        {rows.map((tree) => (
          <li key={tree.id}>
            <Row surveyId={surveyId} tree={tree} />
          </li>
        ))}
      </ul>
    </section>
  ))
}

function Row({ surveyId, tree }: { readonly surveyId: string; readonly tree: TreeRow }) {
  return (
    <Link
      to={`/surveys/${surveyId}/trees/${tree.id}`}
      className="grid min-h-14 items-center gap-x-4 px-3 py-2 hover:bg-thistle-wash sm:grid-cols-[4.5rem_1fr_1fr]"
    >
      <span className="figure text-lg font-bold">{tree.tag}</span>
      <span>
        <span className="font-semibold">{tree.groupTitle}</span>
        <span className="block text-sm text-quiet">
          {tree.elsewhere ? 'moved here by you from another group; ' : ''}
          {tree.stage}, {(tree.diameterMillimetres / 10).toFixed(0)} cm through
        </span>
      </span>
      <span className="flex items-center gap-3">
        {tree.thistle && (
          <Thistle figures={tree.thistle} signed={tree.signed.length > 0} className="size-11 shrink-0" />
        )}
        <span>
          {tree.signed.map((signed) => (
            <span key={signed.observer} className="block font-semibold text-moss">
              {signed.observer} {signedWords(signed)}
            </span>
          ))}
          {tree.thistle ? (
            <span className="block text-sm text-quiet">
              you: {counted(tree.readings, 'reading')}, {tree.thistle.leadName} at{' '}
              {percent(tree.thistle.share)}
            </span>
          ) : (
            tree.signed.length === 0 && <span className="text-quiet">not read yet</span>
          )}
        </span>
      </span>
    </Link>
  )
}
