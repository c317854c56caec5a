import { useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import type { EffectsKind } from '../../api/codes'
import { keptInstead, wordsOf } from '../../api/problem'
import type { Draft, EffectRow, Effects } from '../../api/types'
import { draftDifferencesQuery, draftSeasonQuery, readEffects, saveVersion } from '../../common/draft/queries'
import { sheetOf } from '../../common/draft/sheetFile'
import { Differences } from '../../common/group/Differences'
import { differencesQuery } from '../../common/group/queries'
import { Strangers } from '../../common/group/Strangers'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { counted, percent } from '../../ui/words'
import { useEditor } from './editor'
import { type Part, partOf, placeWords } from './parts'

type Props = {
  readonly draft: Draft
  /** Whether the server has every change and none breaks a rule. */
  readonly inOrder: boolean
  readonly onSaved: () => Promise<void>
  /** Opens another part. */
  readonly onGo: (part: Part) => void
}

const MOST_TOLD = 20

/** What would change: for the sheet, for the calls on record; and saving it. */
export function EffectsPart({ draft, inOrder, onSaved, onGo }: Props) {
  const { sheet } = useEditor()
  if (!inOrder) {
    return (
      <section aria-label="What would change">
        <h2 className="text-xl">What would change</h2>
        <Notice tone="waiting">
          {draft.refusals.length > 0
            ? `${counted(draft.refusals.length, 'thing')} must be put right first; the parts at the left that hold them are marked. The draft is kept as it is.`
            : 'One moment, the last change is on its way.'}
        </Notice>
        <ul className="mt-2 list-disc pl-6">
          {draft.refusals.slice(0, MOST_TOLD).map((one) => (
            <li key={`${one.key} ${one.found}`}>
              <button
                type="button"
                className="min-h-8 text-left text-thistle underline"
                onClick={() => onGo(partOf(one.key, sheet))}
              >
                {placeWords(one.key, sheet)}
              </button>
              : found {one.found}, expected {one.expected}.
            </li>
          ))}
        </ul>
      </section>
    )
  }
  return <InOrder key={draft.revision} draft={draft} onSaved={onSaved} />
}

function InOrder({ draft, onSaved }: Pick<Props, 'draft' | 'onSaved'>) {
  const differences = useQuery(draftDifferencesQuery(draft.id, draft.revision))
  return (
    <section aria-label="What would change" className="grid gap-4">
      <h2 className="text-xl">What would change</h2>
      {differences.isError && <Notice tone="wrong">{wordsOf(differences.error)}</Notice>}
      {draft.basedOn ? (
        <>
          <h3 className="text-lg">
            In the sheet, against version {draft.basedOnVersion}
            {draft.regional && !draft.groupId && ' of its original'}
          </h3>
          {differences.data && <Differences changes={differences.data} />}
          <OfStrangers draft={draft} />
          <h3 className="text-lg">For the calls on record</h3>
          <CallsOnRecord draft={draft} />
        </>
      ) : (
        <p>It begins a group; no call is on record for it yet.</p>
      )}
      {draft.mine && <Saving draft={draft} onSaved={onSaved} />}
    </section>
  )
}

/** What would become of trees that the sheet does not know, by the draft and before it. */
function OfStrangers({ draft }: { readonly draft: Draft }) {
  const season = useQuery(draftSeasonQuery(draft.id, draft.revision, 'mature'))
  if (season.isError) return <Notice tone="wrong">{wordsOf(season.error)}</Notice>
  if (!season.data) return <OnItsWay of={season}>Playing trees that the sheet does not know …</OnItsWay>
  const taxa = sheetOf(draft).taxa ?? []
  return <Strangers taxa={taxa} season={season.data.after} before={season.data.before} />
}

const EFFECT_WORDS: Readonly<Record<EffectsKind, string>> = {
  unreadable: 'could not be read any more',
  lead: 'another taxon would lead',
  lost: 'could be signed and could not',
  gained: 'could not be signed and could',
  figures: 'other figures, the same call',
  same: 'read the same',
}

/** Every call of the group read again, with how far that has come. */
function CallsOnRecord({ draft }: { readonly draft: Draft }) {
  const [effects, setEffects] = useState<Effects>()
  const [failed, setFailed] = useState<string>()
  useEffect(() => {
    const stop = new AbortController()
    readEffects(draft.id, stop.signal, setEffects).catch((error: unknown) => {
      if (!stop.signal.aborted) setFailed(wordsOf(error))
    })
    return () => stop.abort()
  }, [draft.id])
  if (failed) return <Notice tone="wrong">{failed}</Notice>
  if (!effects?.counts) {
    return (
      <div role="status">
        <p>
          Reading the calls again: {effects?.done ?? 0} of {effects?.total ?? '…'}.
        </p>
        <progress className="w-full accent-thistle" value={effects?.done ?? 0} max={effects?.total || 1} />
      </div>
    )
  }
  if (effects.total === 0) return <p>No call of this group is on record in your surveys.</p>
  const counts = Object.entries(effects.counts)
  return (
    <>
      <p>
        {counted(effects.total, 'call')} of this group in your surveys {effects.total === 1 ? 'was' : 'were'}{' '}
        read again. What was signed stays as it was signed; open calls go on with the new version only when
        their reader says so.
      </p>
      <ul className="flex flex-wrap gap-2">
        {counts.map(([effect, count]) => (
          <li
            key={effect}
            className={`rounded-plain border px-3 py-2 ${count > 0 && effect !== 'same' ? 'border-ink bg-gold-wash' : 'border-line bg-card'}`}
          >
            <b className="figure">{count}</b> {EFFECT_WORDS[effect as EffectsKind]}
          </li>
        ))}
      </ul>
      {(effects.rows?.length ?? 0) > 0 && <Rows rows={effects.rows ?? []} />}
    </>
  )
}

function Rows({ rows }: { readonly rows: readonly EffectRow[] }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left">
        <caption className="pb-1 text-left text-quiet">The {rows.length} on which most changes</caption>
        <thead>
          <tr className="border-b-2 border-ink">
            {['Tree', 'Read by', 'Now', 'Then'].map((head) => (
              <th key={head} scope="col" className="py-1 pr-4">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={`${row.whose.treeId} ${row.whose.observer}`} className="border-b border-line align-top">
              <th scope="row" className="py-1 pr-4 font-semibold">
                <Link
                  className="text-thistle underline"
                  to={`/surveys/${row.whose.surveyId}/trees/${row.whose.treeId}`}
                >
                  {row.whose.plot}, tree {row.whose.tag}
                </Link>
              </th>
              <td className="py-1 pr-4">
                {row.whose.observer}
                {row.whose.signed && <span className="text-quiet">, signed</span>}
              </td>
              <td className="py-1 pr-4">
                <StandingWords standing={row.before} />
              </td>
              <td className="py-1 pr-4">
                {row.after ? <StandingWords standing={row.after} /> : <span>{row.why}</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

function StandingWords({ standing }: { readonly standing: EffectRow['before'] }) {
  return (
    <>
      {standing.name} <span className="figure">{percent(standing.share)}</span>
      {standing.signable ? <b>, can be signed</b> : <span className="text-quiet">, open</span>}
    </>
  )
}

/** Makes it a version, with why. */
function Saving({ draft, onSaved }: Pick<Props, 'draft' | 'onSaved'>) {
  const navigate = useNavigate()
  const [note, setNote] = useState('')
  const [busy, setBusy] = useState(false)
  const [failed, setFailed] = useState<unknown>()
  const over = keptInstead<string>(failed)
  const save = async () => {
    setBusy(true)
    try {
      const saved = await saveVersion(draft.id, { note, ...(over && { over }) })
      navigate(`/groups/${saved.groupId}/versions`)
      await onSaved()
    } catch (error) {
      setFailed(error)
      setBusy(false)
    }
  }
  return (
    <form
      className="grid gap-3 rounded-plain border border-ink bg-card p-4"
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <h3 className="text-lg">{draft.groupId ? 'Save the next version' : 'Save the first version'}</h3>
      <Field
        label="Why, for whoever reads the versions"
        value={note}
        onChange={(event) => setNote(event.target.value)}
      />
      {over ? <NewerThere from={draft.basedOn ?? ''} to={over} /> : null}
      {failed !== undefined && !over && <Notice tone="wrong">{wordsOf(failed)}</Notice>}
      <Button type="submit" look="main" disabled={busy} className="w-fit">
        {over ? 'Save mine over it' : 'Save this version'}
      </Button>
    </form>
  )
}

function NewerThere({ from, to }: { readonly from: string; readonly to: string }) {
  const between = useQuery(differencesQuery(from, to))
  return (
    <Notice tone="wrong">
      <p>
        Somebody saved a newer version after you began. Nothing was saved; your draft is kept. This is what
        they changed, and what saving yours would undo unless your draft says the same:
      </p>
      {between.data && <Differences changes={between.data} />}
    </Notice>
  )
}
