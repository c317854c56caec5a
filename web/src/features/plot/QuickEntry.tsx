import { useMutation, useQueryClient } from '@tanstack/react-query'
import { type ClipboardEvent, type FormEvent, useEffect, useRef, useState } from 'react'
import { useKeptText } from '../../api/kept'
import { Problem, wordsOf } from '../../api/problem'
import type { Group, NamedTaxon, Plot, TreeBody, TreeRow } from '../../api/types'
import { WhichGroup } from '../../common/group/WhichGroup'
import { plotTreesQuery, sendTree } from '../../common/plot/queries'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { type ParsedLine, parseLine } from './quickEntry'

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
  const queries = useQueryClient()
  const [line, setLine] = useKeptText(`quick.${plot.id}`)
  const [left, setLeft] = useKeptText(`pasted.${plot.id}`)
  const [due, setDue] = useState<string>()
  const [help, setHelp] = useState(false)
  const [asking, setAsking] = useState(false)
  const ids = useRef(new Map<string, string>()) // a line that is sent again is the same tree
  const vocabulary = { taxa, groups }
  const parsed = parseLine(line, vocabulary)
  const named = taxa.length > 0 && groups.length > 0 // a moment after the page was opened
  const problems = [...parsed.problems, ...inPlot(parsed, plot, trees)]

  const store = async (text: string, known: readonly TreeRow[]) => {
    const one = parseLine(text, vocabulary)
    const wrong = [...one.problems, ...inPlot(one, plot, known)]
    if (wrong.length > 0) throw new Error(wrong.join('. '))
    const id = ids.current.get(text) ?? crypto.randomUUID()
    ids.current.set(text, id)
    const stored = await sendTree(surveyId, plot.id, id, bodyOf(one, known))
    ids.current.delete(text)
    return stored
  }
  const refresh = () => queries.invalidateQueries({ queryKey: ['surveys', surveyId] })
  const enter = useMutation({
    mutationFn: () => store(line, trees),
    onSuccess: (tree) => {
      setLine('')
      onEntered(tree.id)
      return refresh()
    },
  })
  const pasted = useMutation({
    mutationFn: async (text: string) => {
      const rest: string[] = []
      const reasons: string[] = []
      let stored = 0
      for (const [i, one] of text.split(/\r?\n/).entries()) {
        if (one.trim() === '') continue
        try {
          await store(one.trim(), queries.getQueryData(plotTreesQuery(surveyId, plot.id).queryKey) ?? trees)
          stored++
          await queries.fetchQuery({ ...plotTreesQuery(surveyId, plot.id), staleTime: 0 })
        } catch (error) {
          rest.push(one)
          reasons.push(`Line ${i + 1}: ${wordsOf(error)}`)
        }
      }
      setLeft(rest.join('\n'))
      return { stored, reasons }
    },
    onSettled: refresh,
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    if (named && problems.length === 0) enter.mutate()
  }
  const paste = (event: ClipboardEvent) => {
    const text = event.clipboardData.getData('text')
    if (!/\n\s*\S/.test(text)) return // a single line is typed on
    event.preventDefault()
    setLeft(text)
    setDue(text)
  }
  // lines that were pasted before the names are there wait for them
  const { mutate: storeAll } = pasted
  useEffect(() => {
    if (due === undefined || !named) return
    setDue(undefined)
    storeAll(due)
  }, [due, named, storeAll])

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
                <button
                  type="button"
                  className="min-h-6 text-sm text-thistle underline"
                  onClick={() => setAsking(true)}
                >
                  which group?
                </button>
                <button
                  type="button"
                  className="min-h-6 text-sm text-thistle underline"
                  onClick={() => setHelp(!help)}
                >
                  {help ? 'fold the help' : 'how to write it'}
                </button>
              </span>
            </span>
            <input
              id="quick-entry"
              value={line}
              onChange={(event) => {
                setLine(event.target.value)
                enter.reset()
              }}
              onPaste={paste}
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
      {help && <Help />}
      {asking && (
        <WhichGroup
          groups={groups}
          choose="Add to the line"
          onChoose={(group) => {
            setLine(`${line.trim()} ${group.groupId.replaceAll('-', ' ')}`.trim())
            setAsking(false)
          }}
          onClose={() => setAsking(false)}
        />
      )}
      <div aria-live="polite" className="min-h-7">
        {line.trim() === '' ? (
          <p className="text-quiet">
            Tag, azimuth, distance, diameter in mm, then words in any order. A whole plot can be pasted.
          </p>
        ) : !named ? (
          <p className="text-quiet">Fetching the names of groups and taxa …</p>
        ) : (
          <ul aria-label="What the line is taken for" className="flex flex-wrap gap-1.5">
            {parsed.taken.map((piece) => (
              <li key={`${piece.text} ${piece.as}`} className="rounded-plain border border-moss bg-card px-2">
                {piece.as}
              </li>
            ))}
            {problems.map((problem) => (
              <li
                key={problem}
                className="rounded-plain border border-dashed border-rust bg-card px-2 text-rust-ink"
              >
                {problem}
              </li>
            ))}
          </ul>
        )}
      </div>
      {enter.isError && (
        <Notice tone="wrong">
          {enter.error instanceof Problem && enter.error.refusals.length > 0
            ? enter.error.refusals.map(
                ({ key, found, expected }) => `${FIELDS[key] ?? key} ${found}: it must be ${expected}. `,
              )
            : wordsOf(enter.error)}{' '}
          The line is kept; correct it and press Enter.
        </Notice>
      )}
      {left !== '' && (
        <Pasted
          text={left}
          busy={pasted.isPending}
          reasons={pasted.data?.reasons ?? []}
          stored={pasted.data?.stored ?? 0}
          onChange={setLeft}
          onStore={() => pasted.mutate(left)}
        />
      )}
    </section>
  )
}

const FIELDS: Readonly<Record<string, string>> = {
  tag: 'Tag',
  azimuthDegrees: 'Azimuth',
  distanceMetres: 'Distance',
  diameterMillimetres: 'Diameter',
  heightDecimetres: 'Height',
}

type PastedProps = {
  readonly text: string
  readonly busy: boolean
  readonly reasons: readonly string[]
  readonly stored: number
  readonly onChange: (text: string) => void
  readonly onStore: () => void
}

/** Lines that were pasted and are not stored yet, each with its reason. */
function Pasted({ text, busy, reasons, stored, onChange, onStore }: PastedProps) {
  return (
    <div className="grid gap-2 rounded-plain border border-edge bg-card p-3">
      <label className="font-semibold">
        Pasted lines that are still to be stored
        <textarea
          value={text}
          onChange={(event) => onChange(event.target.value)}
          rows={Math.min(8, text.split('\n').length + 1)}
          spellCheck={false}
          className="figure mt-1 block w-full rounded-plain border border-edge bg-paper p-2 font-normal"
        />
      </label>
      {busy ? (
        <p role="status">Storing line after line …</p>
      ) : (
        <>
          {reasons.length > 0 && (
            <Notice tone="wrong">
              {stored} stored. What is left could not be:
              <ul>
                {reasons.slice(0, 6).map((reason) => (
                  <li key={reason}>{reason}</li>
                ))}
                {reasons.length > 6 && <li>and {reasons.length - 6} more</li>}
              </ul>
            </Notice>
          )}
          <div className="flex gap-2">
            <Button onClick={onStore}>Store these lines</Button>
            <Button look="quiet" onClick={() => onChange('')}>
              Drop them
            </Button>
          </div>
        </>
      )}
    </div>
  )
}

function Help() {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-3 rounded-plain border border-line bg-card p-3 [&_dt]:figure [&_dt]:font-bold">
      <dt>23 204 7.2 287</dt>
      <dd>tag, azimuth, distance in m, diameter in mm: bare numbers come in this order</dd>
      <dt>#23 204° 7.2m 28.7cm h 18m</dt>
      <dd>or in any order, with their signs</dd>
      <dt>silver birch · sil bir · bepe</dt>
      <dd>plainly that taxon: begun words, or two letters of each scientific name</dd>
      <dt>silver birch? · birches</dt>
      <dd>contested, so it goes to the Bench</dd>
      <dt>pole wild wet</dt>
      <dd>stage, origin and ground; without them: mature, origin unknown, the plot’s ground</dd>
      <dt>=12</dt>
      <dd>a stem of the clone of tree 12, and what that is</dd>
      <dt>"top gone"</dt>
      <dd>a note on its condition</dd>
    </dl>
  )
}

/** What the plot itself says against a line. */
function inPlot({ tree }: ParsedLine, plot: Plot, trees: readonly TreeRow[]): string[] {
  const problems: string[] = []
  if (tree.tag !== undefined && trees.some((one) => one.tag === tree.tag)) {
    problems.push(`tag ${tree.tag} is taken in this plot`)
  }
  if (tree.distanceMetres !== undefined && tree.distanceMetres > plot.radiusMetres) {
    problems.push(`${tree.distanceMetres} m is outside the plot, whose radius is ${plot.radiusMetres} m`)
  }
  if (tree.cloneOfTag !== undefined) {
    const bearer = trees.find((one) => one.tag === tree.cloneOfTag)
    if (!bearer) problems.push(`there is no tree ${tree.cloneOfTag} to be a stem of`)
    else if (!bearer.groupId)
      problems.push(
        `tree ${tree.cloneOfTag} is recorded plainly; only a tree for the Bench bears a clone’s call`,
      )
  }
  return problems
}

function bodyOf({ tree }: ParsedLine, trees: readonly TreeRow[]): TreeBody {
  const { cloneOfTag, ...rest } = tree
  const bearer = trees.find((one) => one.tag === cloneOfTag)
  return {
    tag: 0,
    azimuthDegrees: 0,
    distanceMetres: 0,
    diameterMillimetres: 0,
    stage: 'mature',
    origin: 'unknown',
    conditionNotes: '',
    ...rest, // a line without problems has all of these
    ...(bearer ? { cloneOf: bearer.id } : {}),
    ...(bearer && !rest.plainTaxon ? { groupId: rest.groupId ?? bearer.groupId } : {}),
  }
}
