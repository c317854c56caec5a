import { limits } from '../../api/limits'
import type { Taken } from './quickEntry'

type Props = {
  readonly taken: readonly Taken[]
  readonly problems: readonly string[]
}

/** What a line is taken for, piece by piece, and what keeps it from being stored. */
export function LineTaken({ taken, problems }: Props) {
  return (
    <ul aria-label="What the line is taken for" className="flex flex-wrap gap-1.5">
      {taken.map((piece) => (
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
  )
}

const { stage, origin } = limits.TreeBody

/** How a line is written. */
export function LineHelp() {
  return (
    <dl className="grid gap-x-3 rounded-plain border border-line bg-card p-3 sm:grid-cols-[auto_1fr] [&_dd]:mb-2 sm:[&_dd]:mb-0 [&_dt]:figure [&_dt]:font-bold">
      <dt>23 204 7.2 287</dt>
      <dd>tag, azimuth, distance in m, diameter in mm: bare numbers come in this order</dd>
      <dt>#23 204° 7.2m 28.7cm h 18m</dt>
      <dd>or in any order, with their signs</dd>
      <dt>silver birch · sil bir · bepe</dt>
      <dd>plainly that taxon: begun words, or two letters of each scientific name</dd>
      <dt>silver birch? · birches</dt>
      <dd>contested, so it goes to the Bench</dd>
      <dt>pole wild wet</dt>
      <dd>
        stage, origin and ground; without them: {stage.usual}, origin {origin.usual}, the plot’s ground
      </dd>
      <dt>l240/180/60 d2 sub</dt>
      <dd>
        how it does: last leaders in mm, the youngest first; crown dieback 0 to 4; crown class; also forked,
        browsed, dead, favoured …
      </dd>
      <dt>=12</dt>
      <dd>a stem of the clone of tree 12, and what that is</dd>
      <dt>"top gone"</dt>
      <dd>a note on its condition</dd>
    </dl>
  )
}
