import { Undo2 } from 'lucide-react'
import type { Character, Sheet } from '../../api/types'
import { CoveredReading } from '../../common/bench/CoveredReading'
import { knownOf } from '../../common/bench/leaves'
import type { Work } from '../../common/bench/useWork'
import type { Shown } from '../../reckoner/questions'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { counted } from '../../ui/words'
import { Specimen } from './Specimen'

type Props = {
  readonly tryId: string
  readonly sheet: Sheet
  readonly character: Character
  readonly shown: Shown
  readonly work: Work
}

/** A check of a practice tree: the specimen above, the answers below; what a state would mean stays covered. */
export function PracticeCheck({ tryId, sheet, character, shown, work }: Props) {
  const read = work.entries.get(character.id)?.reading
  const several = character.replicates > 1
  const looked = (read?.states ?? []).length + (read?.values ?? []).length
  return (
    <>
      <h2 className="text-2xl">{character.name}</h2>
      <p className="mb-2 text-quiet">
        {character.organ} · {several ? `${character.replicates} looks` : 'one look'} ·{' '}
        {counted(shown.minutes, 'minute')}
      </p>
      <div className="grid grid-cols-1 gap-3">
        {character.harm === 'wound' && (
          <Notice tone="wrong">
            On a tree that stands this is a wound: only where the survey and your district’s rules allow it.
            Here it costs the {counted(shown.minutes, 'minute')} that one would rather work than wound.
          </Notice>
        )}
        <Specimen character={character} shown={shown} looked={looked} />
        <CoveredReading
          sheet={sheet}
          character={character}
          read={read}
          draftKey={`draft.${tryId}.${character.id}`}
          known={knownOf(sheet, character, work.entries)}
          keys
          onRead={work.record}
        />
        <p className="leading-snug">
          <strong>How to look.</strong> {character.howTo}
        </p>
        <div>
          <Button onClick={work.undo}>
            <Undo2 aria-hidden className="mr-2 inline size-4" />
            Undo
          </Button>
        </div>
      </div>
    </>
  )
}
