import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { Notice } from '../../ui/Notice'
import { practiceQuery } from './queries'

type Props = {
  readonly surveyId: string
  /** only what is asked for in this group; none: in any */
  readonly groupId?: string
}

/** What a survey asks to be practised and is not yet, where it matters; nothing otherwise. */
export function ToPractise({ surveyId, groupId }: Props) {
  const practice = useQuery({ ...practiceQuery, staleTime: 60_000 })
  const open = (practice.data?.signedOff ?? []).filter(
    (one) => one.surveyId === surveyId && !one.passed && (groupId === undefined || one.groupId === groupId),
  )
  if (open.length === 0) return null
  return (
    <Notice tone="plain">
      {open.map((one) => (
        <p key={one.groupId}>
          <strong>{one.groupTitle}</strong>: {one.right} of {one.needed} practice trees right in a row of{' '}
          {one.of}. Until then each name you sign is read a second time.{' '}
          <Link to="/practice" className="font-semibold underline">
            Practise
          </Link>
        </p>
      ))}
    </Notice>
  )
}
