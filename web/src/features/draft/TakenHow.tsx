import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { MeasuringWay } from '../../api/types'
import { waysQuery } from '../../common/draft/queries'
import type { CharacterFile, MeasuredFile } from '../../common/draft/sheetFile'
import { Choice } from '../../ui/Choice'
import { Drawing } from '../../ui/Drawing'
import { Field } from '../../ui/Field'
import { Wrong } from './TaxaPart'

type Props = {
  readonly character: CharacterFile
  readonly set: (next: Partial<CharacterFile>) => void
  readonly disabled: boolean
  readonly wrong: (...keys: string[]) => string | undefined
}

const TYPED = '' // the number itself is said
/** How a number is taken: what a crew member lays, points at or counts, so that the page reckons. */
export function TakenHow({ character, set, disabled, wrong }: Props) {
  const ways = useQuery(waysQuery)
  const [asked, setAsked] = useState<number>()
  const fitting = (ways.data ?? []).filter((way) => way.gives === character.kind)
  const measured = character.measured
  const way = fitting.find((one) => one.as === measured?.as)
  const say = (key: string, value: MeasuredFile[string]) =>
    measured && set({ measured: { ...measured, [key]: value } })
  return (
    <fieldset disabled={disabled} className="grid gap-3">
      <legend className="font-semibold">How it is taken</legend>
      <div className="grid items-start gap-3 md:grid-cols-[minmax(0,1fr)_9rem]">
        <div className="grid gap-3 md:grid-cols-2">
          <Choice
            label="Asked for"
            options={[
              { value: TYPED, text: 'the number itself' },
              ...fitting.map((one) => ({ value: one.as as string, text: one.words })),
            ]}
            value={measured?.as ?? TYPED}
            onChange={(as) => set({ measured: blankOf(fitting.find((one) => one.as === as)) })}
          />
          {way?.asked.map((one) => (
            <Said
              key={`${way.as} ${one.key}`}
              asked={one}
              value={measured?.[one.key]}
              onSay={(value) => say(one.key, value)}
              onFocus={() => setAsked(one.part >= 0 ? one.part : undefined)}
              onBlur={() => setAsked(undefined)}
            />
          ))}
        </div>
        {character.draw && (
          <Drawing
            hint={hintOf(character.draw)}
            value={{ raw: 2, share: 0.5 }}
            asked={asked}
            className="size-36 rounded-plain border border-line bg-card"
          />
        )}
      </div>
      <p className="text-quiet">
        {way
          ? 'These are the words that a crew member reads beside the figure, on the leaf and on a photo. Where two characters ask for the same words, a leaf is measured once.'
          : 'A crew member types the number. Say how it is taken, and they type or tap its parts, and the page reckons.'}
      </p>
      <Wrong text={wrong('measured')} />
    </fieldset>
  )
}

function hintOf({ part, ...parameters }: NonNullable<CharacterFile['draw']>) {
  return { part, parameters }
}

/** What a sheet says of a way before anybody wrote anything; none: the number itself is said. */
function blankOf(way: MeasuringWay | undefined): MeasuredFile | undefined {
  if (!way) return undefined
  const blanks = { words: '', ends: ['', ''], share: '' } as const
  return { as: way.as, ...Object.fromEntries(way.asked.map((one) => [one.key, blanks[one.shape]])) }
}

type SaidProps = {
  readonly asked: MeasuringWay['asked'][number]
  readonly value: MeasuredFile[string] | undefined
  readonly onSay: (value: MeasuredFile[string]) => void
  readonly onFocus: () => void
  readonly onBlur: () => void
}

function Said({ asked, value, onSay, onFocus, onBlur }: SaidProps) {
  if (asked.shape === 'ends') {
    const [from = '', to = ''] = Array.isArray(value) ? (value as readonly string[]) : []
    return (
      <>
        <Field
          label={`${asked.words}: first`}
          value={from}
          onFocus={onFocus}
          onBlur={onBlur}
          onChange={(event) => onSay([event.target.value, to])}
        />
        <Field
          label={`${asked.words}: second`}
          value={to}
          onFocus={onFocus}
          onBlur={onBlur}
          onChange={(event) => onSay([from, event.target.value])}
        />
      </>
    )
  }
  if (asked.shape === 'share') {
    return (
      <Field
        label={asked.words}
        type="number"
        step="any"
        value={typeof value === 'number' ? value : ''}
        onFocus={onFocus}
        onBlur={onBlur}
        onChange={(event) => onSay(event.target.value === '' ? '' : Number(event.target.value))}
      />
    )
  }
  return (
    <Field
      label={asked.words}
      value={typeof value === 'string' ? value : ''}
      onFocus={onFocus}
      onBlur={onBlur}
      onChange={(event) => onSay(event.target.value)}
    />
  )
}
