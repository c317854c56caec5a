import { useEffect, useRef, useState } from 'react'
import type { Outcome } from '../../api/codes'
import { useKeptText } from '../../api/kept'
import { limits } from '../../api/limits'
import { wordsOf } from '../../api/problem'
import type { Bench, Determination, Sheet as GroupSheet } from '../../api/types'
import type { AsItStands } from '../../common/bench/asItStands'
import { checkName, decidingBalance, taxonName } from '../../common/bench/judgementWords'
import { keepReasons, reasonsOf } from '../../common/bench/reasons'
import { ToPractise } from '../../common/practice/ToPractise'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { amid, points } from '../../ui/words'
import { Conditions } from './Conditions'
import { MonthChoice } from './MonthChoice'
import { useSigning } from './useSigning'

type Props = {
  readonly tree: AsItStands
  readonly outcome: Outcome
  readonly onDone: (signed: Determination) => void
}

const FIELD = 'mt-1 block w-full rounded-plain border border-edge bg-card p-3 font-normal'

/** Signs one outcome; what is written is kept in the browser until the server has it. */
export function SignForm({ tree, outcome, onDone }: Props) {
  const { bench, sheet } = tree
  const { id: treeId } = bench.tree
  const { judgement } = bench
  const lead = decidingBalance(bench).lead
  const [confirming, setConfirming] = useState<readonly string[]>(judgement.confirming)
  const [reasons, setReasons] = useState(() => reasonsOf(treeId))
  const [month, setMonth] = useState<number>()
  const [voucher, setVoucher] = useKeptText(`voucher.${treeId}`)
  const [note, setNote] = useKeptText(`note.${treeId}`)
  const sign = useSigning(tree, (signed) => {
    setNote('')
    setVoucher('')
    if (signed) onDone(signed)
  })
  const named = outcome === 'taxon'
  const form = useRef<HTMLFormElement>(null)
  useEffect(() => {
    const signByKeys = (event: KeyboardEvent) => {
      if (event.key === 'Enter' && event.ctrlKey) form.current?.requestSubmit()
    }
    window.addEventListener('keydown', signByKeys)
    return () => window.removeEventListener('keydown', signByKeys)
  }, [])
  const giveReason = (id: string, text: string) => {
    const given = { ...reasons, [id]: text }
    setReasons(given)
    keepReasons(treeId, given)
  }

  return (
    <form
      className="grid gap-4"
      ref={form}
      onSubmit={(event) => {
        event.preventDefault()
        sign.mutate({
          outcome,
          ...(named ? { taxonId: lead } : {}),
          ...(outcome === 'come-back' && month !== undefined ? { month } : {}),
          note,
          confirming: named ? [...confirming] : [],
          reasons: named ? asked(judgement.contrary, reasons) : {},
          voucher: named ? voucher : '',
          readingIds: bench.readings.map((one) => one.id),
        })
      }}
    >
      {outcome === 'taxon' && (
        <>
          <p className="text-xl leading-snug">{sentence(bench, sheet, confirming)}</p>
          <ConfirmedBy bench={bench} sheet={sheet} confirming={confirming} onChange={setConfirming} />
          {judgement.contrary.map((id) => (
            <label key={id} className="font-semibold">
              Against it: {checkName(sheet, id)}. Why do you sign all the same?
              <input
                className={FIELD}
                value={reasons[id] ?? ''}
                maxLength={limits.NewDetermination.reasons.longest}
                onChange={(event) => giveReason(id, event.target.value)}
              />
            </label>
          ))}
          <Conditions bench={bench} hasPhoto={bench.photos.length > 0} voucher={voucher} reasons={reasons} />
          <label className="font-semibold">
            Voucher, the label of a specimen or photo that is kept
            <input
              className={FIELD}
              value={voucher}
              maxLength={limits.NewDetermination.voucher.longest}
              onChange={(event) => setVoucher(event.target.value)}
            />
          </label>
        </>
      )}
      {outcome === 'taxon' && <ToPractise surveyId={bench.tree.surveyId} groupId={sheet.groupId} />}
      {outcome === 'come-back' && <MonthChoice tree={tree} month={month} onChoose={setMonth} />}
      {outcome === 'laboratory' && (
        <p>
          The tree stays open until the laboratory answers. Take no more than local collecting rules allow.
        </p>
      )}
      {outcome === 'group' && (
        <p>
          It is recorded as {sheet.fallback.commonName} (
          <span className="scientific">{sheet.fallback.scientificName}</span>).
        </p>
      )}
      <label className="font-semibold">
        Note
        <textarea
          className={`${FIELD} min-h-20`}
          value={note}
          onChange={(event) => setNote(event.target.value)}
          maxLength={limits.NewDetermination.note.longest}
        />
      </label>
      <p className="text-quiet">
        On version {bench.sheetVersion} of the sheet. It stays as it is; a later signature of yours supersedes
        it.
      </p>
      {sign.isError && <Notice tone="wrong">{wordsOf(sign.error)}</Notice>}
      <Button
        type="submit"
        look="main"
        disabled={
          sign.isPending ||
          (outcome === 'come-back' && month === undefined) ||
          (outcome === 'taxon' && bench.missing.length > 0)
        }
        aria-keyshortcuts="Control+Enter"
      >
        Sign
      </Button>
    </form>
  )
}

type ConfirmedProps = {
  readonly bench: Bench
  readonly sheet: GroupSheet
  readonly confirming: readonly string[]
  readonly onChange: (confirming: readonly string[]) => void
}

/** Which readings the observer says confirmed the call. */
function ConfirmedBy({ bench, sheet, confirming, onChange }: ConfirmedProps) {
  const worth = new Map(decidingBalance(bench).points.map((one) => [one.character, one.points]))
  const speaking = bench.mayConfirm.map((character) => ({ character, points: worth.get(character) ?? 0 }))
  const toggle = (id: string) =>
    onChange(confirming.includes(id) ? confirming.filter((one) => one !== id) : [...confirming, id])
  return (
    <fieldset>
      <legend className="font-semibold">Confirmed by</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {speaking.map(({ character, points: its }) => (
          <label
            key={character}
            className="flex min-h-11 items-center gap-2 rounded-plain border border-line bg-card px-3"
          >
            <input
              type="checkbox"
              className="size-5 accent-thistle"
              checked={confirming.includes(character)}
              onChange={() => toggle(character)}
            />
            {checkName(sheet, character)}
            <span className={`figure font-bold ${its < 0 ? 'text-rust-ink' : 'text-gold-ink'}`}>
              {points(its)}
            </span>
          </label>
        ))}
      </div>
      {speaking.length === 0 && <p>Nothing that was read speaks for it.</p>}
    </fieldset>
  )
}

/** The reasons that are asked for, of all that were ever written here. */
function asked(contrary: readonly string[], reasons: Readonly<Record<string, string>>) {
  return Object.fromEntries(Object.entries(reasons).filter(([id]) => contrary.includes(id)))
}

/** "Silver birch, from twig surface and leaf base; against it: bark base." */
function sentence(bench: Bench, sheet: GroupSheet, confirming: readonly string[]): string {
  const names = (ids: readonly string[]) => ids.map((id) => amid(checkName(sheet, id))).join(', ')
  const taxon = taxonName(sheet, decidingBalance(bench).lead)
  const from = confirming.length > 0 ? `, from ${names(confirming)}` : ''
  const against =
    bench.judgement.contrary.length > 0 ? `; against it: ${names(bench.judgement.contrary)}` : ''
  return `${taxon.charAt(0).toUpperCase()}${taxon.slice(1)}${from}${against}.`
}
