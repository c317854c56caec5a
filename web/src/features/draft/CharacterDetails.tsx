import {
  ABSENCES,
  type Absence,
  CAUTION_TOPICS,
  choiceOf,
  HARMS,
  type Harm,
  MATERIALS,
  POSITIONS,
  SENSES,
  STAGES,
} from '../../api/codes'
import type { CharacterFile } from '../../common/draft/sheetFile'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { TextArea } from '../../ui/TextArea'
import { Bearing } from './Bearing'
import { Factor, Factors } from './Factors'
import { Wrong } from './TaxaPart'

const HARM_WORDS: Readonly<Record<Harm, string>> = {
  none: 'none',
  sample: 'a leaf or twig is taken',
  wound: 'wounds the tree',
}
const HARM_CHOICES = HARMS.map((value) => ({ value, text: HARM_WORDS[value] }))
const ABSENCE_WORDS: Readonly<Record<Absence, string>> = {
  informative: 'tells as much',
  weak: 'tells little',
}
const ABSENCE_CHOICES = ABSENCES.map((value) => ({ value, text: ABSENCE_WORDS[value] }))

type DetailsProps = {
  readonly character: CharacterFile
  readonly set: (next: Partial<CharacterFile>) => void
  readonly disabled: boolean
  readonly wrong: (...keys: string[]) => string | undefined
}

/** What is seldom changed: replicates, effort, multipliers, words. */
export function Details({ character, set, disabled, wrong }: DetailsProps) {
  const multipliers = [
    ['By life stage', 'stages', STAGES],
    ['By where the material came from', 'materials', MATERIALS],
    ['By place in the crown', 'positions', POSITIONS],
  ] as const
  return (
    <div className="grid gap-4 rounded-plain border border-line bg-card p-4">
      <TextArea
        label="How to look"
        value={character.howTo}
        disabled={disabled}
        onChange={(event) => set({ howTo: event.target.value })}
      />
      <Wrong text={wrong('howTo')} />
      <TextArea
        label="How people get it wrong"
        value={character.pitfall ?? ''}
        disabled={disabled}
        onChange={(event) => set({ pitfall: event.target.value === '' ? null : event.target.value })}
      />
      <div className="grid gap-4 md:grid-cols-2">
        {multipliers.map(([label, key, codes]) => (
          <Factors
            key={key}
            label={label}
            codes={codes}
            values={character[key] ?? {}}
            unlisted={1}
            disabled={disabled}
            wrong={wrong(key)}
            onChange={(values) => set({ [key]: values })}
          />
        ))}
      </div>
      <Bearing
        values={character.borne ?? {}}
        disabled={disabled}
        wrong={wrong('borne')}
        onChange={(borne) => set({ borne })}
      />
      <fieldset disabled={disabled} className="grid gap-3 md:grid-cols-3">
        <Field
          label="Leaves, cones … for a fair reading"
          type="number"
          min={1}
          value={character.replicates}
          wrong={wrong('replicates')}
          onChange={(event) => set({ replicates: Number(event.target.value) })}
        />
        <Field
          label="Minutes for it"
          type="number"
          step="any"
          value={character.minutes}
          wrong={wrong('minutes')}
          onChange={(event) => set({ minutes: Number(event.target.value) })}
        />
        <Field
          label="One signal with"
          hint="a name shared by characters that are one signal"
          value={character.cluster ?? ''}
          onChange={(event) => set({ cluster: event.target.value.trim() === '' ? null : event.target.value })}
        />
        <Choice
          label="Harm"
          options={HARM_CHOICES}
          value={character.harm}
          onChange={(harm) => set({ harm })}
        />
        <Choice
          label="Sense"
          options={SENSES.map(choiceOf)}
          value={character.sense}
          onChange={(sense) => set({ sense })}
        />
        <Choice
          label="Not seeing it"
          options={ABSENCE_CHOICES}
          value={character.absence}
          onChange={(absence) => set({ absence })}
        />
      </fieldset>
      <Factor
        label="How alike those of one tree are"
        value={character.likeness}
        disabled={disabled}
        wrong={wrong('likeness')}
        onChange={(likeness) => set({ likeness })}
      />
      <fieldset disabled={disabled}>
        <legend className="font-semibold">Hazards while checking</legend>
        <div className="flex flex-wrap gap-x-5">
          {CAUTION_TOPICS.map((topic) => (
            <label key={topic} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={character.hazard.includes(topic)}
                onChange={(event) =>
                  set({
                    hazard: event.target.checked
                      ? [...character.hazard, topic]
                      : character.hazard.filter((one) => one !== topic),
                  })
                }
              />
              {topic.replaceAll('-', ' ')}
            </label>
          ))}
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={character.redGreen === true}
              onChange={(event) => set({ redGreen: event.target.checked })}
            />
            needs red told from green
          </label>
        </div>
        <Wrong text={wrong('hazard')} />
      </fieldset>
    </div>
  )
}
