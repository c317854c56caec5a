import { useQuery } from '@tanstack/react-query'
import { wordsOf } from '../../api/problem'
import type { ReviewCase, Sheet } from '../../api/types'
import { wordsOfReading } from '../../common/bench/entries'
import { treeSaidQuery } from '../../common/control/queries'
import { verdictWords, workWords } from '../../common/control/words'
import { Notice } from '../../ui/Notice'
import { dayAndTime } from '../../ui/words'

type Props = { readonly it: ReviewCase; readonly sheet: Sheet }

/** Why a tree came back to review before it was cut, or after: what was read at the last look, and what was done. */
export function BeforeTheSaw({ it, sheet }: Props) {
  const said = useQuery(treeSaidQuery(it.surveyId, it.treeId))
  if (said.isError) return <Notice tone="wrong">{wordsOf(said.error)}</Notice>
  if (!said.data) return null
  const { looks, works } = said.data
  if (looks.length + works.length === 0) return null
  return (
    <section aria-label="Before the saw" className="my-3 rounded-plain border-2 border-rust bg-card p-3">
      <h2 className="text-lg">Before the saw</h2>
      <ul className="grid grid-cols-1 gap-2">
        {works.map((work) => (
          <li key={work.id}>
            <strong>{workWords(work.what)}</strong>, {work.doneOn}, says {work.by}
            {work.note && `: “${work.note}”`}
          </li>
        ))}
        {looks.map((look) => (
          <li key={look.id}>
            <strong>{verdictWords(look.result.verdict)}</strong>: last look of {look.by},{' '}
            {dayAndTime(look.at)}. {look.result.reasons.map(({ words }) => words).join('; ')}
            <ul className="ml-5 list-disc">
              {look.readings.map((reading) => {
                const character = sheet.characters.find(({ id }) => id === reading.character)
                return (
                  character && (
                    <li key={reading.character}>
                      {character.name}: {wordsOfReading(character, reading)}
                    </li>
                  )
                )
              })}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  )
}
