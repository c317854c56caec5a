import { Hash } from 'lucide-react'
import { useState } from 'react'
import { useKeptText } from '../../api/kept'
import type { Character, Sheet as GroupSheet, Taken } from '../../api/types'
import { reckoned } from '../../common/bench/PartsRow'
import { outermost, valueOn } from '../../common/bench/rulerScale'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { Sheet } from '../../ui/Sheet'
import { useKeys } from '../../ui/useKeys'

type Props = {
  readonly sheet: GroupSheet
  readonly character: Character
  readonly draftKey: string
  readonly onAdd: (values: readonly number[], taken: readonly Taken[]) => void
}

const BETWEEN = ' ' // in what is kept
const FELT = 18 // milliseconds that a touch is felt in the hand

/** Counts by touch: one press each, so that the eye stays on the leaf; of two sorts one after the other. */
export function CountUp({ sheet, character, draftKey, onAdd }: Props) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Hash aria-hidden className="mr-2 inline size-4" />
        Count by touch
      </Button>
      <Sheet title={`Count: ${character.name}`} open={open} onOpenChange={setOpen}>
        {open && (
          <Counting
            sheet={sheet}
            character={character}
            draftKey={draftKey}
            onAdd={onAdd}
            onDone={() => setOpen(false)}
          />
        )}
      </Sheet>
    </>
  )
}

type CountingProps = Props & { readonly onDone: () => void }

function Counting({ sheet, character, draftKey, onAdd, onDone }: CountingProps) {
  const [kept, keep] = useKeptText(draftKey)
  const counts = character.parts.map((_, i) => Number(kept.split(BETWEEN)[i] ?? '') || 0)
  const [part, setPart] = useState(0)
  const [why, setWhy] = useState<string>()
  const [keeping, setKeeping] = useState(false)
  const words = character.parts[part]?.words
  const count = (by: 1 | -1) => {
    navigator.vibrate?.(FELT)
    setWhy(undefined)
    keep(counts.map((one, i) => Math.max(0, i === part ? one + by : one)).join(BETWEEN))
  }
  useKeys({ '+': () => count(1), '-': () => count(-1) })
  const finish = async () => {
    setKeeping(true)
    const { value, refused } = await reckoned(sheet.versionId, character.id, counts)
    if (value === undefined) {
      setKeeping(false)
      setWhy(`${refused}. The counts stand; correct them.`)
      return
    }
    keep('')
    onAdd([value], [{ parts: counts }])
    onDone()
  }
  const [, most] = outermost(character)
  return (
    <div className="grid gap-3">
      <div className="flex items-center gap-4">
        {character.figure && (
          <Drawing
            hint={character.figure}
            value={valueOn(character, Math.min(most, counts[0] ?? 0))}
            asked={character.parts.length > 1 ? part : undefined}
            className="size-28 shrink-0 rounded-plain border border-line bg-card"
          />
        )}
        <p role="status" className="text-lg leading-tight">
          {character.parts.map((one, i) => (
            <span key={one.words} className={`block ${i === part ? 'font-bold' : 'text-quiet'}`}>
              <span className="figure text-3xl">{counts[i]}</span> {one.words}
            </span>
          ))}
        </p>
      </div>
      <Button look="main" className="min-h-32! text-4xl!" onClick={() => count(1)}>
        +1
        <span className="sr-only"> {words}</span>
      </Button>
      <div className="flex flex-wrap gap-2">
        <Button disabled={counts[part] === 0} onClick={() => count(-1)}>
          Take the last one back
        </Button>
        {part + 1 < character.parts.length ? (
          <Button onClick={() => setPart(part + 1)}>Now {character.parts[part + 1]?.words}</Button>
        ) : (
          <Button disabled={keeping} onClick={() => void finish()}>
            Keep this count
          </Button>
        )}
      </div>
      {why && <p className="text-rust-ink">{why}</p>}
    </div>
  )
}
