import { limits } from '../../api/limits'
import { wordsOf } from '../../api/problem'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { TextArea } from '../../ui/TextArea'
import { buttonWords, type Saying } from './useSaying'

/** What happened to a sample, before it is recorded. */
export function SayingSheet({ saying }: { readonly saying: Saying }) {
  const { asked, note, setNote, busy, error, say, leave } = saying
  return (
    <Sheet
      title={asked ? `${asked.sample.code}: ${buttonWords(asked.step)}` : ''}
      open={asked !== undefined}
      onOpenChange={leave}
    >
      <div className="grid gap-4">
        <TextArea
          label="What happened, if you like"
          maxLength={limits.NewStep.note.longest}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        {error && <Notice tone="wrong">{wordsOf(error)}</Notice>}
        <Button look="main" disabled={busy} onClick={() => asked && say(asked.sample, asked.step)}>
          Record it
        </Button>
      </div>
    </Sheet>
  )
}
