import { type FunctionFile, hasStates, idOf, replaced, type SheetFile } from '../../common/draft/sheetFile'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { TextArea } from '../../ui/TextArea'
import { Another } from './Another'
import { useEditor, wrongIn } from './editor'
import { LeaveOut } from './LeaveOut'
import { withItemChanged } from './naming'
import { NumberBox } from './RangeRuler'
import { Wrong } from './TaxaPart'

/** Published functions of several measures that part two taxa: their terms, and how their value is read. */
export function FunctionsPart() {
  const { sheet, readOnly, regional, change } = useEditor()
  const fixed = readOnly || regional
  const functions = sheet.indices ?? []
  const measured = sheet.characters.filter((one) => !hasStates(one.kind))
  return (
    <section aria-label="Published functions" className="grid gap-4">
      <h2 className="text-xl">Published functions</h2>
      <p className="max-w-prose text-quiet">
        A function that somebody published adds up measures of one tree. Its value is shown beside the beam
        and never weighed.
      </p>
      {functions.map((one, i) => (
        <OneFunction
          // biome-ignore lint/suspicious/noArrayIndexKey: ids are the author's, and may be alike for a while
          key={i}
          index={i}
          of={one}
          disabled={fixed}
        />
      ))}
      {!fixed && measured.length === 0 && (
        <p>A function needs characters that are measured or counted; this group has none yet.</p>
      )}
      {!fixed && measured.length > 0 && (
        <Another
          what="function"
          onClick={() => change((before) => withFunction(before, measured[0]?.id ?? ''))}
        />
      )}
    </section>
  )
}

function withFunction(sheet: SheetFile, character: string): SheetFile {
  const all = sheet.indices ?? []
  const [first, second] = sheet.taxa
  const added: FunctionFile = {
    id: idOf(
      '',
      all.map((one) => one.id),
    ),
    name: '',
    source: '',
    taxa: [first?.id ?? '', second?.id ?? ''],
    terms: [{ character, coefficient: 1 }],
    constant: 0,
    undecided: 0,
    reading: '',
  }
  return { ...sheet, indices: [...all, added] }
}

type Props = { readonly index: number; readonly of: FunctionFile; readonly disabled: boolean }

function OneFunction({ index, of, disabled }: Props) {
  const { sheet, refusals, saved, change } = useEditor()
  const set = (next: Partial<FunctionFile>) =>
    change((before) => ({
      ...before,
      indices: withItemChanged(before.indices ?? [], index, next, (id) => saved.includes(`indices.${id}`)),
    }))
  const wrong = (key: string) => wrongIn(refusals, `indices[${index}]${key}`, `indices.${of.id}${key}`)
  const taxa = sheet.taxa.map((one) => ({ value: one.id, text: one.commonName }))
  const measured = sheet.characters
    .filter((one) => !hasStates(one.kind))
    .map((one) => ({ value: one.id, text: one.name }))
  const named = of.name || 'this function'
  return (
    <fieldset disabled={disabled} className="grid gap-3 rounded-plain border border-line bg-card p-3">
      <div className="grid gap-3 md:grid-cols-2">
        <Field label="Its name" value={of.name} onChange={(event) => set({ name: event.target.value })} />
        <Field
          label="Published in"
          value={of.source}
          onChange={(event) => set({ source: event.target.value })}
        />
        <Choice
          label="Above 0 points to"
          options={taxa}
          value={of.taxa[0] ?? ''}
          onChange={(taxon) => set({ taxa: [taxon, of.taxa[1] ?? ''] })}
        />
        <Choice
          label="Below 0 points to"
          options={taxa}
          value={of.taxa[1] ?? ''}
          onChange={(taxon) => set({ taxa: [of.taxa[0] ?? '', taxon] })}
        />
      </div>
      <ul aria-label={`Terms of ${named}`} className="grid gap-2">
        {of.terms.map((term, i) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: a character may stand twice until somebody says otherwise
            key={i}
            className="flex flex-wrap items-end gap-2"
          >
            <NumberBox
              label={`Term ${i + 1} of ${named}: how much it counts`}
              value={term.coefficient}
              disabled={disabled}
              onChange={(coefficient) =>
                set({ terms: replaced(of.terms, i, (one) => ({ ...one, coefficient })) })
              }
            />
            <span className="pb-2.5" aria-hidden>
              ×
            </span>
            <div className="min-w-0 grow">
              <Choice
                label={`Term ${i + 1}`}
                options={measured}
                value={term.character}
                onChange={(character) =>
                  set({ terms: replaced(of.terms, i, (one) => ({ ...one, character })) })
                }
              />
            </div>
            {!disabled && of.terms.length > 1 && (
              <LeaveOut
                of={`term ${i + 1} of ${named}`}
                onClick={() => set({ terms: of.terms.filter((_, j) => j !== i) })}
              />
            )}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-4">
        {!disabled && (
          <Another
            what="term"
            look="quiet"
            onClick={() =>
              set({ terms: [...of.terms, { character: measured[0]?.value ?? '', coefficient: 1 }] })
            }
          />
        )}
        <span className="flex items-center gap-2">
          <span aria-hidden>plus</span>
          <NumberBox
            label={`Constant of ${named}`}
            value={of.constant}
            disabled={disabled}
            onChange={(constant) => set({ constant })}
          />
        </span>
        <span className="flex items-center gap-2">
          <span aria-hidden>undecided within</span>
          <NumberBox
            label={`Undecided within, of ${named}`}
            value={of.undecided}
            disabled={disabled}
            onChange={(undecided) => set({ undecided })}
          />
        </span>
      </div>
      <TextArea
        label="How its value is read"
        value={of.reading}
        onChange={(event) => set({ reading: event.target.value })}
      />
      <Wrong text={wrong('')} />
      {!disabled && (
        <LeaveOut
          onClick={() =>
            change((before) => ({
              ...before,
              indices: (before.indices ?? []).filter((_, i) => i !== index),
            }))
          }
        />
      )}
    </fieldset>
  )
}
