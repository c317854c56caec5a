import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { useKeptText } from '../../api/kept'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import type { Plot, TreeRow } from '../../api/types'
import { handIn } from '../../common/bench/handIn'
import { outbox } from '../../common/bench/outbox'
import { plotTreesQuery } from '../../common/plot/queries'
import { treesHere } from '../../common/plot/treesHere'
import { useIds } from '../../common/useIds'
import { bodyOf, inPlot, type Known } from './lineInPlot'
import { parseLine, type Vocabulary } from './quickEntry'

type Lines = {
  readonly surveyId: string
  readonly plot: Plot
  readonly trees: readonly TreeRow[]
  readonly vocabulary: Vocabulary
  readonly onEntered: (treeId: string) => void
}

/** Lines of quick entry on their way into a plot; one that is sent again is the same tree. */
export function useLines({ surveyId, plot, trees, vocabulary, onEntered }: Lines) {
  const queries = useQueryClient()
  const observer = useObserver().callSign
  const [line, setLine] = useKeptText(`quick.${plot.id}`)
  const ids = useIds()
  const store = async (text: string, known: readonly Known[]) => {
    const parsed = parseLine(text, vocabulary)
    const wrong = [...parsed.problems, ...inPlot(parsed, plot, known)]
    if (wrong.length > 0) throw new Error(wrong.join('. '))
    const id = ids.of(text)
    const body = bodyOf(parsed, known)
    await handIn({
      id: crypto.randomUUID(),
      observer,
      surveyId,
      treeId: id,
      where: `${plot.code}, tree ${body.tag}`,
      entered: { kind: 'tree', plotId: plot.id, body },
    })
    ids.done(text)
    return id
  }
  const enter = useMutation({
    mutationFn: () => store(line, trees),
    onSuccess: (treeId) => {
      setLine('')
      onEntered(treeId)
      void queries.invalidateQueries({ queryKey: ['surveys', surveyId] })
    },
  })
  return { line, setLine, enter, store }
}

type Pasted = Pick<Lines, 'surveyId' | 'plot' | 'trees'> & {
  readonly store: (line: string, known: readonly Known[]) => Promise<unknown>
  /** Whether the names are there by which lines are read. */
  readonly named: boolean
}

/** Lines that were pasted together: stored one after the other, what cannot be is left with its reason. */
export function usePasted({ surveyId, plot, trees, store, named }: Pasted) {
  const queries = useQueryClient()
  const observer = useObserver().callSign
  const [left, setLeft] = useKeptText(`pasted.${plot.id}`)
  const [due, setDue] = useState<string>()
  const all = plotTreesQuery(surveyId, plot.id)
  const storing = useMutation({
    mutationFn: async (text: string) => {
      const rest: string[] = []
      const reasons: string[] = []
      let stored = 0
      for (const [i, one] of text.split(/\r?\n/).entries()) {
        if (one.trim() === '') continue
        try {
          const known = queries.getQueryData(all.queryKey) ?? trees
          await store(one.trim(), treesHere(plot.id, known, outbox.of(observer)))
          stored++
          // the lines that follow are held against the trees that are there now, if the server tells them
          await queries.fetchQuery({ ...all, staleTime: 0, retry: false }).catch(() => undefined)
        } catch (error) {
          rest.push(one)
          reasons.push(`Line ${i + 1}: ${wordsOf(error)}`)
        }
      }
      setLeft(rest.join('\n'))
      return { stored, reasons }
    },
    // not waited for: without a server it would never end
    onSettled: () => void queries.invalidateQueries({ queryKey: ['surveys', surveyId] }),
  })
  // lines that were pasted before the names are there wait for them
  const { mutate } = storing
  useEffect(() => {
    if (due === undefined || !named) return
    setDue(undefined)
    mutate(due)
  }, [due, named, mutate])
  const paste = (text: string) => {
    setLeft(text)
    setDue(text)
  }
  return { left, setLeft, storing, paste }
}
