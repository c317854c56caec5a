import { useQuery } from '@tanstack/react-query'
import { wordsOf } from '../../api/problem'
import type { AuditEntry } from '../../api/types'
import { historyQuery } from '../../common/plot/queries'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { dayAndTime } from '../../ui/words'

/** Who did what to a tree, the latest first, with what it was before and after. */
export function History({ surveyId, treeId }: { readonly surveyId: string; readonly treeId: string }) {
  const history = useQuery(historyQuery(surveyId, treeId))
  if (history.isError) return <Notice tone="wrong">{wordsOf(history.error)}</Notice>
  if (!history.data) return <OnItsWay of={history}>One moment …</OnItsWay>
  return (
    <ol className="grid gap-3">
      {history.data.map((entry) => (
        <li key={`${entry.at} ${entry.what}`} className="border-b border-line pb-2">
          <p>
            <strong>{entry.observer ?? 'The application'}</strong> {entry.what}{' '}
            <span className="text-quiet">on {dayAndTime(entry.at)}</span>
          </p>
          <ul>
            {changesOf(entry).map((change) => (
              <li key={change}>{change}</li>
            ))}
          </ul>
        </li>
      ))}
    </ol>
  )
}

/** The parts that differ: "diameterMillimetres: 214 → 231". */
function changesOf({ before, after }: AuditEntry): string[] {
  const was = partsOf(before)
  const is = partsOf(after)
  if (!was || !is) return after !== undefined && after !== null && !is ? [`→ ${shown(after)}`] : []
  return Object.keys({ ...was, ...is })
    .filter((key) => shown(was[key]) !== shown(is[key]))
    .map((key) => `${key.replace(/([A-Z])/g, ' $1').toLowerCase()}: ${shown(was[key])} → ${shown(is[key])}`)
}

function partsOf(value: unknown): Readonly<Record<string, unknown>> | undefined {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
    ? (value as Record<string, unknown>)
    : undefined
}

function shown(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing'
  if (Array.isArray(value)) return value.join(', ')
  const parts = partsOf(value)
  if (!parts) return String(value)
  return Object.entries(parts)
    .filter(([, part]) => part !== null && part !== false)
    .map(([key, part]) => (part === true ? key : `${key} ${shown(part)}`))
    .join('; ')
}
