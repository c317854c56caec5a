import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { SampleStep } from '../../api/codes'
import type { Sample } from '../../api/types'
import { goOn } from '../../common/sample/queries'
import { saidWords } from '../../common/sample/words'
import { useIds } from '../../common/useIds'

type Said = { readonly sample: Sample; readonly step: SampleStep; readonly note: string }

/** What is said of samples; it outlasts their rows, which go elsewhere as soon as somebody says something. */
export type Saying = ReturnType<typeof useSaying>

export function useSaying(surveyId: string) {
  const queries = useQueryClient()
  const [asked, setAsked] = useState<Omit<Said, 'note'>>()
  const [note, setNote] = useState('')
  const ids = useIds()
  const saying = useMutation({
    mutationFn: (said: Said) =>
      goOn(
        surveyId,
        said.sample,
        ids.of(`${said.sample.id} ${said.sample.step} ${said.step} ${said.note}`),
        said.step,
        said.note,
      ),
    onSuccess: () => {
      setAsked(undefined)
      setNote('')
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ['surveys', surveyId] }),
  })
  return {
    asked,
    note,
    setNote,
    busy: saying.isPending,
    error: saying.error,
    say: (sample: Sample, step: SampleStep) => saying.mutate({ sample, step, note }),
    ask: (sample: Sample, step: SampleStep) => {
      saying.reset()
      setAsked({ sample, step })
    },
    leave: () => setAsked(undefined),
  }
}

const BUTTONS: Readonly<Partial<Record<SampleStep, string>>> = {
  taken: 'out of the parcel',
  withdrawn: 'not wanted any more',
}

/** What a button says that says so. */
export const buttonWords = (step: SampleStep): string => BUTTONS[step] ?? saidWords(step)
