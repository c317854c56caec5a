import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useId } from 'react'
import { useKeptText } from '../../api/kept'
import { limits } from '../../api/limits'
import { wordsOf } from '../../api/problem'
import type { ReviewCase, Sheet } from '../../api/types'
import { checkName } from '../../common/bench/judgementWords'
import { outcomeOf } from '../../common/review/caseWords'
import { caseQuery, sendWord } from '../../common/review/queries'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { amid, dayAndTime } from '../../ui/words'

type Props = {
  readonly it: ReviewCase
  readonly sheet: Sheet
  /** The character that is talked about; undefined: the case. */
  readonly about: string | undefined
  readonly onAbout: (character: string | undefined) => void
}

/** What was said and decided, in order; what is being written outlasts a lost connection and a closed page. */
export function Thread({ it, sheet, about, onAbout }: Props) {
  const queries = useQueryClient()
  const [draft, setDraft] = useKeptText(`words.${it.id}`)
  const field = useId()
  const say = useMutation({
    mutationFn: () =>
      sendWord(it.surveyId, it.id, crypto.randomUUID(), { character: about ?? null, body: draft ?? '' }),
    onSuccess: (now) => {
      queries.setQueryData(caseQuery(it.surveyId, it.id).queryKey, now)
      setDraft('')
      onAbout(undefined)
    },
  })
  const said = [
    ...it.words.map((word) => ({ ...word, words: word.body, about: word.character })),
    ...it.decisions.map((one) => ({
      ...one,
      words: one.reasons ? `${outcomeOf(one.outcome)}: ${one.reasons}` : outcomeOf(one.outcome),
      about: null,
    })),
  ].sort((a, b) => a.at.localeCompare(b.at))
  return (
    <section aria-label="Talk">
      <h2 className="text-lg">Talk</h2>
      {said.length === 0 && <p className="text-quiet">Nothing was said yet.</p>}
      <ol className="grid gap-2">
        {said.map((one) => (
          <li key={one.id} className="rounded-plain border border-line bg-card px-3 py-2">
            <span className="text-sm text-quiet">
              <strong className="text-ink">{one.observer}</strong>, {dayAndTime(one.at)}
              {one.about && `, on ${amid(checkName(sheet, one.about))}`}
            </span>
            <span className="block whitespace-pre-line">{one.words}</span>
          </li>
        ))}
      </ol>
      {!it.closed && (
        <form
          className="mt-3 grid gap-2"
          onSubmit={(event) => {
            event.preventDefault()
            if (draft?.trim()) say.mutate()
          }}
        >
          <Choice
            label="About"
            options={[
              { value: '', text: 'the whole case' },
              ...it.characters.map((one) => ({ value: one.character, text: one.name })),
            ]}
            value={about ?? ''}
            onChange={(character) => onAbout(character || undefined)}
          />
          <label htmlFor={field} className="font-semibold">
            Your words
          </label>
          <textarea
            id={field}
            rows={3}
            maxLength={limits.NewWord.body.longest}
            value={draft ?? ''}
            onChange={(event) => setDraft(event.target.value)}
            className="w-full rounded-plain border border-edge bg-card p-2"
          />
          {say.isError && <Notice tone="wrong">{wordsOf(say.error)}</Notice>}
          <Button type="submit" disabled={!draft?.trim() || say.isPending} className="w-fit">
            Say it
          </Button>
        </form>
      )}
    </section>
  )
}
