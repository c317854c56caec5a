import { type FormEvent, useState } from 'react'
import {
  listenOn,
  type SentLine,
  type Standing,
  USUAL_PORT,
  usePort,
  useSentLines,
  useStanding,
} from '../../common/bench/instruments'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { PageTitle } from '../../ui/PageTitle'
import { measured } from '../../ui/words'

const STANDING: Readonly<Record<Standing, string>> = {
  off: 'Not listening.',
  away: 'Nothing answers on this port yet. Is the instrument’s service started on this device? It is looked for again and again.',
  there: 'Connected: what it sends goes where you measure.',
  elsewhere: 'Another page of this browser takes what it sends. Come back here, and this one does.',
}

/** The instruments of this device: connecting, what came last, and lines that were no values. */
export function InstrumentsPage() {
  const port = usePort()
  const standing = useStanding()
  const lines = useSentLines()
  const [typed, setTyped] = useState(`${port ?? USUAL_PORT}`)
  const [wrong, setWrong] = useState(false)
  const connect = (event: FormEvent) => {
    event.preventDefault()
    const next = Number(typed.trim())
    const isPort = /^\d{2,5}$/.test(typed.trim()) && next < 65536
    setWrong(!isPort)
    if (isPort) listenOn(next)
  }
  return (
    <main className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto grid w-full max-w-3xl gap-5">
        <div>
          <PageTitle>Instruments</PageTitle>
          <h1 className="text-2xl">Instruments</h1>
          <p className="max-w-prose">
            A caliper hands on what it reads at each press of its button, to a service on this device. Open a
            check that is measured: the value goes into the field in hand, part by part. A caliper that types
            like a keyboard needs nothing here; put the cursor into the field.
          </p>
        </div>
        <form onSubmit={connect} className="flex flex-wrap items-end gap-3">
          <label className="font-semibold">
            Port of its service on this device
            <input
              className="figure mt-1 block min-h-11 w-32 rounded-plain border border-edge bg-card px-3 font-normal"
              inputMode="numeric"
              autoComplete="off"
              value={typed}
              aria-invalid={wrong}
              onChange={(event) => setTyped(event.target.value)}
            />
          </label>
          <Button type="submit" look={standing === 'there' ? 'plain' : 'main'}>
            {port === undefined ? 'Connect' : 'Connect anew'}
          </Button>
          {port !== undefined && <Button onClick={() => listenOn(undefined)}>Stop listening</Button>}
        </form>
        {wrong && (
          <Notice tone="wrong">
            “{typed}” is no port. It is a number of two to five digits that the instrument’s service tells;
            the caliper of the demo has {USUAL_PORT}.
          </Notice>
        )}
        <p role="status" className="flex items-center gap-2 text-lg">
          <span
            aria-hidden
            className={`size-3 rounded-full border-2 border-ink ${standing === 'there' ? 'bg-moss' : ''}`}
          />
          {STANDING[standing]}
        </p>
        <section>
          <h2 className="text-lg">What came last</h2>
          {lines.length === 0 ? (
            <p className="text-quiet">Nothing yet. Press the caliper’s button.</p>
          ) : (
            <ol aria-label="Lines" className="mt-1 border-t border-line">
              {lines.map((line) => (
                <Sent key={line.number} line={line} />
              ))}
            </ol>
          )}
        </section>
      </div>
    </main>
  )
}

function Sent({ line }: { readonly line: SentLine }) {
  return (
    <li className="grid min-h-11 grid-cols-[5.5rem_9rem_minmax(0,1fr)] items-center gap-x-3 border-b border-line py-1 max-sm:grid-cols-[5.5rem_minmax(0,1fr)]">
      <span className="figure text-quiet">{new Date(line.at).toLocaleTimeString('en-GB')}</span>
      <span className="figure text-lg">{line.value === undefined ? '—' : measured(line.value, 'mm')}</span>
      <span className={`leading-tight max-sm:col-span-2 ${line.taken ? '' : 'text-rust-ink'}`}>
        {line.taken ? `into “${line.told}”` : line.told}
        {line.value === undefined && <span className="text-quiet"> (“{line.text}”)</span>}
      </span>
    </li>
  )
}
