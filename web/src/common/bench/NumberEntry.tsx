import { X } from 'lucide-react'
import { type FormEvent, type KeyboardEvent, useLayoutEffect, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import { readKept, useKeptText } from '../../api/kept'
import type { Character, Sheet, Taken } from '../../api/types'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { MEANT_ELSEWHERE, useKeys } from '../../ui/useKeys'
import { measured, toItsError } from '../../ui/words'
import { showEntered } from './asItStands'
import { useInstrument } from './instruments'
import { parseNumbers } from './numbers'
import { PartsRow, reckoned } from './PartsRow'
import { Ruler } from './Ruler'
import { meanOf, outermost, rounded, valueOn } from './rulerScale'

type Props = {
  readonly sheet: Sheet
  readonly character: Character
  readonly values: readonly number[]
  /** Whether the candidates' ranges are hidden. */
  readonly covered: boolean
  readonly draftKey: string
  /** How the values were taken, one for each. */
  readonly taken?: readonly Taken[]
  /** What was measured already on each leaf where the same words were asked for, by place of the part. */
  readonly known?: readonly (readonly number[])[]
  readonly onAdd: (values: readonly number[], taken?: readonly Taken[]) => void
  /** The place of the one to take out. */
  readonly onTakeOut: (place: number) => void
}

/** A question or a complaint about what is typed; it goes with the text, and with the values that it was asked over. */
type Said = { readonly words: string; readonly text: string; readonly count: number; readonly doubt: boolean }

const LONGEST = 60 // letters

/** Numbers, one per leaf, cone … What is typed stays typed until it is numbers that can be kept. */
export function NumberEntry({
  sheet,
  character,
  values,
  covered,
  draftKey,
  taken = [],
  known = [],
  onAdd,
  onTakeOut,
}: Props) {
  const [text, setText] = useKeptText(draftKey)
  const [last, setLast] = useState<Said>()
  const said = last?.text === text && last.count === values.length ? last : undefined
  const [part, setPart] = useState<number>()
  const field = useRef<HTMLInputElement>(null)
  const inTurn = useRef(Promise.resolve())
  const latest = useRef({ onAdd, count: values.length }) // a leaf may be typed while the one before it is still reckoned
  useLayoutEffect(() => {
    latest.current = { onAdd, count: values.length }
  }, [onAdd, values.length])
  const isCount = character.kind === 'count'
  const limits = outermost(character)
  const start = (digit: string) => () => {
    setText(digit)
    field.current?.focus()
  }
  useKeys(Object.fromEntries(Array.from({ length: 10 }, (_, i) => [`${i}`, start(`${i}`)])))
  const say = (words: string, doubt: boolean) => setLast({ words, text, count: values.length, doubt })

  const hasParts = (character.parts ?? []).length > 1
  const keys = hasParts ? 'letters' : 'letters /' // between two parts a slash belongs here
  /** What is asked once of a value beyond all candidates; undefined: it lies within, or is meant. */
  const doubtOf = (value: number, turned?: number): string | undefined => {
    const [least, most] = limits
    if ((value >= least && value <= most) || said?.doubt) return undefined
    const isTurned = turned !== undefined && turned >= least && turned <= most
    return isTurned
      ? `Is that ${character.parts[0]?.words} first? The other way round it were ${measured(short(turned), character.unit)}. Enter again keeps it as typed.`
      : `Really ${measured(short(value), character.unit)}? Every candidate lies between ${least} and ${measured(most, character.unit)}. Enter again keeps it.`
  }
  const isMeant = (value: number, turned?: number): boolean => {
    const doubt = doubtOf(value, turned)
    if (doubt) say(doubt, true)
    return !doubt
  }
  /** Takes a value with the parts that it was taken from. */
  const takeParts = (value: number, parts: readonly number[], turned: number | undefined): boolean => {
    if (!isMeant(value, turned)) return false
    setLast(undefined)
    onAdd([value], [{ parts: [...parts] }])
    return true
  }
  /** Puts back what could not be taken, before whatever was typed since. */
  const giveBack = (typed: string, words: string, doubt = false) => {
    const since = readKept(draftKey, '')
    const back = since === '' ? typed : `${typed} ${since}`
    setText(back)
    setLast({ words, text: back, count: latest.current.count, doubt })
  }
  /** Reckons what was typed as parts, such as 24/18, one word a leaf; the field is free meanwhile. */
  const reckon = async (typed: string) => {
    const added: number[] = []
    const from: Taken[] = []
    for (const leaf of typed.trim().split(/[\s;]+/)) {
      const parts = leaf.split('/').map((one) => parseNumbers(one, false).numbers[0] ?? Number.NaN)
      if (parts.some(Number.isNaN)) {
        const asked = character.parts.map((one) => one.words).join(' / ')
        return giveBack(typed, `“${leaf}” is not ${asked}. It stays here; correct it.`)
      }
      const { value, turned, refused } = await reckoned(sheet.versionId, character.id, parts)
      if (value === undefined) return giveBack(typed, `${refused}. It stays here; correct it.`)
      const doubt = doubtOf(value, turned)
      if (doubt) return giveBack(typed, doubt, true)
      added.push(value)
      from.push({ parts })
    }
    latest.current.onAdd(added, from)
    flushSync(showEntered) // what is typed next is put beside these
  }

  /** Takes what is typed, if it is numbers; false: it stays, and it is said why. */
  const take = (): boolean => {
    if (text.trim() === '') return true
    if (hasParts && text.includes('/')) {
      setText('') // at once, so that no press takes it twice
      inTurn.current = inTurn.current.then(() => reckon(text))
      return false
    }
    const { numbers, wrong } = parseNumbers(text, isCount, limits)
    if (wrong !== undefined) {
      say(
        `“${wrong}” is not ${isCount ? 'a whole number' : 'a number'} of 0 or more. It stays here; correct it and press Enter.`,
        false,
      )
      return false
    }
    if (!numbers.every((value) => isMeant(value))) return false
    setText('')
    onAdd(numbers)
    return true
  }
  useInstrument((millimetres) => {
    if (hasParts || character.kind !== 'length') return undefined
    if (isMeant(millimetres)) onAdd([millimetres])
    else setText(`${millimetres}`) // stands there with the question
    return character.name
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    take()
  }
  const press = (event: KeyboardEvent) => {
    if (event.key === 'Escape') field.current?.blur()
    if (event.ctrlKey || event.metaKey || event.altKey || !MEANT_ELSEWHERE[keys].test(event.key)) return
    // no letter belongs here: the number is taken first, then the letter does what it does, and knows of the number; if it
    // cannot be taken, nothing does
    let taken = false
    flushSync(() => {
      taken = take()
      showEntered()
    })
    if (taken) field.current?.blur()
    else event.preventDefault()
  }
  const typed = parseNumbers(text, isCount, limits)
  const alike = (character.parts ?? []).length === 1 ? (known[0] ?? []).slice(values.length) : []
  const errors = taken.map((one) => one.error)
  return (
    <div className="grid gap-2">
      <form onSubmit={submit} className="grid gap-2">
        <Ruler
          sheet={sheet}
          character={character}
          values={values}
          errors={errors}
          covered={covered}
          onDrop={(value) => onAdd([value])}
        />
        <div className="grid grid-cols-[auto_minmax(0,1fr)] items-start gap-x-3 gap-y-1 sm:grid-cols-[auto_auto_minmax(0,1fr)]">
          {character.figure && (
            <Drawing
              hint={character.figure}
              value={valueOn(character, typed.numbers.at(-1) ?? values.at(-1))}
              asked={part}
              className="row-span-2 size-26 shrink-0 rounded-plain border border-line bg-card max-sm:row-span-1 max-sm:size-20"
            />
          )}
          <div className="row-span-2 flex items-end gap-2 max-sm:row-span-1">
            <label className="min-w-0 font-semibold">
              {isCount ? 'Count' : 'Measure'}
              {character.unit ? ` in ${character.unit}` : ''}
              <input
                ref={field}
                className="figure mt-1 block min-h-11 w-36 rounded-plain border border-edge bg-card px-3 text-2xl max-sm:w-28"
                inputMode={isCount ? 'numeric' : 'decimal'}
                enterKeyHint="done"
                maxLength={LONGEST}
                data-keys={keys}
                value={text}
                onChange={(event) => setText(event.target.value)}
                onKeyDown={press}
                aria-invalid={said !== undefined && !said.doubt}
                autoComplete="off"
              />
            </label>
            <Button type="submit" className="px-3!">
              Add
            </Button>
          </div>
          {/* as high as the longest of these needs, so that nothing moves when it changes */}
          <p
            role="status"
            className={`h-19 overflow-hidden leading-tight max-sm:col-span-2 max-sm:h-15 ${said ? 'font-bold text-rust-ink' : 'text-quiet'}`}
          >
            {said?.words ??
              (typed.parted ? `${typed.numbers.join(' · ')}: Enter keeps them.` : undefined) ??
              `${values.length} of ${character.replicates} so far${values.length > 1 ? `, mean ${meanOf(values, errors)}` : ''}`}
          </p>
          <ul
            aria-label="Values"
            tabIndex={-1}
            className="flex h-12 items-center gap-1.5 overflow-x-auto overflow-y-hidden max-sm:col-span-2"
          >
            {values.map((value, i) => (
              <li
                // biome-ignore lint/suspicious/noArrayIndexKey: the same number may be read twice, so only its place tells it apart
                key={i}
                className="flex shrink-0 items-center rounded-plain border border-ink bg-card"
              >
                <span className="figure px-2 text-lg font-bold">{shown(value, taken[i]?.error)}</span>
                {taken[i]?.error ? (
                  <span className="figure pr-2 text-sm text-quiet">
                    ± {shown(taken[i]?.error ?? 0, taken[i]?.error)}
                  </span>
                ) : null}
                {taken[i]?.parts && (
                  <span className="figure pr-2 text-sm text-quiet">{taken[i]?.parts?.join(' / ')}</span>
                )}
                <button
                  type="button"
                  aria-label={`Take back ${shown(value, taken[i]?.error)}`}
                  onClick={() => onTakeOut(i)}
                  className="grid size-11 place-items-center border-l border-line hover:bg-thistle-wash"
                >
                  <X aria-hidden className="size-4" />
                </button>
              </li>
            ))}
          </ul>
        </div>
      </form>
      {hasParts && (
        <PartsRow
          versionId={sheet.versionId}
          character={character}
          known={character.parts.map((_, i) => known[i]?.[values.length])}
          draftKey={`${draftKey}.parts`}
          onTake={takeParts}
          onPart={setPart}
          onRefused={(why) => say(`${why}. They stay here; correct them.`, false)}
        />
      )}
      {alike.length > 0 && (
        <p className="flex flex-wrap items-center gap-x-3 border-t border-line pt-2">
          <Button onClick={() => onAdd(alike)}>
            Take {alike.length === 1 ? 'the one' : `the ${alike.length}`} measured already
          </Button>
          <span className="text-quiet">
            {character.parts[0]?.words}: <span className="figure">{alike.join(' · ')}</span>
          </span>
        </p>
      )}
    </div>
  )
}

/** A value as it is shown: what is reckoned has more digits than anybody reads. */
function short(value: number): number {
  return rounded(Number(value.toFixed(3)))
}

/** A value as it is shown: with what its error leaves of it, where it has one. */
function shown(value: number, error: number | null | undefined): number {
  return error ? toItsError(value, error) : short(value)
}
