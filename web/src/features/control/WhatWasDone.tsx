import { type FormEvent, useState } from 'react'
import type { Work } from '../../api/codes'
import { WORKS } from '../../api/codes'
import { useKeptText } from '../../api/kept'
import { limits } from '../../api/limits'
import { useObserver } from '../../api/observer'
import type { ControlCard } from '../../api/types'
import { sayDone } from '../../common/control/lookStore'
import { workWords } from '../../common/control/words'
import { Button } from '../../ui/Button'

type Props = { readonly card: ControlCard; readonly confirmed: boolean }

/** Today where this device is, as a field for dates holds it. */
function today(): string {
  return new Date().toLocaleDateString('sv-SE')
}

/** What was done with the tree, recorded afterwards. */
export function WhatWasDone({ card, confirmed }: Props) {
  const observer = useObserver().callSign
  const [what, setWhat] = useState<Work>()
  const [day, setDay] = useState(today)
  const [note, setNote] = useKeptText(`work.${card.treeId}`)
  const record = (event: FormEvent) => {
    event.preventDefault()
    if (!what || day === '') return
    sayDone(observer, card, {
      treeId: card.treeId,
      after: card.work?.id ?? null,
      what,
      doneOn: day,
      note,
    })
    setNote('')
    setWhat(undefined)
  }
  return (
    <form onSubmit={record} aria-label="What was done" className="my-4 grid gap-3 border-t border-ink pt-3">
      <h2 className="text-xl">What was done</h2>
      {card.work && (
        <p>
          {workWords(card.work.what)}, {card.work.doneOn}, says {card.work.by}
          {card.work.note && `: “${card.work.note}”`}
        </p>
      )}
      {!confirmed && (
        <p className="text-quiet">
          Its last look has not confirmed it. If something was done all the same, record it as it was.
        </p>
      )}
      <fieldset className="grid grid-cols-2 gap-2">
        <legend className="sr-only">What was done</legend>
        {WORKS.map((one) => (
          <label
            key={one}
            className="flex min-h-12 items-center gap-2 rounded-plain border border-edge bg-card px-3 has-checked:border-ink has-checked:ring-2 has-checked:ring-ink"
          >
            <input
              type="radio"
              name="what"
              className="size-5 accent-thistle"
              checked={what === one}
              onChange={() => setWhat(one)}
            />
            <span className="first-letter:uppercase">{workWords(one)}</span>
          </label>
        ))}
      </fieldset>
      <div className="flex flex-wrap gap-3">
        <label className="grid font-semibold">
          On
          <input
            type="date"
            className="figure min-h-12 rounded-plain border border-edge bg-card px-3"
            value={day}
            onChange={(event) => setDay(event.target.value)}
          />
        </label>
        <label className="grid min-w-48 flex-1 font-semibold">
          Note
          <input
            className="min-h-12 rounded-plain border border-edge bg-card px-3"
            value={note}
            maxLength={limits.NewWork.note.longest}
            onChange={(event) => setNote(event.target.value)}
          />
        </label>
      </div>
      <Button type="submit" disabled={!what || day === ''} className="min-h-12 w-fit">
        Record it
      </Button>
    </form>
  )
}
