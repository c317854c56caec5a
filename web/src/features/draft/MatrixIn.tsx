import { useState } from 'react'
import type { Draft } from '../../api/types'
import { sendMatrix } from '../../common/draft/queries'
import { Refused } from '../../common/draft/Refused'

/** Takes the figures of a table over that somebody worked on elsewhere. */
export function MatrixIn({
  draft,
  onTaken,
}: {
  readonly draft: Draft
  readonly onTaken: (draft: Draft) => void
}) {
  const [failed, setFailed] = useState<unknown>()
  const [busy, setBusy] = useState(false)
  const take = async (file: File) => {
    setBusy(true)
    setFailed(undefined)
    try {
      onTaken(await sendMatrix(draft.id, file))
    } catch (error) {
      setFailed(error)
    } finally {
      setBusy(false)
    }
  }
  return (
    <section aria-label="Figures as a table" className="mt-6">
      <h2 className="text-xl">Figures as a table</h2>
      <p className="max-w-prose text-quiet">
        The matrix of taxa and characters goes out as CSV from the versions page and comes back here: a row
        for each taxon, character, and state or limit.
      </p>
      <label className="mt-2 block font-semibold">
        Take the figures of a table over
        <input
          type="file"
          accept=".csv,text/csv"
          disabled={busy}
          onChange={(event) => {
            const file = event.target.files?.[0]
            event.target.value = ''
            if (file) void take(file)
          }}
          className="mt-1 block min-h-11 font-normal"
        />
      </label>
      {failed !== undefined && <Refused error={failed} />}
    </section>
  )
}
