import type { ReactNode } from 'react'
import type { Character, Figures, NewReading } from '../../api/types'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { monthRuns } from '../../ui/words'
import type { Entry } from './entries'
import { NumberEntry } from './NumberEntry'
import { StateTiles } from './StateTiles'

const CERTAINTIES = ['sure', 'fairly', 'unsure'].map((value) => ({ value, text: value }))
const MATERIALS = ['attached', 'fallen', 'litter'].map((value) => ({ value, text: value }))
const POSITIONS = ['sun', 'shade', 'sprout'].map((value) => ({ value, text: value }))

type Props = {
  /** What to look at next, shown above the check. */
  readonly next: ReactNode
  readonly character: Character
  readonly entry: Entry | undefined
  readonly weighed: Figures['weighed'][number] | undefined
  readonly outOfSeason: boolean
  readonly draftKey: string
  readonly onRecord: (reading: NewReading) => void
  readonly onDrop: (unsentId: string) => void
}

/** The check in hand: what to look at, how, and what is seen. Every touch is recorded at once. */
export function Check({ next, character, entry, weighed, outOfSeason, draftKey, onRecord, onDrop }: Props) {
  const seen: NewReading = {
    certainty: 'sure',
    ...(character.materialMatters ? { material: 'attached' } : {}),
    ...(character.positionMatters ? { position: 'sun' } : {}),
    ...entry?.reading,
    character: character.id,
    notSeen: false,
  }
  const hasSeen = Boolean(seen.states?.length || seen.values?.length)
  const put = (change: Partial<NewReading>) => onRecord({ ...seen, ...change })

  return (
    <section
      aria-label="The check in hand"
      id="check"
      className="relative scroll-mt-2 p-5 lg:overflow-y-auto"
    >
      {next}
      <h2 className="text-3xl">{character.name}</h2>
      <p className="mb-3 text-quiet">
        {character.organ} · {character.replicates > 1 ? `look at ${character.replicates}` : 'one look'} ·{' '}
        {character.minutes} min{character.harm === 'sample' ? ' · a leaf or twig is taken' : ''}
      </p>
      <div className="grid gap-4">
        {outOfSeason && (
          <Notice tone="waiting">
            This is read in {monthRuns(character.months)}. A reading now counts only a quarter.
          </Notice>
        )}
        {character.hazards.map((hazard) => (
          <Notice key={hazard.topic} tone="wrong">
            <strong className="capitalize">{hazard.topic.replace('-', ' ')}.</strong> {hazard.text}
          </Notice>
        ))}
        {character.states.length > 0 ? (
          <StateTiles character={character} seen={seen.states ?? []} onChange={(states) => put({ states })} />
        ) : (
          <NumberEntry
            character={character}
            values={seen.values ?? []}
            draftKey={draftKey}
            onChange={(values) => put({ values })}
          />
        )}
        {entry?.unsent?.refused && (
          <Notice tone="wrong">
            {entry.unsent.refused} What you entered stays here.{' '}
            <Button onClick={() => entry.unsent && onDrop(entry.unsent.id)}>Drop it</Button>
          </Notice>
        )}
        <div className="flex flex-wrap gap-3">
          <OneOf
            label="Certainty"
            options={CERTAINTIES}
            value={hasSeen ? (seen.certainty ?? 'sure') : ''}
            onChange={(certainty) => hasSeen && put({ certainty })}
          />
          {character.materialMatters && (
            <OneOf
              label="Material"
              options={MATERIALS}
              value={hasSeen ? (seen.material ?? '') : ''}
              onChange={(material) => hasSeen && put({ material })}
            />
          )}
          {character.positionMatters && (
            <OneOf
              label="Position"
              options={POSITIONS}
              value={hasSeen ? (seen.position ?? '') : ''}
              onChange={(position) => hasSeen && put({ position })}
            />
          )}
          <Button
            aria-pressed={entry?.reading.notSeen ?? false}
            className="aria-pressed:bg-ink aria-pressed:text-card"
            onClick={() => onRecord({ character: character.id, notSeen: true })}
          >
            Not seen
          </Button>
        </div>
        {weighed && (
          <p className="text-quiet">
            Counts with weight <span className="figure">{weighed.weight.toFixed(2)}</span>, worth{' '}
            <span className="figure">{weighed.looks.toFixed(1)}</span> independent looks.
          </p>
        )}
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
      </div>
    </section>
  )
}
