import { queryOptions, useQuery } from '@tanstack/react-query'
import { X } from 'lucide-react'
import { useState } from 'react'
import { api, dataOf } from '../../api/client'
import { wordsOf } from '../../api/problem'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { Sheet } from '../../ui/Sheet'
import { answerDrawn, answerWords, traitWords } from './firstLooks'
import { type Props, WHICH_GROUP } from './whichGroup'

const whichQuery = (looks: readonly string[]) =>
  queryOptions({
    queryKey: ['sheets', 'which', looks],
    queryFn: async ({ signal }) =>
      dataOf(await api.GET('/api/sheets/which', { params: { query: { look: [...looks] } }, signal })),
    staleTime: Number.POSITIVE_INFINITY,
  })

/** From a handful of first looks to the groups that a tree may belong to. */
export function WhichGroupSheet({ groups, choose, onChoose, onClose }: Props) {
  const [answers, setAnswers] = useState<readonly (readonly [trait: string, answer: string])[]>([])
  const [skipped, setSkipped] = useState<readonly string[]>([])
  const which = useQuery(whichQuery(answers.map(([trait, answer]) => `${trait}:${answer}`)))
  const answered = answers.map(([trait]) => trait)
  const open = which.data?.traits.filter(
    (one) => !answered.includes(one.trait) && !skipped.includes(one.trait),
  )
  const asked =
    open?.find((one) => one.trait === which.data?.next) ?? (which.data?.next ? open?.[0] : undefined)
  const remaining = groups.filter((one) => which.data?.remaining.includes(one.groupId))
  return (
    <Sheet title={WHICH_GROUP} open onOpenChange={(stays) => !stays && onClose()}>
      {which.isError && <Notice tone="wrong">{wordsOf(which.error)}</Notice>}
      {which.isPending && <OnItsWay of={which}>Looking what tells most …</OnItsWay>}
      {answers.length > 0 && (
        <ul aria-label="What was seen" className="mb-3 flex flex-wrap gap-2">
          {answers.map(([trait, answer]) => (
            <li key={trait}>
              <Button
                className="inline-flex items-center gap-2 bg-thistle-wash px-3"
                onClick={() => setAnswers(answers.filter(([other]) => other !== trait))}
              >
                {answerWords(answer)} <X aria-hidden className="size-4" />
                <span className="sr-only">, take it back</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      {asked && remaining.length > 1 && (
        <section aria-label="Look at" className="mb-4">
          <h3 className="mb-2 text-lg">{traitWords(asked.trait)}</h3>
          <div className="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-2">
            {asked.answers.map((answer) => {
              const drawn = answerDrawn(answer)
              return (
                <Button
                  key={answer}
                  className="grid min-h-14 place-items-center content-start gap-1 px-2 py-2 leading-tight"
                  onClick={() => setAnswers([...answers, [asked.trait, answer]])}
                >
                  {drawn && <Drawing hint={drawn} className="h-14 w-20" />}
                  {answerWords(answer)}
                </Button>
              )
            })}
            <Button look="quiet" onClick={() => setSkipped([...skipped, asked.trait])}>
              I cannot tell
            </Button>
          </div>
        </section>
      )}
      {which.data && (
        <section aria-label="Groups that remain">
          <h3 className="mb-2 text-lg">
            {remaining.length === 0
              ? 'No sheet here covers such a tree'
              : remaining.length === 1
                ? 'It can only be'
                : `${remaining.length} groups remain`}
          </h3>
          {remaining.length === 0 && (
            <p>
              Take an answer back if you are not sure of it; otherwise enter the tree by its name, or begin a
              sheet for its group.
            </p>
          )}
          <ul className="grid gap-2">
            {remaining.map((group) => (
              <li key={group.groupId}>
                <button
                  type="button"
                  aria-label={`${choose}: ${group.title}`}
                  onClick={() => onChoose(group)}
                  className="block min-h-11 w-full rounded-plain border border-edge bg-card px-3 py-2 text-left hover:bg-thistle-wash"
                >
                  <b>{group.title}</b>
                  <span className="block text-sm text-quiet">
                    {group.taxa.map((one) => one.commonName).join(' · ')}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </Sheet>
  )
}
