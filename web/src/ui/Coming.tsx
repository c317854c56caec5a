import { Button } from './Button'
import { useTrouble } from './later'
import { Notice } from './Notice'
import { SERVER_AWAY } from './OnItsWay'

/** What stands in the place of something whose code is on its way, with why it has not come. */
export function Coming() {
  const trouble = useTrouble()
  return (
    <>
      {trouble === undefined && <p role="status">One moment …</p>}
      {trouble === 'away' && <Notice tone="waiting">{SERVER_AWAY}</Notice>}
      {trouble === 'gone' && (
        <Notice tone="wrong">
          <p>
            This page is another one on the server since the application was opened here. What was typed is
            kept.
          </p>
          <Button onClick={() => window.location.reload()}>Load it anew</Button>
        </Notice>
      )}
    </>
  )
}
