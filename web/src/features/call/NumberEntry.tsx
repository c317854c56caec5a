import { X } from 'lucide-react'
import { type FormEvent, useRef, useState } from 'react'
import { useKeptText } from '../../api/kept'
import type { Character, Sheet } from '../../api/types'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { Notice } from '../../ui/Notice'
import { useKeys } from '../../ui/useKeys'
import { measured } from '../../ui/words'
import { Ruler } from './Ruler'
import { outermost, valueOn } from './rulerScale'

type Props = {
  readonly sheet: Sheet
  readonly character: Character
  readonly values: readonly number[]
  /** Whether the candidates' ranges are hidden. */
  readonly covered: boolean
  readonly draftKey: string
  readonly onChange: (values: number[]) => void
}

/** What is typed as a number of 0 or more; undefined: it is none. */
function typed(text: string): number | undefined {
  const value = Number(text.replace(',', '.'))
  return text.trim() !== '' && Number.isFinite(value) && value >= 0 ? value : undefined
}

/** Numbers, one per leaf, cone … What is typed stays typed until it is a number that can be kept. */
export function NumberEntry({ sheet, character, values, covered, draftKey, onChange }: Props) {
  const [text, setText] = useKeptText(draftKey)
  const [wrong, setWrong] = useState<string>()
  const [doubted, setDoubted] = useState<number>()
  const field = useRef<HTMLInputElement>(null)
  const isCount = character.kind === 'count'
  const start = (digit: string) => () => {
    setText(digit)
    field.current?.focus()
  }
  useKeys(Object.fromEntries(Array.from({ length: 9 }, (_, i) => [`${i + 1}`, start(`${i + 1}`)])))
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (text.trim() === '') return
    const value = typed(text)
    if (value === undefined || (isCount && !Number.isInteger(value))) {
      setWrong(
        `“${text}” is not ${isCount ? 'a whole number' : 'a number'} of 0 or more. It stays in the field; correct it and press Enter.`,
      )
      return
    }
    const [least, most] = outermost(character)
    if ((value < least || value > most) && doubted !== value) {
      setDoubted(value)
      setWrong(
        `Really ${measured(value, character.unit)}? Every candidate lies between ${least} and ${measured(most, character.unit)}. It stays in the field; press Enter again to keep it.`,
      )
      return
    }
    setWrong(undefined)
    setDoubted(undefined)
    setText('')
    onChange([...values, value])
  }
  return (
    <form onSubmit={submit} className="grid gap-3">
      <Ruler
        sheet={sheet}
        character={character}
        values={values}
        covered={covered}
        onDrop={(value) => onChange([...values, value])}
      />
      <div className="flex flex-wrap items-end gap-3">
        {character.figure && (
          <Drawing
            hint={character.figure}
            value={valueOn(character, typed(text) ?? values.at(-1))}
            className="size-32 shrink-0 rounded-plain border border-line bg-card"
          />
        )}
        <label className="font-semibold">
          {isCount ? 'Count' : 'Measure'}
          {character.unit ? ` in ${character.unit}` : ''}
          <input
            ref={field}
            className="figure mt-1 block min-h-12 w-36 rounded-plain border border-edge bg-card px-3 text-2xl"
            inputMode={isCount ? 'numeric' : 'decimal'}
            data-keys="letters"
            value={text}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => event.key === 'Escape' && field.current?.blur()}
            aria-invalid={wrong !== undefined}
            autoComplete="off"
          />
        </label>
        <Button type="submit" className="min-h-12">
          Add
        </Button>
        <p className="text-quiet">
          {values.length} of {character.replicates} so far
          {values.length > 1 &&
            `, mean ${(values.reduce((sum, value) => sum + value, 0) / values.length).toFixed(1)}`}
        </p>
      </div>
      {wrong && <Notice tone={doubted === undefined ? 'wrong' : 'waiting'}>{wrong}</Notice>}
      {values.length > 0 && (
        <ul aria-label="Values" className="flex flex-wrap gap-2">
          {values.map((value, i) => (
            // the same number may be read twice, so only its place tells it apart
            // biome-ignore lint/suspicious/noArrayIndexKey: see above
            <li key={i} className="flex items-center rounded-plain border border-ink bg-card">
              <span className="figure px-3 text-lg font-bold">{measured(value, character.unit)}</span>
              <button
                type="button"
                aria-label={`Take back ${value}`}
                onClick={() => onChange(values.filter((_, j) => j !== i))}
                className="grid size-11 place-items-center border-l border-line hover:bg-thistle-wash"
              >
                <X aria-hidden className="size-4" />
              </button>
            </li>
          ))}
        </ul>
      )}
    </form>
  )
}
