import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'

type Props = {
  readonly text: string
  readonly busy: boolean
  readonly reasons: readonly string[]
  readonly stored: number
  readonly onChange: (text: string) => void
  readonly onStore: () => void
}

/** Lines that were pasted and are not stored yet, each with its reason. */
export function Pasted({ text, busy, reasons, stored, onChange, onStore }: Props) {
  return (
    <div className="grid gap-2 rounded-plain border border-edge bg-card p-3">
      <label className="font-semibold">
        Pasted lines that are still to be stored
        <textarea
          value={text}
          onChange={(event) => onChange(event.target.value)}
          rows={Math.min(8, text.split('\n').length + 1)}
          spellCheck={false}
          className="figure mt-1 block w-full rounded-plain border border-edge bg-paper p-2 font-normal"
        />
      </label>
      {busy ? (
        <p role="status">Storing line after line …</p>
      ) : (
        <>
          {reasons.length > 0 && (
            <Notice tone="wrong">
              {stored} stored. What is left could not be:
              <ul>
                {reasons.slice(0, 6).map((reason) => (
                  <li key={reason}>{reason}</li>
                ))}
                {reasons.length > 6 && <li>and {reasons.length - 6} more</li>}
              </ul>
            </Notice>
          )}
          <div className="flex gap-2">
            <Button onClick={onStore}>Store these lines</Button>
            <Button look="quiet" onClick={() => onChange('')}>
              Drop them
            </Button>
          </div>
        </>
      )}
    </div>
  )
}
