import { Columns3, EyeOff, Undo2 } from 'lucide-react'
import { useEffect, useRef } from 'react'
import type { Zone } from '../../api/codes'
import type { Bench, Character, NewReading, Sheet } from '../../api/types'
import { How } from '../../common/bench/How'
import { isForbidden } from '../../common/bench/inHand'
import { HARM } from '../../common/bench/judgementWords'
import { knownOf, takenWith } from '../../common/bench/leaves'
import { NumberEntry } from '../../common/bench/NumberEntry'
import { SoFar } from '../../common/bench/SoFar'
import { StateTiles } from '../../common/bench/StateTiles'
import { nextOf, TRAITS } from '../../common/bench/traits'
import { type Manner, useManner } from '../../common/bench/useManner'
import type { Work } from '../../common/bench/useWork'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Term } from '../../ui/Term'
import { useKeys } from '../../ui/useKeys'
import { counted, fractionWords, monthRuns } from '../../ui/words'
import { CountUp } from './CountUp'
import { MemoryAid } from './MemoryAid'
import { PhotoMeasure } from './PhotoMeasure'
import { Photos } from './Photos'
import type { Cover } from './useCover'

const NEARNESS: Readonly<Record<Zone, string>> = {
  'stand-off': 'from a distance',
  trunk: 'at the trunk',
  hand: 'in the hand',
  lens: 'with a lens',
  cut: 'with a knife',
}

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly character: Character
  readonly work: Work
  readonly cover: Cover
  readonly onSideBySide: () => void
}

/** The check in hand: what to look at, how, and what is seen. Every touch is recorded at once, and moves nothing. */
export function Check({ bench, sheet, character, work, cover, onSideBySide }: Props) {
  const entry = work.entries.get(character.id)
  const read = entry?.reading
  // how it is read may be said before what is seen
  const [manner, setManner] = useManner(bench.tree.id, character.id)
  const said: Manner = { ...(read && !read.notSeen ? mannerOf(read) : {}), ...manner }
  const states = read?.states ?? []
  const values = read?.values ?? []
  const hasSeen = states.length > 0 || values.length > 0
  const wounds = character.harm === 'wound'
  const cautionOpen =
    wounds && !bench.cautionRead && !work.unsent.some((one) => one.entered.kind === 'caution')
  const closed = cautionOpen || (isForbidden(bench, character) && !entry)
  const several = character.replicates > 1
  // what is only corrected keeps the month that it was read in; what is seen anew is of this visit
  const put = (
    seen: Pick<NewReading, 'states' | 'values' | 'taken'>,
    { how = said, month }: { how?: Manner; month?: number | null | undefined } = {},
  ) => {
    const isNothing = !seen.states?.length && !seen.values?.length
    work.record(
      isNothing
        ? { character: character.id, notSeen: false, withdrawn: true }
        : { character: character.id, notSeen: false, ...seen, ...how, ...(month ? { month } : {}) },
    )
    if (!isNothing) setManner({})
  }
  const say = (how: Manner) =>
    hasSeen
      ? put(states.length > 0 ? { states } : { values, ...(read?.taken ? { taken: read.taken } : {}) }, {
          how: { ...said, ...how },
          month: read?.month,
        })
      : setManner({ ...manner, ...how })
  const seeState = (id: string) => put({ states: several ? [...states, id] : [id] })
  const allAlike = () => {
    const last = states.at(-1)
    const open = character.replicates - states.length
    if (last && open > 0) put({ states: [...states, ...Array<string>(open).fill(last)] })
  }
  const notSeen = () => work.record({ character: character.id, notSeen: true })
  const notBorne = () => work.record({ character: character.id, notSeen: true, notBorne: true })
  useKeys({
    ...(closed
      ? {}
      : Object.fromEntries(character.states.map((state, i) => [`${i + 1}`, () => seeState(state.id)]))),
    // a number may begin with 0
    ...(character.states.length > 0 ? { '0': notSeen } : {}),
    x: notSeen,
    ...(character.mayBearNone ? { e: notBorne } : {}),
    a: allAlike,
    ...Object.fromEntries(
      TRAITS.filter(({ matters }) => matters(character)).map((trait) => [
        trait.key,
        () => say({ [trait.of]: nextOf(trait, said, character) }),
      ]),
    ),
  })
  const title = useRef<HTMLHeadingElement>(null)
  useEffect(() => {
    title.current?.scrollIntoView({ block: 'nearest' })
  }, [])

  return (
    <>
      <h2 ref={title} className="scroll-mt-4 text-2xl sm:text-[1.7rem]">
        {character.name}
      </h2>
      <p className="mb-2 text-quiet">
        {character.organ} · {NEARNESS[character.zone]} ·{' '}
        {several ? `look at ${character.replicates}` : 'one look'} · {counted(character.minutes, 'minute')}
        {character.harm === 'sample' ? ` · ${HARM.sample}` : ''}
      </p>
      <div className="grid grid-cols-1 gap-3">
        <Cautions
          bench={bench}
          sheet={sheet}
          character={character}
          open={cautionOpen}
          onRead={work.acknowledge}
        />
        {!closed && character.states.length > 0 && (
          <>
            <StateTiles
              sheet={sheet}
              character={character}
              seen={states}
              covered={cover.on && !hasSeen}
              onSee={seeState}
            />
            <SoFar
              character={character}
              seen={states}
              onChange={(changed) => put({ states: changed }, { month: read?.month })}
              onAllAlike={allAlike}
            />
          </>
        )}
        {!closed && character.states.length === 0 && (
          <NumberEntry
            sheet={sheet}
            character={character}
            values={values}
            covered={cover.on && !hasSeen}
            draftKey={`draft.${bench.tree.id}.${character.id}`}
            taken={read?.taken ?? []}
            known={knownOf(sheet, character, work.entries)}
            onAdd={(added, how) => put({ values: [...values, ...added], ...takenWith(read, added, how) })}
            onTakeOut={(i) =>
              put(
                {
                  values: values.filter((_, j) => j !== i),
                  ...(read?.taken ? { taken: read.taken.filter((_, j) => j !== i) } : {}),
                },
                { month: read?.month },
              )
            }
          />
        )}
        <How
          character={character}
          said={said}
          notSeen={read?.notSeen === true}
          notBorne={read?.notBorne === true}
          onSay={say}
          onNotSeen={notSeen}
          onNotBorne={notBorne}
        />
        <div className="grid gap-x-5 gap-y-2 sm:grid-cols-2">
          <div>
            <h3 className="text-base">How to look</h3>
            <p className="leading-snug">{character.howTo}</p>
          </div>
          {character.pitfall && (
            <div>
              <h3 className="text-base">How it goes wrong</h3>
              <p className="leading-snug">{character.pitfall}</p>
            </div>
          )}
        </div>
        <Weighed bench={bench} character={character} />
        <MemoryAid key={character.id} bench={bench} sheet={sheet} character={character} />
        <div className="flex flex-wrap items-start gap-2">
          <Button onClick={work.undo}>
            <Undo2 aria-hidden className="mr-2 inline size-4" />
            Undo
          </Button>
          <Photos bench={bench} character={character.id} />
          {!closed && character.parts.some((one) => one.counts) && (
            <CountUp
              sheet={sheet}
              character={character}
              draftKey={`draft.${bench.tree.id}.${character.id}.counted`}
              onAdd={(added, how) => put({ values: [...values, ...added], ...takenWith(read, added, how) })}
            />
          )}
          {!closed && character.tapped.length > 0 && (
            <PhotoMeasure
              bench={bench}
              sheet={sheet}
              character={character}
              onAdd={(added, how) => put({ values: [...values, ...added], ...takenWith(read, added, how) })}
            />
          )}
          <Button onClick={onSideBySide}>
            <Columns3 aria-hidden className="mr-2 inline size-4" />
            Side by side
          </Button>
          <Button
            aria-pressed={cover.on}
            className="aria-pressed:bg-ink aria-pressed:text-card"
            onClick={cover.toggle}
          >
            <EyeOff aria-hidden className="mr-2 inline size-4" />
            Cover the answers
          </Button>
        </div>
      </div>
    </>
  )
}

/** What was said of how something was read. */
function mannerOf({ certainty, material, position }: NewReading): Manner {
  return {
    ...(certainty ? { certainty } : {}),
    ...(material ? { material } : {}),
    ...(position ? { position } : {}),
  }
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
          This is read in {monthRuns(character.months)}. A reading now counts only{' '}
          {fractionWords(sheet.counts.outOfSeason)}.
        </Notice>
      )}
      {bench.notAtThisStage.includes(character.id) && (
        <Notice tone="waiting">
          No {bench.circumstances.stage} tree is said to bear it, so it is not asked for. What you do find
          counts in full.
        </Notice>
      )}
      {bench.dulled.includes(character.id) && (
        <Notice tone="waiting">
          You said that you do not {character.redGreen ? 'tell red from green' : 'smell'}: what you enter here
          counts {fractionWords(sheet.counts.lacking)}, and the check is offered last.
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
          <strong>{topicWords(hazard.topic)}.</strong> {hazard.text}
        </Notice>
      ))}
    </>
  )
}

function topicWords(topic: string): string {
  return topic.charAt(0).toUpperCase() + topic.slice(1).replaceAll('-', ' ')
}

/** How far the reading counts, and what one more would still bring; its line is there before anything is read. */
function Weighed({ bench, character }: { readonly bench: Bench; readonly character: Character }) {
  const weighed = bench.figures.weighed.find((one) => one.character === character.id)
  const reading = bench.readings.find((one) => one.reading.character === character.id)?.reading
  const made = reading?.states?.length ?? reading?.values?.length ?? 0
  const more = character.looks[made]
  return (
    <p className="min-h-12 text-quiet sm:min-h-6">
      {weighed && reading && (
        <>
          Counts with <Term id="weight">weight</Term>{' '}
          <span className="figure">{weighed.weight.toFixed(2)}</span>, worth{' '}
          <span className="figure">{weighed.looks.toFixed(1)}</span> <Term id="looks">independent looks</Term>
          {character.replicates > 1 && more !== undefined && (
            <>
              ; one more would bring <span className="figure">{(more - weighed.looks).toFixed(1)}</span>
            </>
          )}
          .
        </>
      )}
    </p>
  )
}
