import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { ANALYSES, type Analysis, choiceOf, TISSUES, type Tissue } from '../../api/codes'
import { groupsQuery } from '../../api/groups'
import { limits } from '../../api/limits'
import { wordsOf } from '../../api/problem'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { TextArea } from '../../ui/TextArea'
import { useIds } from '../useIds'
import { askForSample } from './queries'
import { analysisWords } from './words'

type Props = {
  readonly surveyId: string
  readonly treeId: string
  readonly groupId: string
  readonly onDone: () => void
}

/** Asks for a sample of a tree. */
export function AskForSample({ surveyId, treeId, groupId, onDone }: Props) {
  const queries = useQueryClient()
  const ids = useIds()
  const groups = useQuery(groupsQuery)
  const taxa = groups.data?.find((one) => one.groupId === groupId)?.taxa ?? []
  const hybrids = taxa.filter(({ rank }) => rank === 'hybrid')
  const [tissue, setTissue] = useState<Tissue>('leaf')
  const [analysis, setAnalysis] = useState<Analysis>('sequence')
  const [cross, setCross] = useState('')
  const [note, setNote] = useState('')
  const ask = useMutation({
    mutationFn: () => {
      const asked = { treeId, tissue, analysis, note, cross: analysis === 'markers' && cross ? cross : null }
      return askForSample(surveyId, ids.of(JSON.stringify(asked)), asked)
    },
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['surveys', surveyId] })
      onDone()
    },
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    ask.mutate()
  }
  return (
    <form onSubmit={submit} className="grid gap-4">
      <Choice label="What is to be cut" options={TISSUES.map(choiceOf)} value={tissue} onChange={setTissue} />
      <Choice
        label="What the laboratory is to find"
        options={ANALYSES.map((value) => ({
          value,
          text: analysisWords(value),
        }))}
        value={analysis}
        onChange={setAnalysis}
      />
      {analysis === 'markers' && hybrids.length > 1 && (
        <Choice
          label="Between the parents of"
          options={hybrids.map(({ id, commonName }) => ({ value: id, text: commonName }))}
          value={cross || (hybrids[0]?.id ?? '')}
          onChange={setCross}
        />
      )}
      <TextArea
        label="Why, or where from, if you like"
        maxLength={limits.NewSample.note.longest}
        value={note}
        onChange={(event) => setNote(event.target.value)}
      />
      <p className="text-quiet">
        Cut with a clean blade, a small piece, and only where the survey’s own rules and the owner allow it.
      </p>
      {ask.isError && <Notice tone="wrong">{wordsOf(ask.error)}</Notice>}
      <Button type="submit" look="main" disabled={ask.isPending}>
        Ask for the sample
      </Button>
    </form>
  )
}
