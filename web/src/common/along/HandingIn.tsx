import { useQuery } from '@tanstack/react-query'
import { CloudOff, Inbox } from 'lucide-react'
import { useEffect, useState, useSyncExternalStore } from 'react'
import { Link } from 'react-router'
import { useObserver } from '../../api/observer'
import { sheetQuery } from '../../api/sheets'
import { useSurvey } from '../../api/surveys'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { dayAndTime } from '../../ui/words'
import { type HandedIn, outbox, useOutbox } from '../bench/outbox'
import { fileOf } from '../bench/outboxFiles'
import { benchQuery } from '../bench/queries'
import type { Unsent } from '../bench/unsent'
import { foundTreesQuery } from '../plot/queries'
import { packQuery } from './along'
import { enteredWords, kindsWords } from './entryWords'

/** Whether the browser says that there is a network. */
function useOnline(): boolean {
  return useSyncExternalStore(
    (listener) => {
      window.addEventListener('online', listener)
      window.addEventListener('offline', listener)
      return () => {
        window.removeEventListener('online', listener)
        window.removeEventListener('offline', listener)
      }
    },
    () => navigator.onLine,
  )
}

function time(at: number): string {
  return new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
}

/** What the bar says of handing in: what waits, what was refused, that all is handed in, that something is along. */
function pillWords(
  waiting: number,
  refused: number,
  handed: HandedIn,
  along: boolean,
  online: boolean,
): string {
  const said = [
    ...(waiting > 0 ? [`${waiting} to hand in`] : []),
    ...(refused > 0 ? [`${refused} refused`] : []),
  ]
  if (said.length > 0) return said.join(', ')
  if (!online) return along ? 'no network, along' : 'no network'
  if (handed.at !== undefined && handed.sent.length > 1) return `all handed in ${time(handed.at)}`
  return along ? 'along' : ''
}

const SETTLED = 2000 // milliseconds; what the server takes at once is not told of

/** In the bar at the top of every page: what waits to be handed in, and the way to it; where there is no room, in a number. */
export function HandingInPill({ brief }: { readonly brief: boolean }) {
  const observer = useObserver().callSign
  const { survey } = useSurvey()
  const entries = useOutbox(observer)
  const handed = useSyncExternalStore(outbox.subscribe, outbox.handedIn)
  const pack = useQuery({ ...packQuery(survey?.id ?? ''), enabled: survey !== undefined }).data
  const online = useOnline()
  const [open, setOpen] = useState(false)
  const refused = entries.filter((one) => one.refused !== undefined).length
  const waits = entries.length - refused
  const [late, setLate] = useState(false)
  useEffect(() => {
    if (waits === 0) {
      setLate(false)
      return
    }
    const timer = window.setTimeout(() => setLate(true), online ? SETTLED : 0)
    return () => window.clearTimeout(timer)
  }, [waits, online])
  const words = pillWords(late ? waits : 0, refused, handed, Boolean(pack), online)
  // on the Bench its place is kept for it, so that nothing moves when it comes
  const room = brief ? 'w-12 lg:w-40 justify-center' : ''
  if (words === '') return brief ? <span className={`shrink-0 ${room}`} /> : null
  const urgent = refused > 0 || (late && waits > 0)
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className={`flex min-h-11 shrink-0 items-center gap-1.5 rounded-full border px-3 text-sm leading-tight ${brief ? `px-2! ${room}` : ''} ${urgent ? 'border-rust bg-rust-wash font-bold' : 'border-line bg-card'}`}
      >
        {online ? <Inbox aria-hidden className="size-4" /> : <CloudOff aria-hidden className="size-4" />}
        <span aria-live="polite" className={brief ? 'max-lg:sr-only' : ''}>
          {words}
        </span>
        {brief && urgent && (
          <span aria-hidden className="figure lg:hidden">
            {waits + refused}
          </span>
        )}
      </button>
      <Sheet title="Handing in" open={open} onOpenChange={setOpen}>
        <Contents entries={entries} handed={handed} online={online} onGo={() => setOpen(false)} />
      </Sheet>
    </>
  )
}

type ContentsProps = {
  readonly entries: readonly Unsent[]
  readonly handed: HandedIn
  readonly online: boolean
  readonly onGo: () => void
}

function Contents({ entries, handed, online, onGo }: ContentsProps) {
  const refused = entries.filter((one) => one.refused !== undefined)
  const waiting = entries.length - refused.length
  const total = handed.sent.length + waiting
  const full = outbox.whyNotKept()
  return (
    <div className="grid gap-4">
      {full && <Notice tone="wrong">{full}</Notice>}
      {waiting > 0 && (
        <div>
          <p role="status">
            {online
              ? `Handing in: ${handed.sent.length} of ${total}`
              : `${waiting === 1 ? 'One entry waits' : `${waiting} entries wait`} on this device until there is a network.`}
          </p>
          <progress className="h-3 w-full accent-thistle" value={handed.sent.length} max={total} />
        </div>
      )}
      {handed.at !== undefined && (
        <p>
          Handed in{waiting === 0 ? ` until ${time(handed.at)}` : ' so far'}:{' '}
          {kindsWords(handed.sent) || 'nothing'}
          {handed.refused > 0 && `; ${handed.refused} refused`}.
        </p>
      )}
      {entries.length === 0 && handed.at === undefined && <p>Nothing waits to be handed in.</p>}
      {refused.length > 0 && (
        <section aria-label="Not handed in">
          <h3 className="text-lg">Not handed in</h3>
          <p className="mb-2 text-quiet">
            The server refused these. Nothing of them is lost: they stay here until you correct or drop them.
          </p>
          <ul className="grid gap-3">
            {refused.map((one) => (
              <Refused key={one.id} entry={one} onGo={onGo} />
            ))}
          </ul>
        </section>
      )}
    </div>
  )
}

/** One thing that was refused: why, what was typed, and what can be done. */
function Refused({ entry, onGo }: { readonly entry: Unsent; readonly onGo: () => void }) {
  const bench = useQuery({ ...benchQuery(entry.surveyId, entry.treeId), enabled: entry.treeId !== '' }).data
  const sheet = useQuery({
    ...sheetQuery(bench?.sheetVersionId ?? ''),
    enabled: bench !== undefined,
  }).data
  const [moving, setMoving] = useState(false)
  const { entered } = entry
  const where =
    entered.kind === 'tree' || entered.kind === 'closed'
      ? `/surveys/${entry.surveyId}/plots/${entered.plotId}`
      : `/surveys/${entry.surveyId}/trees/${entry.treeId}${entered.kind === 'reading' ? `?check=${entered.reading.character}` : ''}`
  return (
    <li className="rounded-plain border border-line border-l-4 border-l-rust bg-card p-3">
      <p className="font-bold">
        {entry.where} · {enteredWords(entry, sheet)}
      </p>
      <p className="text-sm text-quiet">entered {dayAndTime(new Date(entry.at).toISOString())}</p>
      <p className="my-1">{entry.refused}</p>
      <div className="flex flex-wrap gap-2">
        <Link
          to={where}
          onClick={onGo}
          className="inline-flex min-h-11 items-center rounded-plain border border-ink bg-card px-4 font-semibold"
        >
          Correct it there
        </Link>
        <Button onClick={() => outbox.again(entry.id)}>Send again</Button>
        {entered.kind !== 'tree' && entered.kind !== 'closed' && (
          <Button onClick={() => setMoving(!moving)}>Move to another tree</Button>
        )}
        <Button onClick={() => void save(entry)}>Save as a file</Button>
        <Confirm words="Drop it" disabled={false} onConfirm={() => outbox.drop(entry)}>
          “{enteredWords(entry, sheet)}” is not on the server and is gone for good then.
        </Confirm>
      </div>
      {moving && <Move entry={entry} onMoved={() => setMoving(false)} />}
    </li>
  )
}

/** Looks for the tree that it belongs to; everything that waits on the wrong one goes with it. */
function Move({ entry, onMoved }: { readonly entry: Unsent; readonly onMoved: () => void }) {
  const [typed, setTyped] = useState('')
  const found =
    useQuery({ ...foundTreesQuery(entry.surveyId, typed), enabled: typed.trim() !== '' }).data ?? []
  return (
    <div className="mt-3 grid gap-2">
      <Field
        label="Plot and tag of the right tree; everything that waits on this one goes there"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <ul className="flex flex-wrap gap-2">
        {found
          .filter((tree) => tree.groupId)
          .map((tree) => (
            <li key={tree.id}>
              <Button
                onClick={() => {
                  outbox.move(entry.treeId, {
                    treeId: tree.id,
                    surveyId: entry.surveyId,
                    where: `${tree.plotCode}, tree ${tree.tag}`,
                  })
                  onMoved()
                }}
              >
                {tree.plotCode}, tree {tree.tag}
              </Button>
            </li>
          ))}
      </ul>
    </div>
  )
}

/** Saves what was entered, so that it can be typed again elsewhere; a photo as it is. */
async function save(entry: Unsent): Promise<void> {
  const { entered, id, where } = entry
  const photo = entered.kind === 'photo' ? await fileOf(id) : undefined
  const file = photo ?? new Blob([JSON.stringify(entry, null, 2)], { type: 'application/json' })
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = `${where}, ${photo && entered.kind === 'photo' ? entered.name : `${entered.kind}.json`}`
  link.click()
  URL.revokeObjectURL(link.href)
}
