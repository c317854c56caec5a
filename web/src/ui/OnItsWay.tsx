import type { ReactNode } from 'react'
import { Away, wordsOf } from '../api/problem'
import { Notice } from './Notice'

/** Said while something is asked for again and again. */
export const SERVER_AWAY = 'The server cannot be reached. What belongs here comes by itself once it answers.'

type Asked = { readonly failureReason: Error | null }

type Props = {
  /** What is waited for, with why it has not come yet. */
  readonly of: Asked | readonly Asked[]
  readonly children: ReactNode
}

/** What stands in the place of something that is on its way; it is asked for again as long as nobody answers, and that is said. */
export function OnItsWay({ of, children }: Props) {
  const failure = [of].flat().find((one) => one.failureReason)?.failureReason
  if (!failure) return <p role="status">{children}</p>
  return (
    <div className="my-2">
      <Notice tone="waiting">{failure instanceof Away ? SERVER_AWAY : wordsOf(failure)}</Notice>
    </div>
  )
}
