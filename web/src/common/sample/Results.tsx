import type { LaboratoryResult } from '../../api/types'
import { dayAndTime, percent } from '../../ui/words'

/** What a laboratory said, and what that is worth. */
export function Results({ results }: { readonly results: readonly LaboratoryResult[] }) {
  return (
    <ul className="grid gap-1">
      {results.map((one) => (
        <li key={one.number}>
          <strong>{one.says}</strong>: fits {one.fits.join(', ')}{' '}
          <span className="text-quiet">
            ({one.sample}, {dayAndTime(one.cameAt)}; such a result is wrong in {percent(one.error)})
          </span>
          {one.told && <span className="block font-semibold text-rust-ink">{one.told}</span>}
        </li>
      ))}
    </ul>
  )
}
