import { useQuery } from '@tanstack/react-query'
import { choiceOf, ORGANS, stationOf, ZONES } from '../../api/codes'
import { groupsQuery } from '../../api/groups'
import { type GateFile, idOf } from '../../common/draft/sheetFile'
import { answerWords, TRAITS, traitWords } from '../../common/group/firstLooks'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Another } from './Another'
import { DrawHint } from './DrawHint'
import { useEditor, wrongIn } from './editor'
import { LeaveOut } from './LeaveOut'
import { withItemChanged, withTitle } from './naming'
import { Wrong } from './TaxaPart'

const AREA = 'mt-1 block w-full rounded-plain border border-edge bg-card px-3 py-2 font-normal'

/** What the group is called, where its figures hold, why its members are confused. */
export function AboutPart() {
  const { sheet, refusals, saved, readOnly, regional, change } = useEditor()
  const fixed = readOnly || regional
  return (
    <section aria-label="The group" className="grid gap-4">
      <h2 className="text-xl">The group</h2>
      <div className="grid gap-3 md:grid-cols-2">
        <Field
          label="What a crew calls it"
          value={sheet.title}
          disabled={readOnly}
          wrong={wrongIn(refusals, 'title')}
          onChange={(event) => change((before) => withTitle(before, event.target.value, saved))}
        />
        <Field
          label="Short, for quick entry and tables"
          hint="up to 22 letters, such as “bird cherries”; left empty, the words of its id"
          value={sheet.short ?? ''}
          disabled={fixed}
          wrong={wrongIn(refusals, 'short')}
          onChange={(event) =>
            change((before) => ({ ...before, short: event.target.value === '' ? null : event.target.value }))
          }
        />
        <Field
          label="Its id"
          hint="lower-case words joined by hyphens; it follows the name until it is first saved, then it stays"
          value={sheet.id}
          disabled={readOnly || saved.includes('id')}
          wrong={wrongIn(refusals, 'id')}
          onChange={(event) => change((before) => ({ ...before, id: event.target.value }))}
        />
        <Field
          label="Where its figures hold"
          value={sheet.region}
          disabled={readOnly}
          wrong={wrongIn(refusals, 'region')}
          onChange={(event) => change((before) => ({ ...before, region: event.target.value }))}
        />
      </div>
      <label className="font-semibold">
        Why these get confused, and what is at stake
        <textarea
          rows={3}
          value={sheet.why}
          disabled={fixed}
          onChange={(event) => change((before) => ({ ...before, why: event.target.value }))}
          className={AREA}
        />
      </label>
      <Wrong text={wrongIn(refusals, 'why')} />
      <fieldset disabled={fixed} className="grid gap-3 md:grid-cols-2">
        <legend className="mb-1 font-semibold">What is recorded when they cannot be separated</legend>
        {(['commonName', 'scientificName'] as const).map((key) => (
          <Field
            key={key}
            label={key === 'commonName' ? 'Common name' : 'Scientific name'}
            value={sheet.fallback[key]}
            wrong={wrongIn(refusals, `fallback.${key}`)}
            onChange={(event) =>
              change((before) => ({
                ...before,
                fallback: { ...before.fallback, [key]: event.target.value },
              }))
            }
          />
        ))}
      </fieldset>
    </section>
  )
}

/** What anybody sees at the first look, and what every member shares. */
export function GatePart() {
  const { sheet, refusals, readOnly, regional, change } = useEditor()
  const fixed = readOnly || regional
  const gate = sheet.gate ?? []
  const look = sheet.firstLook ?? {}
  const toggle = (trait: string, answer: string, on: boolean) =>
    change((before) => {
      const own = before.firstLook?.[trait] ?? []
      const next = on ? [...own, answer] : own.filter((one) => one !== answer)
      const { [trait]: _, ...others } = before.firstLook ?? {}
      return { ...before, firstLook: next.length === 0 ? others : { ...others, [trait]: next } }
    })
  return (
    <section aria-label="First look and gate" className="grid gap-4">
      <h2 className="text-xl">First look</h2>
      <p className="max-w-prose text-quiet">
        What members may show before anybody knows the group; it leads to the group in <i>Which group?</i>.
        Leave a line empty where it says nothing.
      </p>
      <Wrong text={wrongIn(refusals, 'firstLook')} />
      {TRAITS.map(({ trait, answers }) => (
        <fieldset key={trait} disabled={fixed} className="flex flex-wrap gap-x-5">
          <legend className="font-semibold">{traitWords(trait)}</legend>
          {answers.map((answer) => (
            <label key={answer} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={look[trait]?.includes(answer) ?? false}
                onChange={(event) => toggle(trait, answer, event.target.checked)}
              />
              {answerWords(answer)}
            </label>
          ))}
        </fieldset>
      ))}
      <h2 className="text-xl">Gate</h2>
      <p className="max-w-prose text-quiet">
        What every member shares, looked at first on the Bench and never weighed; and what the tree is likely
        to be when it fails.
      </p>
      <ul className="grid gap-4">
        {gate.map((item, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: an id may be half typed, its place is what it is
          <li key={i} className="rounded-plain border border-line bg-card p-4">
            <GateForm item={item} index={i} />
          </li>
        ))}
      </ul>
      {!fixed && (
        <Another
          what="item"
          onClick={() =>
            change((before) => ({
              ...before,
              gate: [
                ...(before.gate ?? []),
                {
                  id: idOf(
                    '',
                    (before.gate ?? []).map((one) => one.id),
                  ),
                  name: '',
                  organ: 'leaf',
                  zone: 'hand',
                  howTo: '',
                  otherwise: '',
                },
              ],
            }))
          }
        />
      )}
    </section>
  )
}

const DRAWN = [
  ['draw', 'Drawn where it fits'],
  ['drawOtherwise', 'Drawn where it fails'],
] as const

function GateForm({ item, index }: { readonly item: GateFile; readonly index: number }) {
  const { refusals, saved, readOnly, regional, change } = useEditor()
  const groups = useQuery(groupsQuery)
  const fixed = readOnly || regional
  const set = (next: Partial<GateFile>) =>
    change((before) => ({
      ...before,
      gate: withItemChanged(before.gate ?? [], index, next, (id) => saved.includes(`gate.${id}`)),
    }))
  const wrong = (key: string) => wrongIn(refusals, `gate[${index}].${key}`)
  return (
    <fieldset disabled={fixed} className="grid gap-3 md:grid-cols-2">
      <Field
        label="What every member shows"
        value={item.name}
        wrong={wrong('name')}
        onChange={(event) => set({ name: event.target.value })}
      />
      <Field
        label="How to look"
        value={item.howTo}
        wrong={wrong('howTo')}
        onChange={(event) => set({ howTo: event.target.value })}
      />
      <Choice
        label="Organ"
        options={ORGANS.map(choiceOf)}
        value={item.organ}
        onChange={(organ) => set({ organ })}
      />
      <Choice
        label="Station"
        options={ZONES.map(stationOf)}
        value={item.zone}
        onChange={(zone) => set({ zone })}
      />
      <Field
        label="What it is likely to be otherwise"
        value={item.otherwise}
        wrong={wrong('otherwise')}
        onChange={(event) => set({ otherwise: event.target.value })}
      />
      <Choice
        label="Group to look in then"
        options={[
          { value: '', text: 'none' },
          ...(groups.data ?? []).map((one) => ({ value: one.groupId, text: one.title })),
        ]}
        value={item.otherwiseGroup ?? ''}
        onChange={(group) => set({ otherwiseGroup: group === '' ? null : group })}
      />
      {DRAWN.map(([key, of]) => (
        <div key={key}>
          <p className="mb-1 font-semibold">{of}</p>
          <DrawHint
            of={`${item.name}, ${of.toLowerCase()}`}
            draw={item[key]}
            measured={false}
            disabled={fixed}
            onChange={(draw) => set({ [key]: draw })}
          />
        </div>
      ))}
      {!fixed && (
        <LeaveOut
          onClick={() =>
            change((before) => ({ ...before, gate: (before.gate ?? []).filter((_, i) => i !== index) }))
          }
        />
      )}
    </fieldset>
  )
}
