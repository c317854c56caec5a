import { CAUTION_TOPICS, choiceOf } from '../../api/codes'
import { replaced } from '../../common/draft/sheetFile'
import { Choice } from '../../ui/Choice'
import { TextArea } from '../../ui/TextArea'
import { Another } from './Another'
import { useEditor, wrongIn } from './editor'
import { LeaveOut } from './LeaveOut'
import { Wrong } from './TaxaPart'

/** Cautions and sources. */
export function CautionsPart() {
  const { sheet, refusals, readOnly, regional, change } = useEditor()
  const fixed = readOnly || regional
  const cautions = sheet.cautions ?? []
  return (
    <section aria-label="Cautions and sources" className="grid gap-4">
      <h2 className="text-xl">Cautions</h2>
      <p className="max-w-prose text-quiet">
        Say what to be careful of and defer to local rules and licensed people; never a dose or a remedy.
      </p>
      <ul className="grid gap-3">
        {cautions.map((caution, i) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: a topic may stand twice until somebody says otherwise
            key={i}
            className="rounded-plain border border-line bg-card p-3"
          >
            <fieldset disabled={fixed} className="grid gap-3 md:grid-cols-[12rem_minmax(0,1fr)_auto]">
              <Choice
                label="Topic"
                options={CAUTION_TOPICS.map(choiceOf)}
                value={caution.topic}
                onChange={(topic) =>
                  change((before) => ({
                    ...before,
                    cautions: replaced(before.cautions ?? [], i, (one) => ({ ...one, topic })),
                  }))
                }
              />
              <div>
                <TextArea
                  label="What to be careful of"
                  value={caution.text}
                  disabled={fixed}
                  onChange={(event) =>
                    change((before) => ({
                      ...before,
                      cautions: replaced(before.cautions ?? [], i, (one) => ({
                        ...one,
                        text: event.target.value,
                      })),
                    }))
                  }
                />
                <Wrong text={wrongIn(refusals, `cautions[${i}]`)} />
              </div>
              {!fixed && (
                <LeaveOut
                  of={`the caution on ${caution.topic}`}
                  onClick={() =>
                    change((before) => ({
                      ...before,
                      cautions: (before.cautions ?? []).filter((_, j) => j !== i),
                    }))
                  }
                />
              )}
            </fieldset>
          </li>
        ))}
      </ul>
      {!fixed && (
        <Another
          what="caution"
          onClick={() =>
            change((before) => ({
              ...before,
              cautions: [...(before.cautions ?? []), { topic: 'legal', text: '' }],
            }))
          }
        />
      )}
      <TextArea
        label="Sources, one a line: author, year, title, where"
        rows={5}
        value={sheet.sources.join('\n')}
        disabled={fixed}
        onChange={(event) =>
          change((before) => ({
            ...before,
            sources: event.target.value.split('\n'),
          }))
        }
      />
      <Wrong text={wrongIn(refusals, 'sources')} />
    </section>
  )
}
