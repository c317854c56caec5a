import { useMutation } from '@tanstack/react-query'
import { api, dataOf } from '../../api/client'
import { wordsOf } from '../../api/problem'
import type { EarlierSeason } from '../../api/types'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'

type Props = { readonly surveyId: string; readonly treeId: string }

/** What the same tree was in earlier seasons, for whoever asks: it takes from them that they read it blind. */
export function EarlierSeasons({ surveyId, treeId }: Props) {
  const ask = useMutation({
    mutationFn: async () =>
      dataOf(
        await api.GET('/api/surveys/{surveyId}/season/trees/{treeId}/earlier', {
          params: { path: { surveyId, treeId } },
        }),
      ),
  })
  return (
    <section aria-label="Earlier seasons" className="mt-4">
      <h3 className="text-lg">Earlier seasons</h3>
      {ask.data ? (
        <ul>
          {ask.data.length === 0 && <li>No earlier season has a tree of this plot and tag.</li>}
          {ask.data.map((one) => (
            <li key={`${one.season} ${one.survey}`}>
              <strong className="figure">{one.season}</strong>, {one.survey}: {standing(one)}
            </li>
          ))}
        </ul>
      ) : (
        <>
          <p className="mb-1">
            Nothing of an earlier season weighs in this one. Whoever asks has seen a call of this tree, and is
            not counted as reading it blind.
          </p>
          <Button disabled={ask.isPending} onClick={() => ask.mutate()}>
            What was it called?
          </Button>
        </>
      )}
      {ask.isError && <Notice tone="wrong">{wordsOf(ask.error)}</Notice>}
    </section>
  )
}

function standing({ standsAs, name, contested, reviewed }: EarlierSeason): string {
  if (standsAs === 'plain') return 'nobody doubted it'
  if (!name) return 'nobody signed it'
  return `${name}${reviewed ? ', settled by a review' : contested ? ', contested' : ''}`
}
