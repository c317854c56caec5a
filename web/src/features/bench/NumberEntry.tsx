import { X } from 'lucide-react'
import { type FormEvent, type KeyboardEvent, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import { useKeptText } from '../../api/kept'
import type { Character, Sheet } from '../../api/types'
import { showEntered } from '../../common/bench/asItStands'
import { meanOf, outermost, valueOn } from '../../common/bench/rulerScale'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { useKeys } from '../../ui/useKeys'
import { measured } from '../../ui/words'
import { parseNumbers } from './numbers'
import { Ruler } from './Ruler'

type Props = {
  readonly sheet: Sheet
  readonly character: Character
  readonly values: readonly number[]
  /** Whether the candidates' ranges are hidden. */
  readonly covered: boolean
  readonly draftKey: string
  readonly onAdd: (values: readonly number[]) => void
  /** The place of the one to take out. */
  readonly onTakeOut: (place: number) => void
}

/** A question or a complaint about what is typed; it goes with the text, and with the values that it was asked over. */
type Said = { readonly words: string; readonly text: string; readonly count: number; readonly doubt: boolean }

const LONGEST = 60 // letters

/** Numbers, one per leaf, cone … What is typed stays typed until it is numbers that can be kept. */
export function NumberEntry({ sheet, character, values, covered, draftKey, onAdd, onTakeOut }: Props) {
  const [text, setText] = useKeptText(draftKey)
  const [last, setLast] = useState<Said>()
  const said = last?.text === text && last.count === values.length ? last : undefined
  const field = useRef<HTMLInputElement>(null)
  const isCount = character.kind === 'count'
  const limits = outermost(character)
  const start = (digit: string) => () => {
    setText(digit)
    field.current?.focus()
  }
  useKeys(Object.fromEntries(Array.from({ length: 10 }, (_, i) => [`${i}`, start(`${i}`)])))
  const say = (words: string, doubt: boolean) => setLast({ words, text, count: values.length, doubt })

  /** Takes what is typed, if it is numbers; false: it stays, and it is said why. */
  const take = (): boolean => {
    if (text.trim() === '') return true
    const { numbers, wrong } = parseNumbers(text, isCount, limits)
    if (wrong !== undefined) {
      say(
        `“${wrong}” is not ${isCount ? 'a whole number' : 'a number'} of 0 or more. It stays here; correct it and press Enter.`,
        false,
      )
      return false
    }
    const [least, most] = limits
    const odd = numbers.find((value) => value < least || value > most)
    if (odd !== undefined && !said?.doubt) {
      say(
        `Really ${measured(odd, character.unit)}? Every candidate lies between ${least} and ${measured(most, character.unit)}. Enter again keeps it.`,
        true,
      )
      return false
    }
    setText('')
    onAdd(numbers)
    return true
  }
  const submit = (event: FormEvent) => {
    event.preventDefault()
    take()
  }
  const press = (event: KeyboardEvent) => {
    if (event.key === 'Escape') field.current?.blur()
    if (event.ctrlKey || event.metaKey || event.altKey || !/^[a-z?/]$/.test(event.key)) return
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
  return (
    <form onSubmit={submit} className="grid gap-2">
      <Ruler
        sheet={sheet}
        character={character}
        values={values}
        covered={covered}
        onDrop={(value) => onAdd([value])}
      />
      <div className="grid grid-cols-[auto_minmax(0,1fr)] items-start gap-x-3 gap-y-1 sm:grid-cols-[auto_auto_minmax(0,1fr)]">
        {character.figure && (
          <Drawing
            hint={character.figure}
            value={valueOn(character, typed.numbers.at(-1) ?? values.at(-1))}
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
              data-keys="letters"
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
            `${values.length} of ${character.replicates} so far${values.length > 1 ? `, mean ${meanOf(values)}` : ''}`}
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
              <span className="figure px-2 text-lg font-bold">{value}</span>
              <button
                type="button"
                aria-label={`Take back ${value}`}
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
  )
}
