import { type FormEvent, type KeyboardEvent, useEffect, useLayoutEffect, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import { readKept, useKeptText } from '../../api/kept'
import type { Character } from '../../api/types'
import type { ValueTaken } from '../../reckoner/questions'
import { figures } from '../../reckoner/reckoner'
import { Button } from '../../ui/Button'
import { showEntered } from './asItStands'
import { useInstrument } from './instruments'
import { parseNumbers } from './numbers'
import { rounded } from './rulerScale'

type Props = {
  readonly versionId: string
  readonly character: Character
  /** What was measured on this leaf already where the same words were asked for, by place of the part. */
  readonly known: readonly (number | undefined)[]
  readonly draftKey: string
  /** Takes a value with the parts that it was taken from; false: it asks first, and they stay. */
  readonly onTake: (value: number, parts: readonly number[], turned: number | undefined) => boolean
  readonly onRefused: (why: string) => void
  /** Says which part is in hand; none: no field is. */
  readonly onPart: (part: number | undefined) => void
}

const LONGEST = 20 // letters
const BETWEEN = '\n' // in what is kept

/** The parts of one value, each in a field of its own: two rulers laid on a leaf, and the page divides. */
export function PartsRow({ versionId, character, known, draftKey, onTake, onRefused, onPart }: Props) {
  const [kept, keep] = useKeptText(draftKey)
  const texts = character.parts.map((_, i) => kept.split(BETWEEN)[i] ?? '')
  const fields = useRef<(HTMLInputElement | null)[]>([])
  const shown = shownOf(texts, known)
  const parts = partsOf(shown, character)
  const taken = useTaken(versionId, character.id, parts)
  const inTurn = useRef(Promise.resolve())
  const latest = useRef(onTake) // a leaf may be typed while the one before it is still reckoned
  useLayoutEffect(() => {
    latest.current = onTake
  }, [onTake])

  const change = (i: number, text: string) => {
    // several in one field go on into the next ones
    const words = text.trim().split(/[/\s;]+/)
    if (words.length > 1 && /[/\s;]\S/.test(text.trim())) {
      keep(texts.map((one, k) => words[k - i] ?? one).join(BETWEEN))
      fields.current[Math.min(i + words.length, texts.length) - 1]?.focus()
    } else keep(texts.map((one, k) => (k === i ? text : one)).join(BETWEEN))
  }
  /** Takes what stands in the fields; they are free at once, so that whatever is typed meanwhile is of the next leaf. */
  const take = (typed: readonly string[] = texts) => {
    const seen = shownOf(typed, known)
    const all = partsOf(seen, character)
    if (!all) {
      fields.current[seen.findIndex((_, i) => numbersIn(seen, i, character).length !== 1)]?.focus()
      return
    }
    keep('')
    fields.current[0]?.focus()
    inTurn.current = inTurn.current.then(() => finish(typed, all))
  }
  const finish = async (typed: readonly string[], all: readonly number[]) => {
    const told = await reckoned(versionId, character.id, all)
    const next = readKept(draftKey, '')
    if (told.value === undefined) onRefused(told.refused ?? '')
    else if (latest.current(told.value, all, told.turned)) {
      flushSync(showEntered) // the next leaf is put beside this one
      return
    }
    if (next.split(BETWEEN).join('') === '') {
      keep(typed.join(BETWEEN))
      fields.current.at(-1)?.focus()
    } else onRefused(`${all.join(' / ')} was not taken, since the next leaf was begun`)
  }
  // what a caliper sends goes into the field in hand, else into the first that is open, and on from there
  useInstrument((millimetres) => {
    const inHand = fields.current.indexOf(document.activeElement as HTMLInputElement)
    const i = inHand >= 0 ? inHand : texts.findIndex((text) => text.trim() === '')
    const part = character.parts[i]
    if (!part || part.counts || character.kind === 'angle') return undefined
    const next = texts.map((text, k) => (k === i ? `${millimetres}` : text))
    keep(next.join(BETWEEN))
    if (partsOf(shownOf(next, known), character)) take(next)
    else fields.current[i + 1]?.focus()
    return part.words
  })
  const press = (event: KeyboardEvent, i: number) => {
    if (event.key === 'Escape') fields.current[i]?.blur()
    if (event.key !== 'Enter') return
    event.preventDefault()
    if (i + 1 < texts.length && shown[i] !== '' && (texts[i + 1] ?? '') === '' && known[i + 1] === undefined)
      fields.current[i + 1]?.focus()
    else take()
  }
  return (
    <form
      onSubmit={(event: FormEvent) => {
        event.preventDefault()
        take()
      }}
      aria-label="Part by part"
      className="flex flex-wrap items-end gap-x-3 gap-y-2"
    >
      {character.parts.map((part, i) => (
        <label key={part.words} className="w-38 text-sm leading-tight font-semibold">
          {part.words}
          {part.counts ? '' : character.kind === 'angle' ? ', °' : ', mm'}
          <input
            ref={(field) => {
              fields.current[i] = field
            }}
            className="figure mt-1 block min-h-11 w-24 rounded-plain border border-edge bg-card px-3 text-xl font-normal"
            inputMode={part.counts ? 'numeric' : 'decimal'}
            enterKeyHint={i + 1 < texts.length ? 'next' : 'done'}
            maxLength={LONGEST}
            autoComplete="off"
            placeholder={known[i]?.toString()}
            value={texts[i]}
            onChange={(event) => change(i, event.target.value)}
            onKeyDown={(event) => press(event, i)}
            onFocus={() => onPart(i)}
            onBlur={() => onPart(undefined)}
          />
        </label>
      ))}
      <output
        className="figure min-h-11 min-w-16 content-center text-xl font-bold"
        aria-label="What comes of them"
      >
        {taken?.value === undefined ? '' : `= ${rounded(Number(taken.value.toFixed(3)))}`}
      </output>
      <Button type="submit" className="px-3!">
        Add <span className="sr-only">from parts</span>
      </Button>
    </form>
  )
}

/** What stands in the fields, or was known before. */
function shownOf(texts: readonly string[], known: Props['known']): readonly string[] {
  return texts.map((text, i) => (text.trim() === '' ? (known[i]?.toString() ?? '') : text))
}

function numbersIn(shown: readonly string[], i: number, { parts }: Character): readonly number[] {
  return parseNumbers(shown[i] ?? '', parts[i]?.counts ?? false).numbers
}

/** One number a part; undefined: not all are there. */
function partsOf(shown: readonly string[], character: Character): readonly number[] | undefined {
  const numbers = shown.map((_, i) => numbersIn(shown, i, character))
  return numbers.every((one) => one.length === 1) ? numbers.flat() : undefined
}

/** What comes of the parts, as soon as all are there. */
function useTaken(
  versionId: string,
  character: string,
  parts: readonly number[] | undefined,
): ValueTaken | undefined {
  const key = parts?.join(' ')
  const [told, setTold] = useState<{ readonly key: string; readonly taken: ValueTaken }>()
  useEffect(() => {
    if (key === undefined) return
    let wanted = true
    reckoned(versionId, character, key.split(' ').map(Number)).then((taken) => {
      if (wanted) setTold({ key, taken })
    })
    return () => {
      wanted = false
    }
  }, [versionId, character, key])
  return told?.key === key ? told?.taken : undefined
}

/** What comes of parts; where the core could not be loaded, why not. */
export async function reckoned(
  versionId: string,
  character: string,
  parts: readonly number[],
): Promise<ValueTaken> {
  try {
    return await figures.ask({ what: 'taken', versionId, character, parts })
  } catch {
    return {
      refused: 'This page could not load what reckons. Enter the number itself, or load the page again.',
    }
  }
}
