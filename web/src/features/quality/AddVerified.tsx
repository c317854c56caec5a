import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { groupsQuery } from '../../api/groups'
import { wordsOf } from '../../api/problem'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { addVerified, lessonsQuery } from './queries'

/** Takes in a file of trees from elsewhere whose taxon is known. */
export function AddVerified({ surveyId }: { readonly surveyId: string }) {
  const client = useQueryClient()
  const groups = useQuery(groupsQuery)
  const [chosen, setChosen] = useState<string>()
  const groupId = chosen ?? groups.data?.[0]?.groupId ?? ''
  const add = useMutation({
    mutationFn: (file: File) => addVerified(groupId, file),
    onSuccess: () => client.invalidateQueries({ queryKey: lessonsQuery(surveyId).queryKey }),
  })
  return (
    <section aria-label="Add verified trees" className="mt-4 rounded-plain border border-line bg-card p-4">
      <h2 className="text-lg">Add trees from elsewhere</h2>
      <p className="max-w-prose">
        A file of specimens, each with its <code>truth</code>: trees of a nursery, of a herbarium, or that a
        laboratory named. The format is the one of worked specimens; a file that does not fit is refused
        whole.
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Choice
          label="Group"
          options={(groups.data ?? []).map((one) => ({ value: one.groupId, text: one.title }))}
          value={groupId}
          onChange={setChosen}
        />
        <label className="font-semibold">
          File of specimens (JSON)
          <input
            type="file"
            accept=".json,application/json"
            disabled={groupId === '' || add.isPending}
            className="mt-1 block min-h-11 file:mr-3 file:min-h-11 file:rounded-plain file:border file:border-ink file:bg-card file:px-4 file:font-semibold"
            onChange={(event) => {
              const file = event.target.files?.[0]
              if (file) add.mutate(file)
              event.target.value = ''
            }}
          />
        </label>
      </div>
      {add.isPending && <p role="status">Reading the trees …</p>}
      {add.isSuccess && <p role="status">Added. The figures above count them now.</p>}
      {add.isError && <Notice tone="wrong">{wordsOf(add.error)}</Notice>}
    </section>
  )
}
