import { Fragment } from 'react'
import type { NearStem } from '../../api/types'
import { directionWords, metresWords, nearWords } from '../../common/control/words'

/** What stands near a tree and must not be touched, what must be kept first; those that nobody has read in one line. */
export function Near({ near }: { readonly near: readonly NearStem[] }) {
  if (near.length === 0) return <p>Nothing that looks like it stands near.</p>
  const unread = near.filter(({ kind }) => kind === 'unread')
  return (
    <ul aria-label="Do not touch" className="grid grid-cols-1 gap-1">
      {near
        .filter(({ kind }) => kind !== 'unread')
        .map((one) => (
          <li key={one.tag} className="grid grid-cols-[2.5rem_minmax(0,1fr)_max-content] items-baseline">
            <strong className="figure">{one.tag}</strong>
            <span className={one.kind === 'keep' ? 'font-bold' : ''}>{nearWords(one)}</span>
            <span className="figure pl-2 whitespace-nowrap">
              {metresWords(one.metres)} · {directionWords(one.degrees)}
            </span>
          </li>
        ))}
      {unread.length > 0 && (
        <li>
          Nobody has read{' '}
          {unread.map((one, i) => (
            <Fragment key={one.tag}>
              {i > 0 && ', '}
              <span className="whitespace-nowrap">
                <strong className="figure">{one.tag}</strong> at {metresWords(one.metres)}{' '}
                {directionWords(one.degrees)}
              </span>
            </Fragment>
          ))}
          .
        </li>
      )}
    </ul>
  )
}
