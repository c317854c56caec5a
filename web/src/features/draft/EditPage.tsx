import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Undo2 } from 'lucide-react'
import { useEffect, useRef, useState, useSyncExternalStore } from 'react'
import { Link, useLocation, useNavigate, useParams } from 'react-router'
import { wordsOf } from '../../api/problem'
import type { Draft } from '../../api/types'
import { discard, draftEnded, draftQuery, sendChange } from '../../common/draft/queries'
import type { SheetFile } from '../../common/draft/sheetFile'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { dayAndTime } from '../../ui/words'
import { CautionsPart } from './CautionsPart'
import { CharacterPart } from './CharacterPart'
import { DraftKeeper, type Kept } from './draftKeeper'
import { EffectsPart } from './EffectsPart'
import { EditorContext } from './editor'
import { FunctionsPart } from './FunctionsPart'
import { AboutPart, GatePart } from './GroupPart'
import { MatrixIn } from './MatrixIn'
import { Parts } from './Parts'
import { type Part, placeWords } from './parts'
import { SeasonBeside } from './SeasonBeside'
import { TaxaPart } from './TaxaPart'

const LOOK_AGAIN = 5000 // milliseconds

/** A sheet while it is changed. */
export function EditPage() {
  const { draftId = '' } = useParams()
  const asked = (useLocation().state as { readonly part?: Part } | null)?.part
  const [part, setPart] = useState<Part>(asked ?? 'about')
  const draft = useQuery({
    ...draftQuery(draftId),
    refetchOnWindowFocus: false,
    staleTime: 0,
    gcTime: 0,
    refetchInterval: ({ state }) => (state.data && !state.data.mine ? LOOK_AGAIN : false),
  })
  // one's own goes its way in this browser; another's is shown as it changes
  const key = draft.data?.mine === false ? `${draftId} ${draft.data.revision}` : draftId
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      {draft.isError && (
        <>
          <Notice tone="wrong">{wordsOf(draft.error)}</Notice>
          <Link to="/groups" className="inline-flex min-h-11 items-center text-thistle underline">
            All groups
          </Link>
        </>
      )}
      {draft.isPending && <OnItsWay of={draft}>Fetching the draft …</OnItsWay>}
      {draft.data && <Editing key={key} fetched={draft.data} part={part} onPart={setPart} />}
    </main>
  )
}

type EditingProps = {
  readonly fetched: Draft
  readonly part: Part
  readonly onPart: (part: Part) => void
}

function Editing({ fetched, part, onPart }: EditingProps) {
  const client = useQueryClient()
  const [keeper] = useState(() => new DraftKeeper(fetched, sendChange))
  const kept = useSyncExternalStore(keeper.subscribe, keeper.now)
  const top = useRef<HTMLDivElement>(null)
  const setPart = (next: Part) => {
    onPart(next)
    top.current?.scrollIntoView() // what was scrolled to belongs to the part before
  }
  const { draft, sheet } = kept
  const readOnly = !draft.mine
  const inOrder = kept.where === 'kept' && draft.refusals.length === 0
  const saved = async () => {
    keeper.forget()
    await draftEnded(client, draft.id) // lists, groups and versions all have a newer sheet now
  }
  useUndoKey(() => !readOnly && keeper.undo())
  return (
    <EditorContext
      value={{
        sheet,
        refusals: draft.refusals,
        saved: draft.saved,
        readOnly,
        regional: draft.regional,
        change: (make) => !readOnly && keeper.change(make),
      }}
    >
      <div ref={top} className="mx-auto grid w-full max-w-[96rem] gap-4">
        <Head kept={kept} keeper={keeper} />
        {draft.unknown.length > 0 && <Unknown unknown={draft.unknown} sheet={sheet} />}
        <div className="grid items-start gap-5 lg:grid-cols-[14rem_minmax(0,1fr)_19rem]">
          <Parts part={part} onChoose={setPart} />
          <div className="min-w-0">
            {part === 'about' && (
              <>
                <AboutPart />
                {!readOnly && !draft.regional && (
                  <MatrixIn draft={draft} onTaken={(next) => keeper.took(next)} />
                )}
              </>
            )}
            {part === 'taxa' && <TaxaPart />}
            {part === 'gate' && <GatePart />}
            {part === 'cautions' && <CautionsPart />}
            {part === 'functions' && <FunctionsPart />}
            {part === 'effects' && (
              <EffectsPart draft={draft} inOrder={inOrder} onSaved={saved} onGo={setPart} />
            )}
            {typeof part === 'number' && (
              <CharacterPart key={part} index={part} onGone={() => setPart('about')} />
            )}
          </div>
          <SeasonBeside draft={draft} />
        </div>
      </div>
    </EditorContext>
  )
}

/** What a file says that nothing here reads. */
function Unknown({ unknown, sheet }: { readonly unknown: Draft['unknown']; readonly sheet: SheetFile }) {
  return (
    <Notice tone="waiting">
      <p>
        The file says things under names that the format does not know. They stay in this draft, are not used,
        and are left out when it is saved:
      </p>
      <ul className="list-disc pl-6">
        {unknown.map(({ place, key, nearest }) => (
          <li key={`${place} ${key}`}>
            <b>{key}</b>
            {place !== '' && `, in ${placeWords(place, sheet)}`}
            {nearest && `; near to “${nearest}”, which is known`}
          </li>
        ))}
      </ul>
    </Notice>
  )
}

/** Takes the last change back on ctrl z, outside of fields that take back what was typed themselves. */
function useUndoKey(undo: () => void) {
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea')
      if ((event.ctrlKey || event.metaKey) && event.key === 'z' && !typing) {
        event.preventDefault()
        undo()
      }
    }
    window.addEventListener('keydown', pressed)
    return () => window.removeEventListener('keydown', pressed)
  })
}

const WHERE_WORDS: Readonly<Record<Kept['where'], string>> = {
  kept: 'Kept.',
  sending: 'Keeping …',
  away: 'Kept in this browser until the server answers.',
  refused: 'Not kept.',
  stale: 'Changed on another page.',
}

function Head({ kept, keeper }: { readonly kept: Kept; readonly keeper: DraftKeeper }) {
  const navigate = useNavigate()
  const client = useQueryClient()
  const [sure, setSure] = useState(false)
  const { draft, sheet } = kept
  const throwAway = async () => {
    await discard(draft.id)
    keeper.forget()
    navigate(draft.groupId ? `/groups/${draft.groupId}/versions` : '/groups')
    await draftEnded(client, draft.id)
  }
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <Link
          to={draft.groupId ? `/groups/${draft.groupId}/versions` : '/groups'}
          className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
        >
          {draft.groupId ? 'Its versions' : 'All groups'}
        </Link>
        <PageTitle>{`Editing ${sheet.title}`}</PageTitle>
        <h1 className="text-2xl">{sheet.title || 'A group without a name'}</h1>
        <span className="text-quiet">
          {draft.regional
            ? 'a region’s own figures'
            : draft.basedOnVersion
              ? `from version ${draft.basedOnVersion}`
              : 'new'}
        </span>
        {draft.mine ? (
          <div className="ml-auto flex flex-wrap items-center gap-2">
            <span role="status" className={kept.where === 'kept' ? 'text-moss-ink' : 'font-semibold'}>
              {WHERE_WORDS[kept.where]}
            </span>
            <Button
              look="quiet"
              className="inline-flex items-center gap-2"
              disabled={kept.undoable === 0}
              onClick={() => keeper.undo()}
            >
              <Undo2 aria-hidden className="size-4" /> Undo
            </Button>
            {sure ? (
              <>
                <span>Throw the draft away for good?</span>
                <Button onClick={() => void throwAway()}>Discard it</Button>
                <Button look="quiet" onClick={() => setSure(false)}>
                  Keep it
                </Button>
              </>
            ) : (
              <Button look="quiet" onClick={() => setSure(true)}>
                Discard …
              </Button>
            )}
          </div>
        ) : (
          <span className="ml-auto">
            {draft.owner}’s draft, last changed {dayAndTime(draft.changedAt)}. You can read it.
          </span>
        )}
      </div>
      {draft.regional && (
        <Notice tone="plain">
          Of a region you say how common its taxa are, on which ground, where they come from, and in which
          months each character can be read. All else follows the original, and is changed there.
        </Notice>
      )}
      {draft.newest && (
        <Notice tone="waiting">
          A newer version of this sheet was saved since this draft was begun. Your draft is kept; what is
          different is shown before you save over it.
        </Notice>
      )}
      {kept.where === 'refused' && <Notice tone="wrong">{kept.told}</Notice>}
      {kept.where === 'away' && <Notice tone="waiting">{kept.told}</Notice>}
      {kept.where === 'stale' && kept.there && (
        <Notice tone="wrong">
          <p>You changed this draft on another page. Nothing here is lost; choose which to go on with.</p>
          <div className="mt-2 flex gap-2">
            <Button onClick={() => kept.there && keeper.settle('here', kept.there)}>
              Go on with this page’s
            </Button>
            <Button onClick={() => kept.there && keeper.settle('there', kept.there)}>
              Go on with the other page’s
            </Button>
          </div>
        </Notice>
      )}
    </>
  )
}
