import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { keep, readKept, useKeptText } from '../../api/kept'
import { wordsOf } from '../../api/problem'
import type { Bench, Sheet as GroupSheet } from '../../api/types'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { percent } from '../../ui/words'
import { benchQuery, sendDetermination, treesQuery } from './queries'

const GROUP_ONLY = 'group'

type Props = { readonly bench: Bench; readonly sheet: GroupSheet; readonly waiting: number }

/** Signing the call: what will stand, in whose name, with which note. */
export function SignPanel({ bench, sheet, waiting }: Props) {
  const [open, setOpen] = useState(false)
  const balance = bench.figures.withSurroundings
  const lead = sheet.taxa.find((one) => one.id === balance.lead)
  const read = balance.points.length > 0
  return (
    <div className="grid gap-2">
      <Button look="main" disabled={waiting > 0} onClick={() => setOpen(true)}>
        {waiting > 0
          ? 'Sign when all is sent'
          : read
            ? `Sign ${lead?.commonName ?? ''}`
            : 'Record the group only'}
      </Button>
      <Sheet title="What will stand" open={open} onOpenChange={setOpen}>
        <SignForm bench={bench} sheet={sheet} onDone={() => setOpen(false)} />
      </Sheet>
    </div>
  )
}

function SignForm({ bench, sheet, onDone }: Omit<Props, 'waiting'> & { readonly onDone: () => void }) {
  const queries = useQueryClient()
  const { surveyId, id: treeId } = bench.tree
  const balance = bench.figures.withSurroundings
  const read = balance.points.length > 0
  const [choice, setChoice] = useState<string>(read ? balance.lead : GROUP_ONLY)
  const [note, setNote] = useKeptText(`note.${treeId}`)
  const idKey = `signing.${treeId}`
  const sign = useMutation({
    mutationFn: async () => {
      // one id a signature, kept until it is answered, so that a retry does not sign twice
      const id = readKept(idKey, '') || crypto.randomUUID()
      keep(idKey, id)
      try {
        return await sendDetermination(surveyId, treeId, id, {
          ...(choice === GROUP_ONLY ? {} : { taxonId: choice }),
          note,
          readingIds: bench.readings.map((one) => one.id),
        })
      } catch (error) {
        if (error instanceof Error && error.name === 'Problem') keep(idKey, undefined)
        throw error
      }
    },
    onSuccess: (answer) => {
      keep(idKey, undefined)
      setNote('')
      queries.setQueryData(benchQuery(surveyId, treeId).queryKey, answer)
      queries.invalidateQueries(treesQuery(surveyId))
      onDone()
    },
    onError: () => queries.invalidateQueries(benchQuery(surveyId, treeId)),
  })
  return (
    <form
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        sign.mutate()
      }}
    >
      <fieldset className="grid gap-1">
        <legend className="mb-1 font-semibold">This tree is</legend>
        {sheet.taxa.map((taxon, i) => (
          <Choice
            key={taxon.id}
            value={taxon.id}
            chosen={choice}
            onChoose={setChoice}
            disabled={!read}
            name={taxon.commonName}
            scientific={taxon.scientificName}
            figure={percent(balance.shares[i]?.posterior ?? 0)}
          />
        ))}
        <Choice
          value={GROUP_ONLY}
          chosen={choice}
          onChoose={setChoice}
          name={sheet.fallback.commonName}
          scientific={sheet.fallback.scientificName}
          figure="group only"
        />
      </fieldset>
      {choice !== GROUP_ONLY && choice !== balance.lead && (
        <Notice tone="waiting">
          The readings speak for another taxon. Say in the note why you sign this one all the same.
        </Notice>
      )}
      <label className="font-semibold">
        Note
        <textarea
          className="mt-1 block min-h-24 w-full rounded-plain border border-edge bg-card p-3 font-normal"
          value={note}
          onChange={(event) => setNote(event.target.value)}
          maxLength={4000}
        />
      </label>
      <p className="text-quiet">
        Signed with {bench.readings.length} readings on version {bench.sheetVersion} of the sheet. It stays as
        it is; a later signature of yours supersedes it.
      </p>
      {sign.isError && <Notice tone="wrong">{wordsOf(sign.error)}</Notice>}
      <Button type="submit" look="main" disabled={sign.isPending}>
        Sign
      </Button>
    </form>
  )
}

type ChoiceProps = {
  readonly value: string
  readonly chosen: string
  readonly onChoose: (value: string) => void
  readonly disabled?: boolean
  readonly name: string
  readonly scientific: string
  readonly figure: string
}

function Choice({ value, chosen, onChoose, disabled = false, name, scientific, figure }: ChoiceProps) {
  return (
    <label
      className={`flex min-h-11 items-center gap-3 rounded-plain border px-3 ${chosen === value ? 'border-ink bg-card font-bold' : 'border-line'} ${disabled ? 'text-quiet' : ''}`}
    >
      <input
        type="radio"
        name="taxon"
        className="size-5 accent-thistle"
        value={value}
        checked={chosen === value}
        disabled={disabled}
        onChange={() => onChoose(value)}
      />
      <span className="flex-1">
        {name} <span className="scientific font-normal text-quiet">{scientific}</span>
      </span>
      <span className="figure font-normal">{figure}</span>
    </label>
  )
}
