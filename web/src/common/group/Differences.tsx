import type { SheetChange } from '../../api/types'

const PART_WORDS: Readonly<Record<string, string>> = {
  sheet: 'The sheet',
  taxon: 'Taxon',
  gate: 'Gate',
  character: 'Character',
  index: 'Published function',
  caution: 'Cautions',
  source: 'Sources',
}

/** What is different between two versions, in words. */
export function Differences({ changes }: { readonly changes: readonly SheetChange[] }) {
  if (changes.length === 0) return <p>Nothing is different.</p>
  return (
    <ul className="divide-y divide-line border-y border-line">
      {changes.map((one) => (
        <li
          key={`${one.part} ${one.name} ${one.what} ${one.before} ${one.after}`}
          className="flex flex-wrap items-baseline gap-x-2 py-1"
        >
          <span className="text-sm text-quiet">{PART_WORDS[one.part]}</span>
          {one.name !== '' && <b>{one.name}</b>}
          <Change change={one} />
        </li>
      ))}
    </ul>
  )
}

function Change({ change: { what, before, after } }: { readonly change: SheetChange }) {
  if (what === '') return <span>{before ? 'left out' : 'added'}</span>
  if (before === undefined || before === null) {
    return (
      <span>
        {what} added: <b>{after}</b>
      </span>
    )
  }
  if (after === undefined || after === null) {
    return (
      <span>
        {what} left out: <b>{before}</b>
      </span>
    )
  }
  return (
    <span>
      {what}: <span className="text-quiet line-through decoration-1">{before}</span>{' '}
      <span className="sr-only">now</span>
      <span aria-hidden>→</span> <b>{after}</b>
    </span>
  )
}
