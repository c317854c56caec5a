import { ArrowDown } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import type { NamedTaxon, TreeRow } from '../../api/types'
import { Thistle } from '../../ui/Thistle'
import { identityOf, stateOf } from './standing'
import { vigourWords } from './vigourWords'

type Props = {
  readonly trees: readonly TreeRow[]
  readonly taxa: readonly NamedTaxon[]
  readonly chosen: string | undefined
  readonly onChoose: (id: string) => void
}

type Column = {
  readonly title: string
  readonly of: (tree: TreeRow) => number | string
  readonly numeric?: boolean
  /** left out on a small screen, where the map tells it */
  readonly wideOnly?: boolean
}

/** The trees of a plot in rows; a row and its mark on the map are chosen together. */
export function TreeTable({ trees, taxa, chosen, onChoose }: Props) {
  const columns: readonly Column[] = [
    { title: 'tag', of: (tree) => tree.tag, numeric: true },
    { title: 'az °', of: (tree) => tree.azimuthDegrees, numeric: true, wideOnly: true },
    { title: 'm', of: (tree) => tree.distanceMetres, numeric: true, wideOnly: true },
    { title: 'mm', of: (tree) => tree.diameterMillimetres, numeric: true },
    { title: 'pressed', of: (tree) => tree.competition ?? -1, numeric: true, wideOnly: true },
    { title: 'what it is', of: (tree) => identityOf(tree, taxa) },
    { title: 'call', of: (tree) => stateOf(tree, undefined) },
  ]
  const [by, setBy] = useState(0)
  const of = columns[by]?.of ?? ((tree: TreeRow) => tree.tag)
  const rows = [...trees].sort((a, b) => {
    const [one, other] = [of(a), of(b)]
    return typeof one === 'number' && typeof other === 'number'
      ? one - other
      : `${one}`.localeCompare(`${other}`)
  })
  const chosenRow = useRef<HTMLTableRowElement>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: the row that is chosen now scrolls into view
  useEffect(() => {
    chosenRow.current?.scrollIntoView({ block: 'nearest' })
  }, [chosen])
  return (
    <table className="w-full border-collapse bg-card text-left">
      <thead className="sticky top-0 z-10 bg-card">
        <tr>
          {columns.map((column, i) => (
            <th
              key={column.title}
              scope="col"
              aria-sort={i === by ? 'ascending' : 'none'}
              className={`p-0 shadow-[inset_0_-1px_0_var(--color-ink)] ${column.wideOnly ? 'max-sm:hidden' : ''}`}
            >
              <button
                type="button"
                onClick={() => setBy(i)}
                className={`flex min-h-11 w-full items-center gap-1 px-2 ${column.numeric ? 'justify-end' : ''} ${i === by ? '' : 'font-normal'}`}
              >
                {column.title}
                {i === by && <ArrowDown aria-hidden className="size-4" />}
              </button>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((tree) => (
          <tr
            key={tree.id}
            ref={tree.id === chosen ? chosenRow : undefined}
            data-chosen={tree.id === chosen ? '' : undefined}
            className="cursor-pointer border-b border-line hover:bg-thistle-wash data-chosen:bg-thistle-wash"
            onClick={() => onChoose(tree.id)}
          >
            <td className="p-0 text-right">
              <button
                type="button"
                aria-label={`Tree ${tree.tag}`}
                aria-pressed={tree.id === chosen}
                className="figure min-h-11 w-full px-2 text-right font-bold"
                onClick={(event) => {
                  event.stopPropagation()
                  onChoose(tree.id)
                }}
              >
                {tree.tag}
              </button>
            </td>
            <td className="figure px-2 text-right max-sm:hidden">{tree.azimuthDegrees}</td>
            <td className="figure px-2 text-right max-sm:hidden">{tree.distanceMetres}</td>
            <td className="figure px-2 text-right">{tree.diameterMillimetres}</td>
            <td className="figure px-2 text-right max-sm:hidden">{tree.competition?.toFixed(1)}</td>
            <td className="px-2">
              {identityOf(tree, taxa)}
              {tree.favoured && <strong>, to be favoured</strong>}
              {tree.vigour && <span className="block text-sm text-quiet">{vigourWords(tree.vigour)}</span>}
              {tree.stage !== 'mature' && <span className="text-quiet">, {tree.stage}</span>}
            </td>
            <td className="min-w-28 px-2">
              <span className="flex items-center gap-2">
                {tree.thistle && tree.readings > 0 && (
                  <Thistle
                    figures={tree.thistle}
                    signed={tree.standsAs === 'taxon'}
                    reviewed={tree.reviewed}
                    className="size-8 shrink-0"
                  />
                )}
                {stateOf(
                  tree,
                  trees.find((one) => one.id === tree.cloneOf),
                )}
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
