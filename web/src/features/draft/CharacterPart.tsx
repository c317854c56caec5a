import { ArrowDown, ArrowUp } from 'lucide-react'
import { CHARACTER_KINDS, choiceOf, ORGANS, SCHOOLS, stationOf, ZONES } from '../../api/codes'
import {
  asKind,
  type CharacterFile,
  hasStates,
  profileOf,
  rangeOf,
  replaced,
  rulerOf,
  sharesOf,
  type TaxonFile,
} from '../../common/draft/sheetFile'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Mark } from '../../ui/Mark'
import { MonthRing } from '../../ui/MonthRing'
import { Details } from './CharacterDetails'
import { StatesOf } from './CharacterStates'
import { DrawHint } from './DrawHint'
import { useEditor, wrongIn } from './editor'
import { Factor, Factors } from './Factors'
import { LeaveOut } from './LeaveOut'
import { withCharacterChanged } from './naming'
import { RangeRuler } from './RangeRuler'
import { Shares } from './Shares'
import { TakenHow } from './TakenHow'
import { Wrong } from './TaxaPart'

const KIND_WORDS = CHARACTER_KINDS.map((value) => ({
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

type Props = { readonly index: number; readonly onGone: () => void }

/** One character: what it looks like in each taxon, how far it can be trusted, and how it is checked. */
export function CharacterPart({ index, onGone }: Props) {
  const { sheet, refusals, saved, readOnly, regional, change } = useEditor()
  const character = sheet.characters[index]
  if (!character) return <p>There is no such character in this draft any more. Choose one from the list.</p>
  const fixed = readOnly || regional
  const set = (next: Partial<CharacterFile>) =>
    change((before) => withCharacterChanged(before, index, next, saved))
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
  const profiles = <Profiles character={character} index={index} set={set} />
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
            <LeaveOut
              onClick={() => {
                change((before) => ({
                  ...before,
                  characters: before.characters.filter((_, i) => i !== index),
                }))
                onGone()
              }}
            />
          </div>
        )}
      </div>
      <Wrong text={wrong('id', 'states')} />
      <fieldset disabled={fixed} className="grid gap-3 md:grid-cols-[1fr_1fr_1.6fr]">
        <Field
          className="md:col-span-2"
          label="What to look at"
          value={character.name}
          wrong={wrong('name')}
          onChange={(event) => set({ name: event.target.value })}
        />
        <Field
          label="Short, for lists"
          hint="what the path and prints call it"
          value={character.short ?? ''}
          wrong={wrong('short')}
          onChange={(event) => set({ short: event.target.value === '' ? null : event.target.value })}
        />
        <Choice
          label="Organ"
          options={ORGANS.map(choiceOf)}
          value={character.organ}
          onChange={(organ) => set({ organ })}
        />
        <Choice
          label="Station"
          options={ZONES.map(stationOf)}
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
      {!regional && profiles}
      <Trust character={character} set={set} wrong={wrong} />
      {regional && profiles}
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
      {!hasStates(character.kind) && (
        <TakenHow character={character} set={set} disabled={fixed} wrong={wrong} />
      )}
      <Details character={character} set={set} disabled={fixed} wrong={wrong} />
    </section>
  )
}

type TrustProps = {
  readonly character: CharacterFile
  readonly set: (next: Partial<CharacterFile>) => void
  readonly wrong: (...keys: string[]) => string | undefined
}

/** When a character can be read, and how far it can then be trusted. */
function Trust({ character, set, wrong }: TrustProps) {
  const { readOnly, regional } = useEditor()
  const fixed = readOnly || regional
  return (
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
          codes={SCHOOLS}
          values={character.schools ?? {}}
          unlisted={character.weight}
          disabled={fixed}
          wrong={wrong('schools')}
          onChange={(schools) => set({ schools })}
        />
      </div>
    </div>
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
