import { type ClipboardEvent, type FormEvent, type ReactNode, useState } from 'react'
import { Problem, wordsOf } from '../../api/problem'
import type { Group, NamedTaxon, Plot, TreeRow } from '../../api/types'
import { WhichGroup } from '../../common/group/WhichGroup'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { LineHelp, LineTaken } from './LineTaken'
import { inPlot } from './lineInPlot'
import { Pasted } from './Pasted'
import { parseLine } from './quickEntry'
import { useLines, usePasted } from './useLines'

type Props = {
  readonly surveyId: string
  readonly plot: Plot
  readonly trees: readonly TreeRow[]
  readonly taxa: readonly NamedTaxon[]
  readonly groups: readonly Group[]
  readonly onEntered: (treeId: string) => void
}

const EXAMPLE = '23 204 7.2 287 mature wild silver birch?'

/** One line a tree: what the line is taken for stands below it before Enter. A whole plot can be pasted. */
export function QuickEntry({ surveyId, plot, trees, taxa, groups, onEntered }: Props) {
  const vocabulary = { taxa, groups }
  const { line, setLine, enter, store } = useLines({ surveyId, plot, trees, vocabulary, onEntered })
  const named = taxa.length > 0 && groups.length > 0 // a moment after the page was opened
  const { left, setLeft, storing, paste } = usePasted({ surveyId, plot, trees, store, named })
  const [opened, setOpened] = useState<'help' | 'groups'>()
  const parsed = parseLine(line, vocabulary)
  const problems = [...parsed.problems, ...inPlot(parsed, plot, trees)]
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (named && problems.length === 0) enter.mutate()
  }
  const pasted = (event: ClipboardEvent) => {
    const text = event.clipboardData.getData('text')
    if (!/\n\s*\S/.test(text)) return // a single line is typed on
    event.preventDefault()
    paste(text)
  }

  return (
    <section aria-label="Quick entry" className="grid gap-2">
      <form onSubmit={submit}>
        <div className="flex items-end gap-2">
          <div className="min-w-0 flex-1">
            <span className="flex items-baseline justify-between">
              <label htmlFor="quick-entry" className="font-semibold">
                New tree, in one line
              </label>
              <span className="flex gap-4">
                <Aside onClick={() => setOpened('groups')}>which group?</Aside>
                <Aside onClick={() => setOpened(opened === 'help' ? undefined : 'help')}>
                  {opened === 'help' ? 'fold the help' : 'how to write it'}
                </Aside>
              </span>
            </span>
            <input
              id="quick-entry"
              value={line}
              onChange={(event) => {
                setLine(event.target.value)
                enter.reset()
              }}
              onPaste={pasted}
              placeholder={EXAMPLE}
              autoComplete="off"
              autoCapitalize="none"
              spellCheck={false}
              className="figure mt-1 block min-h-12 w-full rounded-plain border border-edge bg-card px-3 text-lg"
            />
          </div>
          <Button
            type="submit"
            look="main"
            className="min-h-12"
            disabled={!named || problems.length > 0 || enter.isPending}
          >
            Enter
          </Button>
        </div>
      </form>
      {opened === 'help' && <LineHelp />}
      {opened === 'groups' && (
        <WhichGroup
          groups={groups}
          choose="Add to the line"
          onChoose={(group) => {
            setLine(`${line.trim()} ${group.groupId.replaceAll('-', ' ')}`.trim())
            setOpened(undefined)
          }}
          onClose={() => setOpened(undefined)}
        />
      )}
      <div aria-live="polite" className="min-h-7">
        {!named ? (
          <p className="text-quiet">Fetching the names of groups and taxa …</p>
        ) : line.trim() === '' ? (
          <p className="text-quiet">
            Tag, azimuth, distance, diameter in mm, then words in any order. A whole plot can be pasted.
          </p>
        ) : (
          <LineTaken taken={parsed.taken} problems={problems} />
        )}
      </div>
      {enter.isError && <NotStored error={enter.error} />}
      {left !== '' && (
        <Pasted
          text={left}
          busy={storing.isPending}
          reasons={storing.data?.reasons ?? []}
          stored={storing.data?.stored ?? 0}
          onChange={setLeft}
          onStore={() => storing.mutate(left)}
        />
      )}
    </section>
  )
}

function Aside({ children, onClick }: { readonly children: ReactNode; readonly onClick: () => void }) {
  return (
    <button type="button" className="min-h-6 text-sm text-thistle underline" onClick={onClick}>
      {children}
    </button>
  )
}

const FIELDS: Readonly<Record<string, string>> = {
  tag: 'Tag',
  azimuthDegrees: 'Azimuth',
  distanceMetres: 'Distance',
  diameterMillimetres: 'Diameter',
  heightDecimetres: 'Height',
}

/** Why the server did not take a line. */
function NotStored({ error }: { readonly error: unknown }) {
  return (
    <Notice tone="wrong">
      {error instanceof Problem && error.refusals.length > 0
        ? error.refusals.map(
            ({ key, found, expected }) => `${FIELDS[key] ?? key} ${found}: it must be ${expected}. `,
          )
        : wordsOf(error)}{' '}
      The line is kept; correct it and press Enter.
    </Notice>
  )
}
