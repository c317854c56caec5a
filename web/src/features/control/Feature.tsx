import type { NewReading, Sheet } from '../../api/types'
import { CoveredReading } from '../../common/bench/CoveredReading'
import type { Looking } from '../../common/control/lookStore'
import { Notice } from '../../ui/Notice'

type Props = {
  readonly sheet: Sheet
  readonly characterId: string
  readonly at: Looking
  readonly onRead: (reading: NewReading) => void
}

/** One feature that is read again at the tree. */
export function Feature({ sheet, characterId, at, onRead }: Props) {
  const character = sheet.characters.find(({ id }) => id === characterId)
  if (!character) return <Notice tone="wrong">The sheet has no character “{characterId}”.</Notice>
  return (
    <section
      aria-label={character.name}
      className="my-3 grid grid-cols-1 gap-3 rounded-plain border border-line p-3"
    >
      <div>
        <h4 className="text-lg">{character.name}</h4>
        <p className="leading-snug">{character.howTo}</p>
        {character.replicates > 1 && <p className="text-quiet">Look at {character.replicates} of them.</p>}
      </div>
      <CoveredReading
        sheet={sheet}
        character={character}
        read={at.readings.find((one) => one.character === characterId)}
        draftKey={`draft.${at.approvalId}.${characterId}`}
        onRead={onRead}
      />
    </section>
  )
}
