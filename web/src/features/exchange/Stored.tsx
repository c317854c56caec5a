import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { wordsOf } from '../../api/problem'
import { Confirm } from '../../ui/Confirm'
import { Notice } from '../../ui/Notice'
import { counted, dayAndTime } from '../../ui/words'
import { storedQuery, takeImportBack } from './queries'

/** The files that were stored; each can be taken back as long as nobody went on with what it brought. */
export function Stored({ surveyId }: { readonly surveyId: string }) {
  const queries = useQueryClient()
  const stored = useQuery(storedQuery(surveyId))
  const back = useMutation({
    mutationFn: (importId: string) => takeImportBack(surveyId, importId),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['surveys', surveyId] }),
  })
  if (stored.isError) return <Notice tone="wrong">{wordsOf(stored.error)}</Notice>
  if (!stored.data?.length && !back.isSuccess) return null
  return (
    <section aria-label="Stored before" className="grid gap-2">
      <h2 className="text-lg">Stored before</h2>
      {back.isError && <Notice tone="wrong">{wordsOf(back.error)}</Notice>}
      {back.isSuccess && <Notice tone="plain">{back.data.told}</Notice>}
      <ul className="divide-y divide-line border-y border-line bg-card">
        {stored.data?.map(({ id, name, plots, trees, storedAt }) => (
          <li key={id} className="flex flex-wrap items-center justify-between gap-2 px-3 py-2">
            <span>
              <strong className="break-all">{name}</strong>: {counted(plots, 'new plot')},{' '}
              {counted(trees, 'tree')}, {dayAndTime(storedAt)}
            </span>
            <Confirm words="Take it back" disabled={back.isPending} onConfirm={() => back.mutate(id)}>
              {counted(plots, 'plot')} and {counted(trees, 'tree')} that “{name}” brought are struck from the
              survey again, unless somebody has read or changed one of them.
            </Confirm>
          </li>
        ))}
      </ul>
    </section>
  )
}
