import { HABITATS, RANKS, STANDINGS, TAXON_ORIGINS } from '../../api/codes'
import { type CharacterFile, idOf, type SheetFile, type TaxonFile } from '../../common/draft/sheetFile'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Mark } from '../../ui/Mark'
import { TextArea } from '../../ui/TextArea'
import { Another } from './Another'
import { useEditor, wrongIn } from './editor'
import { Factor, Factors } from './Factors'
import { LeaveOut } from './LeaveOut'
import { withTaxonChanged } from './naming'

const options = (codes: readonly string[]) => codes.map((value) => ({ value, text: value }))
const MOST_HABITAT = 4 // by dragging; more can be typed

/** The taxa that get mixed up, and how common each is. */
export function TaxaPart() {
  const { sheet, refusals, readOnly, regional, change } = useEditor()
  const total = (key: 'abundance' | 'plantedAbundance') => sheet.taxa.reduce((sum, one) => sum + one[key], 0)
  return (
    <section aria-label="Taxa">
      <h2 className="text-xl">Taxa</h2>
      <p className="max-w-prose text-quiet">
        Of 100 wild trees of the group <b className="figure">{total('abundance')}</b> are spoken for, of 100
        planted ones <b className="figure">{total('plantedAbundance')}</b>; both must come to 100.
      </p>
      <Wrong text={wrongIn(refusals, 'taxa.abundance', 'taxa.plantedAbundance')} />
      <ul className="mt-2 grid gap-4">
        {sheet.taxa.map((taxon, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: an id may be half typed, its place is what it is
          <li key={i} className="rounded-plain border border-line bg-card p-4">
            <TaxonForm taxon={taxon} index={i} />
          </li>
        ))}
      </ul>
      {!readOnly && !regional && <Another what="taxon" className="mt-3" onClick={() => change(withTaxon)} />}
    </section>
  )
}

/** A sheet with a taxon more, which every character describes as the first one until somebody says otherwise. */
function withTaxon(sheet: SheetFile) {
  const id = idOf(
    '',
    sheet.taxa.map((one) => one.id),
  )
  const first = sheet.taxa[0]?.id
  return {
    ...sheet,
    taxa: [
      ...sheet.taxa,
      {
        id,
        scientificName: '',
        authorship: '',
        commonName: '',
        rank: 'species',
        origin: 'native',
        standing: 'common',
        abundance: sheet.taxa.length === 0 ? 100 : 0,
        plantedAbundance: sheet.taxa.length === 0 ? 100 : 0,
        habitat: {},
      },
    ],
    characters: sheet.characters.map((character): CharacterFile => {
      const profile = first === undefined ? undefined : character.profiles[first]
      return profile ? { ...character, profiles: { ...character.profiles, [id]: profile } } : character
    }),
  }
}

export function Wrong({ text }: { readonly text: string | undefined }) {
  return text ? <p className="text-rust-ink">{text}</p> : null
}

function TaxonForm({ taxon, index }: { readonly taxon: TaxonFile; readonly index: number }) {
  const { sheet, refusals, saved, readOnly, regional, change } = useEditor()
  const fixed = readOnly || regional
  const set = (next: Partial<TaxonFile>) => change((before) => withTaxonChanged(before, index, next, saved))
  const wrong = (key: string) => wrongIn(refusals, `taxa[${index}].${key}`, `taxa.${taxon.id}.${key}`)
  return (
    <fieldset disabled={readOnly} className="grid gap-3">
      <div className="flex items-center gap-2">
        <Mark candidate={index} standing="other" />
        <h3 className="text-lg">{taxon.commonName || 'a taxon without a name'}</h3>
        {!fixed && sheet.taxa.length > 1 && (
          <LeaveOut
            className="ml-auto"
            onClick={() =>
              change((before) => ({
                ...before,
                taxa: before.taxa.filter((_, i) => i !== index),
                characters: before.characters.map((character) => {
                  const { [taxon.id]: _, ...profiles } = character.profiles
                  return { ...character, profiles }
                }),
              }))
            }
          />
        )}
      </div>
      <div className="grid gap-3 md:grid-cols-3">
        <Field
          label="Common name"
          value={taxon.commonName}
          disabled={fixed}
          onChange={(event) => set({ commonName: event.target.value })}
        />
        <Field
          label="Scientific name"
          value={taxon.scientificName}
          disabled={fixed}
          onChange={(event) => set({ scientificName: event.target.value })}
        />
        <Field
          label="Author"
          value={taxon.authorship ?? ''}
          disabled={fixed}
          onChange={(event) => set({ authorship: event.target.value })}
        />
        {regional ? null : (
          <Choice
            label="Rank"
            options={options(RANKS)}
            value={taxon.rank}
            onChange={(rank) => set(ranked(taxon, rank, sheet))}
          />
        )}
        <Choice
          label="Origin"
          options={options(TAXON_ORIGINS)}
          value={taxon.origin}
          onChange={(origin) => set({ origin })}
        />
        <Choice
          label="Standing"
          options={options(STANDINGS)}
          value={taxon.standing}
          onChange={(standing) => set({ standing })}
        />
      </div>
      <TextArea
        label="Also called, one a line: synonyms, names in other languages"
        className="mt-3"
        rows={Math.min(6, Math.max(2, (taxon.alsoCalled ?? []).length))}
        value={(taxon.alsoCalled ?? []).join('\n')}
        disabled={fixed}
        onChange={({ target }) => set({ alsoCalled: target.value === '' ? [] : target.value.split('\n') })}
      />
      <Wrong text={wrong('alsoCalled')} />
      {taxon.rank === 'hybrid' && <ParentsOf taxon={taxon} disabled={fixed} onChange={set} />}
      <Wrong text={wrong('parents')} />
      <div className="grid gap-x-6 lg:grid-cols-2">
        <Factor
          label="of 100 wild trees"
          value={taxon.abundance}
          most={100}
          disabled={readOnly}
          wrong={wrong('abundance')}
          onChange={(abundance) => set({ abundance })}
        />
        <Factor
          label="of 100 planted"
          value={taxon.plantedAbundance}
          most={100}
          disabled={readOnly}
          wrong={wrong('plantedAbundance')}
          onChange={(plantedAbundance) => set({ plantedAbundance })}
        />
      </div>
      <details>
        <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
          Where it is more common or rarer
          <span className="ml-2 font-normal text-quiet">
            {Object.entries(taxon.habitat ?? {})
              .map(([habitat, factor]) => `${habitat} ×${factor}`)
              .join(', ') || 'alike everywhere'}
          </span>
        </summary>
        <div className="columns-1 lg:columns-2">
          <Factors
            label="Times as common in"
            codes={HABITATS}
            values={taxon.habitat ?? {}}
            unlisted={1}
            most={MOST_HABITAT}
            disabled={readOnly}
            wrong={wrong('habitat')}
            onChange={(habitat) => set({ habitat })}
          />
        </div>
      </details>
    </fieldset>
  )
}

/** A taxon of another rank; only a hybrid has parents. */
function ranked(
  taxon: TaxonFile,
  rank: string,
  sheet: { readonly taxa: readonly TaxonFile[] },
): Partial<TaxonFile> {
  const others = sheet.taxa.filter((one) => one.id !== taxon.id && one.rank !== 'hybrid').map((one) => one.id)
  return { rank, parents: rank === 'hybrid' ? others.slice(0, 2) : null }
}

function ParentsOf({
  taxon,
  disabled,
  onChange,
}: {
  readonly taxon: TaxonFile
  readonly disabled: boolean
  readonly onChange: (next: Partial<TaxonFile>) => void
}) {
  const { sheet } = useEditor()
  const parents = taxon.parents ?? []
  return (
    <fieldset disabled={disabled} className="flex flex-wrap gap-3">
      <legend className="font-semibold">Parents</legend>
      {[0, 1].map((place) => (
        <select
          key={place}
          aria-label={place === 0 ? 'first parent' : 'second parent'}
          value={parents[place] ?? ''}
          onChange={(event) => {
            const next = [parents[0] ?? '', parents[1] ?? '']
            next[place] = event.target.value
            onChange({ parents: next })
          }}
          className="min-h-11 rounded-plain border border-edge bg-card px-3"
        >
          <option value="">choose</option>
          {sheet.taxa
            .filter((one) => one.id !== taxon.id)
            .map((one) => (
              <option key={one.id} value={one.id}>
                {one.commonName}
              </option>
            ))}
        </select>
      ))}
    </fieldset>
  )
}
