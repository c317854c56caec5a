import { useState } from 'react'
import { useKeptText } from '../../api/kept'
import { limits } from '../../api/limits'
import type { Bench, Character, Sheet } from '../../api/types'
import { useEnter } from '../../common/bench/useEnter'
import { Button } from '../../ui/Button'

type Props = { readonly bench: Bench; readonly sheet: Sheet; readonly character: Character }

/** The observer's own note on a character: what they go by, for their eyes alone. */
export function MemoryAid({ bench, sheet, character }: Props) {
  const kept = bench.memoryAids[character.id] ?? ''
  const [draft, setDraft] = useKeptText(`aid.${sheet.groupId}.${character.id}`)
  const [open, setOpen] = useState(draft !== '')
  const [asked, setAsked] = useState(false)
  const enter = useEnter(bench.tree)
  const keepNote = () => {
    enter({ kind: 'aid', groupId: sheet.groupId, characterId: character.id, body: draft })
    setDraft('')
    setOpen(false)
  }
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
      <div className="flex gap-2">
        <Button onClick={keepNote}>Keep the note</Button>
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
