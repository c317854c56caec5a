import { Columns3, Undo2 } from 'lucide-react'
import { useState } from 'react'
import type { Bench, Character, NewReading, Sheet } from '../../api/types'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { useKeys } from '../../ui/useKeys'
import { counted, monthRuns } from '../../ui/words'
import { isForbidden } from './inHand'
import { MemoryAid } from './MemoryAid'
import { NumberEntry } from './NumberEntry'
import { outbox } from './outbox'
import { Photos } from './Photos'
import { StateTiles } from './StateTiles'
import type { Cover } from './useCover'
import type { Work } from './useWork'

const CERTAINTIES = ['sure', 'fairly', 'unsure'] as const
const MATERIALS = ['attached', 'fallen', 'litter'] as const
const POSITIONS = ['sun', 'shade', 'sprout'] as const
const NEARNESS: Readonly<Record<string, string>> = {
  'stand-off': 'from a distance',
  trunk: 'at the trunk',
  hand: 'in the hand',
  lens: 'with a lens',
  cut: 'with a knife',
}

type Manner = Pick<NewReading, 'certainty' | 'material' | 'position'>

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly character: Character
  readonly work: Work
  readonly cover: Cover
  readonly onSideBySide: () => void
}

/** The check in hand: what to look at, how, and what is seen. Every touch is recorded at once. */
export function Check({ bench, sheet, character, work, cover, onSideBySide }: Props) {
  const entry = work.entries.get(character.id)
  // how it is read may be said before what is seen
  const [manner, setManner] = useState<Manner>({})
  const seen: NewReading = {
    certainty: 'sure',
    ...(character.materialMatters ? { material: 'attached' } : {}),
    ...(character.positionMatters ? { position: 'sun' } : {}),
    ...entry?.reading,
    ...manner,
    character: character.id,
    notSeen: false,
  }
  const unread = entry?.reading.notSeen && Object.keys(manner).length === 0
  const hasSeen = Boolean(seen.states?.length || seen.values?.length)
  const covered = cover.on && !hasSeen
  const wounds = character.harm === 'wound'
  const cautionOpen =
    wounds && !bench.cautionRead && !work.unsent.some((one) => one.entered.kind === 'caution')
  const closed = cautionOpen || (isForbidden(bench, character) && !entry)
  const put = (change: Partial<NewReading>) => {
    work.record({ ...seen, ...change })
    setManner({})
  }
  const read = (how: Manner) => (hasSeen ? put(how) : setManner({ ...manner, ...how }))
  const notSeen = () => work.record({ character: character.id, notSeen: true })
  const several = character.replicates > 1
  const seeState = (id: string) => put({ states: several ? [...(seen.states ?? []), id] : [id] })
  const cycle = (key: 'certainty' | 'material' | 'position', values: readonly string[]) =>
    read({ [key]: values[(values.indexOf(seen[key] ?? '') + 1) % values.length] })
  useKeys({
    ...(closed
      ? {}
      : Object.fromEntries(character.states.map((state, i) => [`${i + 1}`, () => seeState(state.id)]))),
    '0': notSeen,
    u: () => cycle('certainty', CERTAINTIES),
    m: () => character.materialMatters && cycle('material', MATERIALS),
    p: () => character.positionMatters && cycle('position', POSITIONS),
  })

  return (
    <>
      <h2 className="text-2xl sm:text-3xl">{character.name}</h2>
      <p className="mb-3 text-quiet">
        {character.organ} · {NEARNESS[character.zone]} ·{' '}
        {several ? `look at ${character.replicates}` : 'one look'} · {counted(character.minutes, 'minute')}
        {character.harm === 'sample' ? ' · a leaf or twig is taken' : ''}
      </p>
      <div className="grid gap-4">
        <Cautions
          bench={bench}
          sheet={sheet}
          character={character}
          open={cautionOpen}
          onRead={work.acknowledge}
        />
        {!closed && character.states.length > 0 && (
          <StateTiles
            sheet={sheet}
            character={character}
            seen={seen.states ?? []}
            covered={covered}
            onSee={seeState}
            onChange={(states) =>
              states.length > 0
                ? put({ states })
                : work.record({ character: character.id, notSeen: false, withdrawn: true })
            }
          />
        )}
        {!closed && character.states.length === 0 && (
          <NumberEntry
            sheet={sheet}
            character={character}
            values={seen.values ?? []}
            covered={covered}
            draftKey={`draft.${bench.tree.id}.${character.id}`}
            onChange={(values) =>
              values.length > 0
                ? put({ values })
                : work.record({ character: character.id, notSeen: false, withdrawn: true })
            }
          />
        )}
        {entry?.unsent?.refused && (
          <Notice tone="wrong">
            {entry.unsent.refused} What you entered stays here.{' '}
            <Button onClick={() => entry.unsent && outbox.drop(entry.unsent.id)}>Drop it</Button>
          </Notice>
        )}
        <div className="flex flex-wrap gap-2">
          <OneOf
            label="Certainty"
            options={CERTAINTIES.map((value) => ({ value, text: value }))}
            value={unread ? '' : (seen.certainty ?? '')}
            onChange={(certainty) => read({ certainty })}
          />
          {character.materialMatters && (
            <OneOf
              label="Material"
              options={MATERIALS.map((value) => ({ value, text: value }))}
              value={unread ? '' : (seen.material ?? '')}
              onChange={(material) => read({ material })}
            />
          )}
          {character.positionMatters && (
            <OneOf
              label="Position"
              options={POSITIONS.map((value) => ({ value, text: value }))}
              value={unread ? '' : (seen.position ?? '')}
              onChange={(position) => read({ position })}
            />
          )}
          <Button
            aria-pressed={entry?.reading.notSeen ?? false}
            className="aria-pressed:bg-ink aria-pressed:text-card"
            onClick={notSeen}
          >
            Not seen
          </Button>
        </div>
        <Weighed bench={bench} character={character} />
        <div className="grid gap-4 border-t border-line pt-3 sm:grid-cols-2">
          <div>
            <h3 className="text-base">How to look</h3>
            <p>{character.howTo}</p>
          </div>
          {character.pitfall && (
            <div>
              <h3 className="text-base">How it goes wrong</h3>
              <p>{character.pitfall}</p>
            </div>
          )}
        </div>
        <MemoryAid key={character.id} bench={bench} sheet={sheet} character={character} />
        <div className="flex flex-wrap items-start gap-2">
          <Photos bench={bench} character={character.id} />
          <Button onClick={onSideBySide}>
            <Columns3 aria-hidden className="mr-2 inline size-4" />
            Side by side
          </Button>
          <Button
            aria-pressed={cover.on}
            className="aria-pressed:bg-ink aria-pressed:text-card"
            onClick={cover.toggle}
          >
            Cover the answers
          </Button>
          <Button onClick={work.undo}>
            <Undo2 aria-hidden className="mr-2 inline size-4" />
            Undo
          </Button>
        </div>
      </div>
    </>
  )
}

type CautionsProps = Pick<Props, 'bench' | 'sheet' | 'character'> & {
  readonly open: boolean
  readonly onRead: () => void
}

/** What must be known before the check is made. */
function Cautions({ bench, sheet, character, open, onRead }: CautionsProps) {
  const wounds = character.harm === 'wound'
  const wounding = sheet.cautions.filter((one) => one.topic === 'tree-wound')
  const others = character.hazards.filter((one) => !(wounds && one.topic === 'tree-wound'))
  return (
    <>
      {bench.outOfSeason.includes(character.id) && (
        <Notice tone="waiting">
          This is read in {monthRuns(character.months)}. A reading now counts only a quarter.
        </Notice>
      )}
      {bench.dulled.includes(character.id) && (
        <Notice tone="waiting">
          You said that you do not {character.redGreen ? 'tell red from green' : 'smell'}: what you enter here
          counts a quarter, and the check is offered last.
        </Notice>
      )}
      {wounds && (
        <Notice tone="wrong">
          <strong>This wounds the tree.</strong> {wounding.map((one) => one.text).join(' ')} Clean the blade
          between trees, and follow your own district’s rules.
          {open && !isForbidden(bench, character) && (
            <div className="py-2">
              <Button look="main" onClick={onRead}>
                I have read this, for this tree
              </Button>
            </div>
          )}
        </Notice>
      )}
      {others.map((hazard) => (
        <Notice key={hazard.topic} tone="wrong">
          <strong className="capitalize">{hazard.topic.replace('-', ' ')}.</strong> {hazard.text}
        </Notice>
      ))}
    </>
  )
}

/** How far the reading counts, and what one more would still bring. */
function Weighed({ bench, character }: { readonly bench: Bench; readonly character: Character }) {
  const weighed = bench.figures.weighed.find((one) => one.character === character.id)
  const reading = bench.readings.find((one) => one.reading.character === character.id)?.reading
  if (!weighed || !reading) return null
  const made = reading.states?.length ?? reading.values?.length ?? 0
  const more = character.looks[made]
  return (
    <p className="text-quiet">
      Counts with weight <span className="figure">{weighed.weight.toFixed(2)}</span>, worth{' '}
      <span className="figure">{weighed.looks.toFixed(1)}</span> independent looks
      {character.replicates > 1 && more !== undefined && (
        <>
          ; one more would bring <span className="figure">{(more - weighed.looks).toFixed(1)}</span>
        </>
      )}
      .
    </p>
  )
}
