import type { Aspect } from '../../api/codes'
import type { SheetChange, Stated } from '../../api/types'
import { Drawing } from '../../ui/Drawing'
import { isDrawable } from '../draft/drawable'
import { aspectWords, statedWords } from './changeWords'

const PART_WORDS: Readonly<Record<SheetChange['part'], string>> = {
  sheet: 'The sheet',
  taxon: 'Taxon',
  gate: 'Gate',
  character: 'Character',
  index: 'Published function',
  caution: 'Cautions',
  source: 'Sources',
}

/** What is different between two versions, in words, and in drawings where those are different. */
export function Differences({ changes }: { readonly changes: readonly SheetChange[] }) {
  if (changes.length === 0) return <p>Nothing is different.</p>
  return (
    <ul className="divide-y divide-line border-y border-line">
      {changes.map((one, i) => (
        <li
          // biome-ignore lint/suspicious/noArrayIndexKey: a list that is only ever replaced as a whole
          key={i}
          className="flex flex-wrap items-center gap-x-2 py-1"
        >
          <span className="text-sm text-quiet">{PART_WORDS[one.part]}</span>
          {one.name !== '' && <b>{one.name}</b>}
          <Change change={one} />
        </li>
      ))}
    </ul>
  )
}

function Change({ change }: { readonly change: SheetChange }) {
  const { aspect, before, after } = change
  if (aspect === 'whole') return <span>{before ? 'left out' : 'added'}</span>
  const what = aspectWords(change)
  if (!before && aspect !== 'profile') {
    return (
      <span className="flex flex-wrap items-center gap-x-2">
        {what} added: <Side aspect={aspect} stated={after} />
      </span>
    )
  }
  if (!after && aspect !== 'profile') {
    return (
      <span className="flex flex-wrap items-center gap-x-2">
        {what} left out: <Side aspect={aspect} stated={before} />
      </span>
    )
  }
  return (
    <span className="flex flex-wrap items-center gap-x-2">
      {what && `${what}:`} <Side aspect={aspect} stated={before} gone />
      <span className="sr-only">now</span>
      <span aria-hidden>→</span> <Side aspect={aspect} stated={after} />
    </span>
  )
}

type SideProps = {
  readonly aspect: Aspect
  readonly stated: Stated | null | undefined
  /** Whether it stands no more beside what does. */
  readonly gone?: boolean
}

function Side({ aspect, stated, gone = false }: SideProps) {
  const words = statedWords(aspect, stated)
  const { drawing } = stated ?? {}
  if (drawing && isDrawable({ ...drawing.parameters, part: drawing.part })) {
    return (
      <span role="img" aria-label={words} title={words}>
        <Drawing hint={drawing} className={`size-14 ${gone ? 'opacity-60' : ''}`} />
      </span>
    )
  }
  return gone ? <span className="text-quiet line-through decoration-1">{words}</span> : <b>{words}</b>
}
