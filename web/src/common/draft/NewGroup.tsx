import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { wordsOf } from '../../api/problem'
import type { Group } from '../../api/types'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { Sheet } from '../../ui/Sheet'
import { begin, sendSheet } from './queries'
import { Refused } from './Refused'
import { idOf } from './sheetFile'

const WAYS = [
  { value: 'scratch', text: 'from nothing' },
  { value: 'copy', text: 'like another' },
  { value: 'region', text: 'for a region' },
  { value: 'file', text: 'from a file' },
] as const

type Way = (typeof WAYS)[number]['value']

/** Begins a group: from nothing, from a copy, for another region, or from a file. */
export function NewGroup({
  groups,
  onClose,
}: {
  readonly groups: readonly Group[]
  readonly onClose: () => void
}) {
  const navigate = useNavigate()
  const client = useQueryClient()
  const [way, setWay] = useState<Way>('scratch')
  const [from, setFrom] = useState(groups[0]?.groupId ?? '')
  const [title, setTitle] = useState('')
  const [region, setRegion] = useState('')
  const [failed, setFailed] = useState<unknown>()
  const [busy, setBusy] = useState(false)
  const id = idOf(
    title,
    groups.map((one) => one.groupId),
  )
  const go = async (make: () => ReturnType<typeof begin>) => {
    setBusy(true)
    setFailed(undefined)
    try {
      const draft = await make()
      await client.invalidateQueries({ queryKey: ['drafts'] })
      navigate(`/drafts/${draft.id}`)
    } catch (error) {
      setFailed(error)
      setBusy(false)
    }
  }
  const versionId = groups.find((one) => one.groupId === from)?.versionId
  return (
    <Sheet title="A new group" open onOpenChange={(open) => !open && onClose()}>
      <div className="grid gap-4">
        <OneOf label="How it begins" options={WAYS} value={way} onChange={setWay} />
        <p className="text-quiet">
          {
            {
              scratch: 'You describe the taxa and their characters yourself.',
              copy: 'Everything of the other group is copied, and goes its own way from then on.',
              region:
                'The other group in another region: how common its taxa are, where, and in which months its characters can be read. Everything else follows the original when it changes.',
              file: 'A sheet in our open format (JSON), up to 5 MB. A group that is here already gets it as a draft of its next version.',
            }[way]
          }
        </p>
        {way === 'file' ? (
          <label className="font-semibold">
            The file
            <input
              type="file"
              accept=".json,application/json"
              disabled={busy}
              onChange={(event) => {
                const file = event.target.files?.[0]
                event.target.value = ''
                if (file) void go(() => sendSheet(file))
              }}
              className="mt-1 block min-h-11 font-normal"
            />
          </label>
        ) : (
          <form
            className="grid gap-3"
            onSubmit={(event) => {
              event.preventDefault()
              void go(() =>
                begin({
                  from: way,
                  groupId: id,
                  title,
                  region,
                  ...(way !== 'scratch' && versionId && { versionId }),
                }),
              )
            }}
          >
            {way !== 'scratch' && (
              <Choice
                label="The other group"
                options={groups.map((one) => ({ value: one.groupId, text: one.title }))}
                value={from}
                onChange={setFrom}
              />
            )}
            <Field
              label="What a crew calls it"
              value={title}
              required
              hint={title === '' ? undefined : `its id will be ${id}`}
              onChange={(event) => setTitle(event.target.value)}
            />
            <Field
              label="Where its figures hold"
              value={region}
              required
              onChange={(event) => setRegion(event.target.value)}
            />
            <Button type="submit" look="main" disabled={busy} className="w-fit">
              Begin
            </Button>
          </form>
        )}
        {failed !== undefined &&
          (way === 'file' ? <Refused error={failed} /> : <Notice tone="wrong">{wordsOf(failed)}</Notice>)}
        <p className="text-sm text-quiet">
          The format is described by a{' '}
          <a className="text-thistle underline" href="/api/sheets/schema" download="group-sheet.schema.json">
            JSON Schema
          </a>
          .
        </p>
      </div>
    </Sheet>
  )
}
