import { dropSaid, type Said, sayAfter } from '../../common/control/lookStore'
import { workWords } from '../../common/control/words'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'

type Props = { readonly observer: string; readonly said: readonly Said[] }

/** What was said here and is not with the server yet, or was refused, with all that was typed. */
export function Waiting({ observer, said }: Props) {
  const open = said.filter((one) => one.sent === undefined)
  const refused = said.filter((one) => one.sent)
  return (
    <>
      {open.length > 0 && (
        <Notice tone="waiting">
          {open.length === 1 ? 'One look or record waits' : `${open.length} looks or records wait`} on this
          device for a network, and will be handed in without your doing anything.
        </Notice>
      )}
      {refused.map((one) => (
        <Notice key={one.id} tone="wrong">
          <p>
            <strong>{one.where}:</strong> {wordsOfSaid(one)} was not taken. {one.sent}
          </p>
          {one.before && (
            <p>
              {one.before.by} had recorded before: {workWords(one.before.what)}, {one.before.doneOn}
              {one.before.note && `, “${one.before.note}”`}.
            </p>
          )}
          {one.before && <Button onClick={() => sayAfter(observer, one)}>Record mine after it</Button>}
          <Button look="quiet" onClick={() => dropSaid(observer, one.id)}>
            {one.before ? 'Leave theirs' : 'I have read this; drop it'}
          </Button>
        </Notice>
      ))}
    </>
  )
}

function wordsOfSaid({ said }: Said): string {
  if (said.kind === 'look') return 'the last look'
  const { what, doneOn, note } = said.body
  return `“${workWords(what)}, ${doneOn}${note ? `, ${note}` : ''}”`
}
