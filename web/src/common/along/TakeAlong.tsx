import { useQuery } from '@tanstack/react-query'
import { Backpack } from 'lucide-react'
import { useState } from 'react'
import { wordsOf } from '../../api/problem'
import type { Today } from '../../api/types'
import { Button } from '../../ui/Button'
import { Confirm } from '../../ui/Confirm'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { counted, dayAndTime } from '../../ui/words'
import { plotsQuery } from '../plot/queries'
import { queueQuery } from '../review/queries'
import { useAlong } from './along'
import type { PackOf, PlotAlong } from './pack'

const MEGA = 1_000_000

/** How large something is, in words. */
function sizeWords(bytes: number): string {
  return bytes < MEGA / 10 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / MEGA).toFixed(1)} MB`
}

function sum(plots: readonly PlotAlong[], of: (plot: PlotAlong) => number): number {
  return plots.reduce((total, plot) => total + of(plot), 0)
}

function sinceWords(plots: readonly PlotAlong[]): string {
  return dayAndTime(new Date(Math.min(...plots.map((one) => one.at))).toISOString())
}

/** The plots that today's work lies in: those to walk, to settle, and to read a second time. */
function usePlotsOfToday(surveyId: string, today: Today): readonly string[] {
  const plots = useQuery(plotsQuery(surveyId)).data ?? []
  const second = useQuery(queueQuery(surveyId, { mine: true })).data?.rows ?? []
  const codes = new Set(today.settle.map((call) => call.plotCode))
  return [
    ...new Set([
      ...today.walk.map((one) => one.id),
      ...plots.filter((one) => codes.has(one.code)).map((one) => one.id),
      ...second.map((row) => row.plotId),
    ]),
  ]
}

/** Whether this page opens without a network; taken for granted until the browser has said no. */
function useStartsAlone(): boolean {
  const found = useQuery({
    queryKey: ['starts alone'],
    queryFn: async () => (await navigator.serviceWorker?.getRegistration()) !== undefined,
    staleTime: 0,
    retry: false,
  })
  return found.data ?? true
}

/** Takes the plots of today along, and says what is. */
export function TakeTodayAlong({ surveyId, today }: { readonly surveyId: string; readonly today: Today }) {
  const due = usePlotsOfToday(surveyId, today)
  const { pack, progress, error, take, letGo } = useAlong(surveyId)
  const [open, setOpen] = useState(false)
  const startsAlone = useStartsAlone()
  const along = pack?.plots ?? []
  const missing = due.filter((id) => !along.some((one) => one.id === id))
  if (due.length === 0 && along.length === 0) return null
  return (
    <section
      aria-label="Along"
      className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 rounded-plain border border-line bg-card px-3 py-2"
    >
      <Backpack aria-hidden className="size-6 shrink-0" />
      <p className="min-w-0 flex-1 basis-64">
        {progress ? (
          <span role="status">
            Taking along: {progress.done} of {counted(progress.of, 'plot')}
          </span>
        ) : along.length === 0 ? (
          <>
            <strong>Nothing is along.</strong> Take today’s plots with you: you work on them without a
            network, and hand in later.
          </>
        ) : (
          <>
            <strong>
              Along: {counted(along.length, 'plot')},{' '}
              {counted(
                sum(along, (one) => one.trees),
                'tree',
              )}
            </strong>
            , {sizeWords(sum(along, (one) => one.bytes))}, as of {sinceWords(along)}
            {missing.length > 0 && (
              <span className="font-bold text-rust-ink">
                {' '}
                · {counted(missing.length, 'plot')} of today not along
              </span>
            )}
          </>
        )}
      </p>
      <div className="flex gap-2">
        {missing.length > 0 && (
          <Button look="main" disabled={progress !== undefined} onClick={() => take(due)}>
            Take {along.length === 0 ? counted(due.length, 'plot') : 'them'} along
          </Button>
        )}
        {along.length > 0 && <Button onClick={() => setOpen(true)}>What is along</Button>}
      </div>
      {error && (
        <div className="w-full">
          <Notice tone="wrong">{wordsOf(error)}</Notice>
        </div>
      )}
      {along.length > 0 && !startsAlone && (
        <div className="w-full">
          <Notice tone="waiting">
            This browser cannot open the page without a network, since it does not trust this server’s
            certificate; the sign-in page tells how it comes to. Until then keep this page open in the woods.
          </Notice>
        </div>
      )}
      <Sheet title="Along" open={open} onOpenChange={setOpen}>
        {pack && <Contents pack={pack} busy={progress !== undefined} take={take} letGo={letGo} />}
      </Sheet>
    </section>
  )
}

type ContentsProps = {
  readonly pack: PackOf
  readonly busy: boolean
  readonly take: (plotIds: readonly string[]) => void
  readonly letGo: (plots: readonly PlotAlong[]) => void
}

function Contents({ pack, busy, take, letGo }: ContentsProps) {
  return (
    <div className="grid gap-4">
      <p>
        With them: the sheets of every group with their drawings, your own calls, and trees to read blind, of
        which you are told nothing that you are not to know.
      </p>
      {!pack.lasts && (
        <Notice tone="waiting">
          The browser has not promised to keep this: it may throw it away when the device runs out of room.
          Adding Goldthistle to the home screen usually makes it promise.
        </Notice>
      )}
      <ul className="divide-y divide-line border-y border-line">
        {pack.plots.map((plot) => (
          <li key={plot.id} className="flex flex-wrap items-center justify-between gap-x-3 py-1">
            <span>
              <strong>{plot.code}</strong>
              <span className="block text-sm text-quiet">
                {counted(plot.trees, 'tree')}, {sizeWords(plot.bytes)}, as of{' '}
                {dayAndTime(new Date(plot.at).toISOString())}
              </span>
            </span>
            <Button look="quiet" onClick={() => letGo([plot])}>
              Let go<span className="sr-only"> {plot.code}</span>
            </Button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap justify-end gap-3">
        <Confirm words="Let all go" disabled={busy} onConfirm={() => letGo(pack.plots)}>
          The plots are freed on this device alone. What you entered and did not hand in yet stays.
        </Confirm>
        <Button look="main" disabled={busy} onClick={() => take(pack.plots.map((one) => one.id))}>
          Fetch anew
        </Button>
      </div>
    </div>
  )
}

/** Takes one plot along, or says since when it is. */
export function TakePlotAlong({ surveyId, plotId }: { readonly surveyId: string; readonly plotId: string }) {
  const { pack, progress, error, take } = useAlong(surveyId)
  const along = pack?.plots.find((one) => one.id === plotId)
  return (
    <Button disabled={progress !== undefined} onClick={() => take([plotId])}>
      <Backpack aria-hidden className="mr-1 inline size-4" />
      {progress
        ? 'Taking along …'
        : error
          ? 'Not taken: try again'
          : along
            ? `Along, as of ${dayAndTime(new Date(along.at).toISOString())}`
            : 'Take along'}
    </Button>
  )
}
