import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-react'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Mark } from '../../ui/Mark'
import { DrawHint } from './DrawHint'
import { useEditor, wrongIn } from './editor'
import { Factor, Factors } from './Factors'
import { MonthRing } from './MonthRing'
import { RangeRuler } from './RangeRuler'
import { Shares } from './Shares'
import {
  asKind,
  type CharacterFile,
  hasStates,
  idOf,
  KINDS,
  ORGANS,
  profileOf,
  rangeOf,
  replaced,
  rulerOf,
  type StateFile,
  sharesOf,
  type TaxonFile,
  TOPICS,
  ZONES,
} from './sheetFile'
import { Wrong } from './TaxaPart'

const words = (codes: readonly string[]) =>
  codes.map((value) => ({ value, text: value.replaceAll('-', ' ') }))
const KIND_WORDS = KINDS.map((value) => ({
  value,
  text: {
    states: 'states, in no order',
    ordered: 'states, one beyond the other',
    count: 'a count',
    length: 'a length in mm',
    ratio: 'a ratio',
    angle: 'an angle in degrees',
  }[value] as string,
}))
const ZONE_WORDS = ZONES.map((value) => ({
  value,
  text: value === 'cut' ? 'knife' : value.replace('-', ' '),
}))
const HARMS = [
  { value: 'none', text: 'none' },
  { value: 'sample', text: 'a leaf or twig is taken' },
  { value: 'wound', text: 'wounds the tree' },
]
const ABSENCES = [
  { value: 'informative', text: 'tells as much' },
  { value: 'weak', text: 'tells little' },
]

type Props = { readonly index: number; readonly onGone: () => void }

/** One character: what it looks like in each taxon, how far it can be trusted, and how it is checked. */
export function CharacterPart({ index, onGone }: Props) {
  const { sheet, refusals, readOnly, regional, change } = useEditor()
  const character = sheet.characters[index]
  if (!character) return <p>There is no such character in this draft any more. Choose one from the list.</p>
  const fixed = readOnly || regional
  const set = (next: Partial<CharacterFile>) =>
    change((before) => ({
      ...before,
      characters: replaced(before.characters, index, (one) => ({ ...one, ...next })),
    }))
  const wrong = (...keys: string[]) =>
    wrongIn(
      refusals,
      ...keys.flatMap((key) => [`characters[${index}].${key}`, `characters.${character.id}.${key}`]),
    )
  const move = (by: number) =>
    change((before) => {
      const list = [...before.characters]
      const [one] = list.splice(index, 1)
      if (one) list.splice(index + by, 0, one)
      return { ...before, characters: list }
    })
  return (
    <section aria-label={character.name || 'A new character'} className="grid gap-4">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="text-xl">{character.name || 'A new character'}</h2>
        {!fixed && (
          <div className="ml-auto flex">
            <Button look="quiet" disabled={index === 0} aria-label="Move up" onClick={() => move(-1)}>
              <ArrowUp aria-hidden className="size-4" />
            </Button>
            <Button
              look="quiet"
              disabled={index === sheet.characters.length - 1}
              aria-label="Move down"
              onClick={() => move(1)}
            >
              <ArrowDown aria-hidden className="size-4" />
            </Button>
            <Button
              look="quiet"
              className="inline-flex items-center gap-2"
              onClick={() => {
                change((before) => ({
                  ...before,
                  characters: before.characters.filter((_, i) => i !== index),
                }))
                onGone()
              }}
            >
              <Trash2 aria-hidden className="size-4" /> Leave out
            </Button>
          </div>
        )}
      </div>
      <Wrong text={wrong('id', 'states')} />
      <fieldset disabled={fixed} className="grid gap-3 md:grid-cols-[1fr_1fr_1.6fr]">
        <Field
          className="md:col-span-3"
          label="What to look at"
          value={character.name}
          wrong={wrong('name')}
          onChange={(event) => set({ name: event.target.value })}
        />
        <Choice
          label="Organ"
          options={words(ORGANS)}
          value={character.organ}
          onChange={(organ) => set({ organ })}
        />
        <Choice
          label="Station"
          options={ZONE_WORDS}
          value={character.zone}
          onChange={(zone) => set({ zone })}
        />
        <Choice
          label="Read as"
          options={KIND_WORDS}
          value={character.kind}
          onChange={(kind) =>
            change((before) => ({
              ...before,
              characters: replaced(before.characters, index, (one) => asKind(one, kind, before.taxa)),
            }))
          }
        />
      </fieldset>
      <Profiles character={character} index={index} set={set} />
      <div className="grid gap-4 rounded-plain border border-line bg-card p-4 md:grid-cols-[16rem_minmax(0,1fr)]">
        <div>
          <p className="font-semibold">Months</p>
          <MonthRing months={character.months} disabled={readOnly} onChange={(months) => set({ months })} />
          <Wrong text={wrong('months')} />
        </div>
        <div>
          <p className="font-semibold">How far it can be trusted</p>
          <Factor
            label="Weight"
            value={character.weight}
            disabled={fixed}
            wrong={wrong('weight')}
            onChange={(weight) => set({ weight })}
          />
          <Factors
            label="By school, where it differs"
            codes={['field-marks', 'close-characters']}
            values={character.schools ?? {}}
            unlisted={character.weight}
            disabled={fixed}
            wrong={wrong('schools')}
            onChange={(schools) => set({ schools })}
          />
        </div>
      </div>
      {hasStates(character.kind) ? (
        <StatesOf character={character} set={set} disabled={fixed} />
      ) : (
        <fieldset disabled={fixed}>
          <legend className="font-semibold">The figure that shows what to measure</legend>
          <DrawHint
            of={character.name}
            draw={character.draw}
            measured
            disabled={fixed}
            onChange={(draw) => set({ draw })}
          />
          <Wrong text={wrong('draw')} />
        </fieldset>
      )}
      <Details character={character} set={set} disabled={fixed} wrong={wrong} />
    </section>
  )
}

type PartProps = {
  readonly character: CharacterFile
  readonly set: (next: Partial<CharacterFile>) => void
}

/** What it looks like in each taxon. */
function Profiles({ character, index, set }: PartProps & { readonly index: number }) {
  const { sheet, refusals, readOnly, regional } = useEditor()
  const disabled = readOnly || regional
  const keep = (taxon: string, profile: CharacterFile['profiles'][string]) =>
    set({ profiles: { ...character.profiles, [taxon]: profile } })
  return (
    <ul className="grid gap-3">
      {sheet.taxa.map((taxon, k) => {
        const profile = character.profiles[taxon.id]
        return (
          <li key={taxon.id} className="rounded-plain border border-line bg-card p-3">
            <div className="flex items-center gap-2">
              <Mark candidate={k} standing="other" />
              <h3 className="text-base">
                {taxon.commonName || taxon.id}
                {character.unit && <span className="font-normal text-quiet">, in {character.unit}</span>}
              </h3>
              {taxon.rank === 'hybrid' && !disabled && (
                <Button
                  look="quiet"
                  className="ml-auto"
                  onClick={() => {
                    const { [taxon.id]: _, ...others } = character.profiles
                    set({ profiles: profile ? others : { ...others, [taxon.id]: between(character, taxon) } })
                  }}
                >
                  {profile ? 'Derive it from the parents' : 'Give it figures of its own'}
                </Button>
              )}
            </div>
            {!profile && taxon.rank === 'hybrid' ? (
              <p className="text-quiet">Derived from its parents.</p>
            ) : hasStates(character.kind) ? (
              <Shares
                of={taxon.commonName}
                states={character.states ?? []}
                shares={sharesOf(profile, character.states ?? [])}
                disabled={disabled}
                onChange={(shares) => keep(taxon.id, profileOf(shares, character.states ?? []))}
              />
            ) : (
              <RangeRuler
                of={taxon.commonName}
                range={rangeOf(profile) ?? [1, 2, 3, 4]}
                scale={rulerOf(
                  Object.values(character.profiles).flatMap((one) => rangeOf(one) ?? []),
                  character.kind === 'count',
                )}
                disabled={disabled}
                onChange={(range) => keep(taxon.id, { range })}
              />
            )}
            <Wrong
              text={wrongIn(
                refusals,
                `characters[${index}].profiles.${taxon.id}`,
                `characters.${character.id}.profiles.${taxon.id}`,
              )}
            />
          </li>
        )
      })}
      <Wrong
        text={wrongIn(
          refusals.filter((one) => one.key.endsWith('.profiles')),
          `characters.${character.id}.profiles`,
        )}
      />
    </ul>
  )
}

/** What a hybrid's own figures begin with: those of the first parent. */
function between(character: CharacterFile, taxon: TaxonFile): CharacterFile['profiles'][string] {
  const parent = taxon.parents?.find((one) => character.profiles[one])
  return (parent && character.profiles[parent]) || Object.values(character.profiles)[0] || {}
}

/** Its states with their words and drawings. */
function StatesOf({ character, set, disabled }: PartProps & { readonly disabled: boolean }) {
  const states = character.states ?? []
  const setState = (i: number, next: Partial<StateFile>) =>
    set({ states: replaced(states, i, (one) => ({ ...one, ...next })) })
  const without = (gone: StateFile) => {
    const left = states.filter((one) => one !== gone)
    set({
      states: left,
      profiles: Object.fromEntries(
        Object.entries(character.profiles).map(([taxon, profile]) => {
          const shares = sharesOf(profile, left)
          const total = shares.reduce((sum, one) => sum + one, 0)
          return [
            taxon,
            profileOf(
              shares.map((one) => (total > 0 ? one / total : 1 / left.length)),
              left,
            ),
          ]
        }),
      ),
    })
  }
  return (
    <fieldset className="grid gap-3">
      <legend className="font-semibold">States and their drawings</legend>
      <ul className="grid gap-3 xl:grid-cols-2">
        {states.map((state, i) => (
          <li key={state.id} className="rounded-plain border border-line bg-card p-3">
            <div className="mb-2 flex items-end gap-2">
              <Field
                className="grow"
                label={`State ${i + 1}`}
                value={state.name}
                disabled={disabled}
                onChange={(event) => setState(i, { name: event.target.value })}
              />
              {!disabled && states.length > 2 && (
                <Button look="quiet" aria-label={`Leave out ${state.name}`} onClick={() => without(state)}>
                  <Trash2 aria-hidden className="size-4" />
                </Button>
              )}
            </div>
            <DrawHint
              of={state.name}
              draw={state.draw}
              measured={false}
              disabled={disabled}
              onChange={(draw) => setState(i, { draw })}
            />
          </li>
        ))}
      </ul>
      {!disabled && (
        <Button
          className="inline-flex w-fit items-center gap-2"
          onClick={() =>
            set({
              states: [
                ...states,
                {
                  id: idOf(
                    'state',
                    states.map((one) => one.id),
                  ),
                  name: 'another state',
                },
              ],
            })
          }
        >
          <Plus aria-hidden className="size-4" /> Another state
        </Button>
      )}
    </fieldset>
  )
}

type DetailsProps = PartProps & {
  readonly disabled: boolean
  readonly wrong: (...keys: string[]) => string | undefined
}

/** What is seldom changed: replicates, effort, multipliers, words. */
function Details({ character, set, disabled, wrong }: DetailsProps) {
  const multipliers = [
    ['By life stage', 'stages', ['seedling', 'sapling', 'pole', 'mature']],
    ['By where the material came from', 'materials', ['attached', 'fallen', 'litter']],
    ['By place in the crown', 'positions', ['sun', 'shade', 'sprout']],
  ] as const
  return (
    <div className="grid gap-4 rounded-plain border border-line bg-card p-4">
      <label className="font-semibold">
        How to look
        <textarea
          rows={2}
          value={character.howTo}
          disabled={disabled}
          onChange={(event) => set({ howTo: event.target.value })}
          className="mt-1 block w-full rounded-plain border border-edge bg-card px-3 py-2 font-normal"
        />
      </label>
      <Wrong text={wrong('howTo')} />
      <label className="font-semibold">
        How people get it wrong
        <textarea
          rows={2}
          value={character.pitfall ?? ''}
          disabled={disabled}
          onChange={(event) => set({ pitfall: event.target.value === '' ? null : event.target.value })}
          className="mt-1 block w-full rounded-plain border border-edge bg-card px-3 py-2 font-normal"
        />
      </label>
      <div className="grid gap-4 lg:grid-cols-3">
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
        <Choice label="Harm" options={HARMS} value={character.harm} onChange={(harm) => set({ harm })} />
        <Choice
          label="Sense"
          options={words(['sight', 'touch', 'smell', 'hearing'])}
          value={character.sense}
          onChange={(sense) => set({ sense })}
        />
        <Choice
          label="Not seeing it"
          options={ABSENCES}
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
          {TOPICS.map((topic) => (
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
