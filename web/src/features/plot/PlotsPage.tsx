import { useQuery } from '@tanstack/react-query'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { PlotRow, Survey } from '../../api/types'
import { plotsQuery } from '../../common/plot/queries'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { FirstSteps } from '../../ui/FirstSteps'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { OnItsWay } from '../../ui/OnItsWay'
import { Sheet } from '../../ui/Sheet'
import { SurveyHead } from '../../ui/SurveyHead'
import { useAsked } from '../../ui/useAsked'
import { counted } from '../../ui/words'
import { PlotForm } from './PlotForm'

const LINK = 'inline-flex min-h-11 items-center rounded-plain border border-ink bg-card px-4 font-semibold'
const SHOWN = [
  { value: 'all', text: 'all' },
  { value: 'open', text: 'with open calls' },
  { value: 'contested', text: 'with contested calls' },
] as const

type Shown = (typeof SHOWN)[number]['value']

const FEW = 12 // plots, which the eye finds by itself
const PAGE = 60 // plots at once

const SORTS = [
  { value: 'code', text: 'by code' },
  { value: 'open', text: 'most not signed first' },
  { value: 'contested', text: 'most contested first' },
  { value: 'comeBack', text: 'most to come back to first' },
  { value: 'stems', text: 'most stems first' },
] as const

type Sort = (typeof SORTS)[number]['value']

/** The plots of the survey in hand. */
export function PlotsPage() {
  const chosen = useSurvey()
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mx-auto w-full max-w-5xl">
        <SurveyHead chosen={chosen} title="Plots" />
        {chosen.survey && <Plots survey={chosen.survey} />}
      </div>
    </main>
  )
}

function Plots({ survey }: { readonly survey: Survey }) {
  const observer = useObserver()
  const navigate = useNavigate()
  const plots = useQuery(plotsQuery(survey.id))
  const [adding, setAdding] = useAsked('adding')
  const [shown, setShown] = useState<Shown>('all')
  const [found, setFound] = useState('')
  const [sort, setSort] = useState<Sort>('code')
  const [pages, setPages] = useState(1)
  if (plots.isError) return <Notice tone="wrong">{wordsOf(plots.error)}</Notice>
  if (!plots.data) return <OnItsWay of={plots}>Fetching the plots …</OnItsWay>
  const rows = inOrder(
    plots.data.filter((plot) => (shown === 'all' || plot[shown] > 0) && isCalled(plot, found)),
    sort,
  )
  const upTo = pages * PAGE
  return (
    <>
      <div className="my-3 flex flex-wrap items-center gap-2">
        {!survey.closedAt && (
          <Button look="main" onClick={() => setAdding(true)}>
            <Plus aria-hidden className="mr-1 inline size-4" />
            New plot
          </Button>
        )}
        <Link to={`/surveys/${survey.id}/exchange`} className={LINK}>
          Import and export
        </Link>
        <Link to={`/surveys/${survey.id}/cards`} className={LINK}>
          Field cards
        </Link>
        {observer.role === 'lead' && (
          <>
            <Link to={`/surveys/${survey.id}/settings`} className={LINK}>
              Survey settings
            </Link>
            <Button onClick={() => navigate(`/surveys/${crypto.randomUUID()}/settings`)}>New survey</Button>
          </>
        )}
        {plots.data.length > 0 && (
          <div className="ml-auto">
            <OneOf label="Plots shown" options={SHOWN} value={shown} onChange={setShown} />
          </div>
        )}
      </div>
      {plots.data.length > FEW && (
        <div className="mb-3 grid grid-cols-2 gap-3 sm:max-w-xl">
          <Field
            label="Find"
            type="search"
            placeholder="a part of its code"
            value={found}
            onChange={(event) => {
              setFound(event.target.value)
              setPages(1)
            }}
          />
          <Choice label="Order" options={SORTS} value={sort} onChange={setSort} />
        </div>
      )}
      {plots.data.length === 0 && <FirstSteps survey={survey} />}
      {plots.data.length > 0 && rows.length === 0 && <Notice tone="plain">No such plot.</Notice>}
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {rows.slice(0, upTo).map((plot) => (
          <li key={plot.id}>
            <PlotCard surveyId={survey.id} plot={plot} />
          </li>
        ))}
      </ul>
      {rows.length > upTo && (
        <Button className="mt-3" onClick={() => setPages(pages + 1)}>
          {Math.min(PAGE, rows.length - upTo)} more of {rows.length - upTo}
        </Button>
      )}
      <Sheet title="New plot" open={adding} onOpenChange={setAdding}>
        <PlotForm
          surveyId={survey.id}
          onDone={(plotId) => {
            setAdding(false)
            navigate(`/surveys/${survey.id}/plots/${plotId}`)
          }}
        />
      </Sheet>
    </>
  )
}

/** Whether a plot's code has every word that was typed. */
function isCalled({ code }: PlotRow, typed: string): boolean {
  const name = code.toLowerCase()
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => name.includes(word))
}

function inOrder(plots: readonly PlotRow[], sort: Sort): readonly PlotRow[] {
  if (sort === 'code') return plots // as they come
  return [...plots].sort((a, b) => b[sort] - a[sort])
}

function PlotCard({ surveyId, plot }: { readonly surveyId: string; readonly plot: PlotRow }) {
  const calls = plot.open + plot.comeBack
  const done = plot.stems === 0 ? 0 : 1 - calls / plot.stems
  return (
    <Link
      to={`/surveys/${surveyId}/plots/${plot.id}`}
      className="block rounded-plain border border-line bg-card p-3 hover:bg-thistle-wash"
    >
      <span className="flex items-baseline justify-between gap-2">
        <span className="text-lg font-bold">{plot.code}</span>
        <span className="text-quiet">{plot.closed ? 'closed' : counted(plot.stems, 'stem')}</span>
      </span>
      <svg
        viewBox="0 0 100 4"
        preserveAspectRatio="none"
        className="my-2 block h-2 w-full"
        aria-hidden="true"
      >
        <rect width="100" height="4" className="fill-line" />
        <rect width={100 * done} height="4" className="fill-moss" />
      </svg>
      <span className="block">
        {plot.open > 0 ? `${plot.open} not signed` : plot.stems > 0 ? 'every call signed' : 'no stem yet'}
        {plot.contested > 0 && `, ${plot.contested} contested`}
        {plot.comeBack > 0 && `, ${plot.comeBack} to come back`}
        {plot.latitude == null && ', no position'}
      </span>
    </Link>
  )
}
