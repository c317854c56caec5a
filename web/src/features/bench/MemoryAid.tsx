import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useKeptText } from '../../api/kept'
import { limits } from '../../api/limits'
import { wordsOf } from '../../api/problem'
import type { Bench, Character, Sheet } from '../../api/types'
import { benchQuery, sendMemoryAid } from '../../common/bench/queries'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'

type Props = { readonly bench: Bench; readonly sheet: Sheet; readonly character: Character }

/** The observer's own note on a character: what they go by, for their eyes alone. */
export function MemoryAid({ bench, sheet, character }: Props) {
  const queries = useQueryClient()
  const kept = bench.memoryAids[character.id] ?? ''
  const [draft, setDraft] = useKeptText(`aid.${sheet.groupId}.${character.id}`)
  const [open, setOpen] = useState(draft !== '')
  const [asked, setAsked] = useState(false)
  const { surveyId, id: treeId } = bench.tree
  const change = useMutation({
    mutationFn: (body: string) => sendMemoryAid(sheet.groupId, character.id, body),
    onSuccess: async () => {
      await queries.invalidateQueries(benchQuery(surveyId, treeId))
      setDraft('')
      setOpen(false)
    },
  })
  if (!open) {
    return (
      <p className="flex min-h-11 flex-wrap items-center gap-x-3">
        {kept && (
          <span className="rounded-plain border-l-4 border-thistle bg-thistle-wash px-3 py-1">
            <span className="sr-only">Your note: </span>
            {kept}
          </span>
        )}
        <Button
          look="quiet"
          className="px-0!"
          onClick={() => {
            setDraft(kept)
            setAsked(true)
            setOpen(true)
          }}
        >
          {kept ? 'Change your note' : 'Note something for yourself'}
        </Button>
      </p>
    )
  }
  return (
    <div className="grid gap-2">
      <label className="font-semibold">
        Your own note on this check; nobody else sees it
        <textarea
          className="mt-1 block w-full rounded-plain border border-edge bg-card p-2 font-normal"
          rows={2}
          // biome-ignore lint/a11y/noAutofocus: it opens because its button was pressed, and what is typed next belongs in it
          autoFocus={asked}
          maxLength={limits.Note.body.longest}
          value={draft}
          onChange={(event) => setDraft(event.target.value)}
        />
      </label>
      {change.isError && <Notice tone="wrong">{wordsOf(change.error)}</Notice>}
      <div className="flex gap-2">
        <Button onClick={() => change.mutate(draft)} disabled={change.isPending}>
          Keep the note
        </Button>
        <Button
          look="quiet"
          onClick={() => {
            setDraft('')
            setOpen(false)
          }}
        >
          Leave it
        </Button>
      </div>
    </div>
  )
}
