import { useMutation, useQueryClient } from '@tanstack/react-query'
import { type FormEvent, useState } from 'react'
import { Link } from 'react-router'
import { limits } from '../../api/limits'
import { wordsOf, wrongAt } from '../../api/problem'
import type { Survey } from '../../api/types'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { counted } from '../../ui/words'
import { beginNextSeason } from './queries'

type Props = {
  readonly survey: Survey
  /** Before the new one is among the surveys, of which the newest is in hand where none was chosen. */
  readonly onBegun: () => void
}

/** Begins the season that follows a survey's. */
export function NextSeasonForm({ survey, onBegun }: Props) {
  const queries = useQueryClient()
  const [id] = useState(() => crypto.randomUUID()) // the same for a second tap
  const [name, setName] = useState(survey.name)
  const [season, setSeason] = useState(`${survey.season + 1}`)
  const begin = useMutation({
    mutationFn: () => beginNextSeason(survey.id, { id, name, season: Number(season) }),
    onSuccess: () => {
      onBegun()
      return queries.invalidateQueries({ queryKey: ['surveys'] })
    },
  })
  const submit = (event: FormEvent) => {
    event.preventDefault()
    begin.mutate()
  }
  const refused = ['name', 'season'].some((key) => wrongAt(begin.error, key))
  if (begin.data) {
    const { plots, stems, records } = begin.data
    return (
      <Notice tone="plain">
        Season {season} is begun with {counted(plots, 'plot')} and {counted(stems, 'standing stem')}; no
        reading and no signature went with it. {counted(records, 'verified tree')} of the district{' '}
        {records === 1 ? 'weighs' : 'weigh'} in what is believed beforehand.{' '}
        <Link
          to={`/surveys/${id}/settings`}
          className="inline-flex min-h-6 items-center font-semibold text-thistle underline"
        >
          Look over its settings
        </Link>
      </Notice>
    )
  }
  return (
    <details className="print:hidden">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">
        Next season from this one
      </summary>
      <p className="max-w-prose">
        Crew, rules, groups, plots and the stems that still stand go with it, with their tags. Readings and
        signatures stay here; what a tree was called is told to whoever asks for it.
      </p>
      <form onSubmit={submit} noValidate className="mt-2 flex flex-wrap items-end gap-3">
        <Field
          label="Name"
          className="w-80 max-w-full"
          maxLength={limits.NewSeason.name.longest}
          value={name}
          onChange={(event) => setName(event.target.value)}
          wrong={wrongAt(begin.error, 'name')}
        />
        <Field
          label="Season"
          type="number"
          inputMode="numeric"
          className="w-28"
          min={limits.NewSeason.season.least}
          max={limits.NewSeason.season.most}
          value={season}
          onChange={(event) => setSeason(event.target.value)}
          wrong={wrongAt(begin.error, 'season')}
        />
        <Button
          type="submit"
          look="main"
          disabled={begin.isPending || name.trim() === '' || season.trim() === ''}
        >
          Begin it
        </Button>
      </form>
      {begin.isError && !refused && <Notice tone="wrong">{wordsOf(begin.error)}</Notice>}
    </details>
  )
}
