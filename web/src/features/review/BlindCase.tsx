import { useMutation, useQueryClient } from '@tanstack/react-query'
import { EyeOff } from 'lucide-react'
import { Link, useNavigate } from 'react-router'
import { Problem, wordsOf } from '../../api/problem'
import type { ReviewCase } from '../../api/types'
import { photoAddress } from '../../common/bench/queries'
import { caseQuery, sendTaken } from '../../common/review/queries'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Stuck } from './Stuck'

/** The way into a blind reading: the tree, what to read above all, and nothing of what others made of it. */
export function BlindCase({ it }: { readonly it: ReviewCase }) {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const bench = `/surveys/${it.surveyId}/trees/${it.treeId}`
  const take = useMutation({
    mutationFn: (up: boolean) => sendTaken(it.surveyId, it.id, up),
    onSuccess: (now, up) => {
      queries.setQueryData(caseQuery(it.surveyId, it.id).queryKey, now)
      queries.invalidateQueries({ queryKey: ['surveys', it.surveyId, 'review'] })
      if (up) navigate(bench)
    },
  })
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <section aria-label="Blind reading" className="rounded-plain border border-line bg-card p-4">
        <h2 className="flex items-center gap-2 text-xl">
          <EyeOff aria-hidden className="size-6" />
          {headingOf(it)}
        </h2>
        {it.stuck ? (
          <div className="my-2">
            <Stuck it={it} />
          </div>
        ) : (
          <p className="my-2 max-w-prose">
            {it.seenBefore
              ? 'You were shown what others made of this tree, on a list, at the table or in a file, so your reading would not be blind. Leave it to somebody who was not.'
              : 'Somebody has signed this tree, and your reading is to check theirs. What they read, what they called it and how sure they were is not sent to you until you have signed. Read it as if nobody had.'}
          </p>
        )}
        <p className="mb-3">
          {it.diameterMillimetres} mm at breast height, one of the {it.groupId.replaceAll('-', ' ')}.
        </p>
        {take.isError && <Taken error={take.error} surveyId={it.surveyId} />}
        {it.mine && (
          <div className="flex flex-wrap gap-2">
            <Button look="main" onClick={() => navigate(bench)}>
              Go on with it on the Bench
            </Button>
            <Button onClick={() => take.mutate(false)} disabled={take.isPending}>
              Leave it to somebody else
            </Button>
          </div>
        )}
        {!it.mine && !it.stuck && !it.seenBefore && (
          <>
            <Button look="main" onClick={() => take.mutate(true)} disabled={!it.mayRead || take.isPending}>
              Take it and open the Bench
            </Button>
            {!it.mayRead && (
              <p className="mt-2 text-quiet">
                {it.closed ? 'This survey is closed.' : `${it.takenBy} is reading it now.`}
              </p>
            )}
          </>
        )}
      </section>
      <aside className="grid content-start gap-4">
        {(it.mayRead || it.mine) && it.proposal && it.proposal.characters.length > 0 && (
          <section aria-label="What would settle it" className="rounded-plain border border-line bg-card p-4">
            <h2 className="text-base">If there is no time for all</h2>
            <p className="text-quiet">
              {it.proposal.enough
                ? 'these can be expected to settle it, the strongest first:'
                : 'these bring most of what can be read, though hardly enough:'}
            </p>
            <ol className="mt-1 list-decimal pl-6">
              {it.proposal.characters.map((name) => (
                <li key={name}>{name}</li>
              ))}
            </ol>
          </section>
        )}
        {it.photos.length > 0 && (
          <section aria-label="Photos of the tree">
            <h2 className="mb-1 text-base">Photos of the tree</h2>
            <ul className="flex flex-wrap gap-2">
              {it.photos.map((id, i) => (
                <li key={id}>
                  <img
                    src={photoAddress(it.surveyId, it.treeId, id)}
                    alt={`No. ${i + 1}`}
                    className="h-28 rounded-plain border border-ink"
                  />
                </li>
              ))}
            </ul>
          </section>
        )}
      </aside>
    </div>
  )
}

function headingOf(it: ReviewCase): string {
  if (it.stuck) return 'Nobody can read it blind any more'
  return it.seenBefore ? 'Not yours to read blind' : 'Read it without knowing'
}

/** Somebody else was quicker: the next case is one step away. */
function Taken({ error, surveyId }: { readonly error: Error; readonly surveyId: string }) {
  const next = error instanceof Problem ? (error.kept as { next?: string } | undefined)?.next : undefined
  return (
    <Notice tone="wrong">
      {wordsOf(error)}{' '}
      {next && (
        <Link to={`/surveys/${surveyId}/review/${next}`} className="font-semibold underline">
          The next case
        </Link>
      )}
    </Notice>
  )
}
