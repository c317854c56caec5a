import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { groupsOf, groupsQuery } from '../../api/groups'
import { useObserver } from '../../api/observer'
import { Problem, wordsOf } from '../../api/problem'
import { useSurvey } from '../../api/surveys'
import type { Plot, TreeRow } from '../../api/types'
import { TakePlotAlong } from '../../common/along/TakeAlong'
import { handIn } from '../../common/bench/handIn'
import { positionWords } from '../../common/plot/position'
import { taxaQuery } from '../../common/plot/queries'
import { usePlotHere } from '../../common/plot/treesHere'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { PageTitle } from '../../ui/PageTitle'
import { Sheet } from '../../ui/Sheet'
import { Tick } from '../../ui/Tick'
import { counted } from '../../ui/words'
import { ChosenTree } from './ChosenTree'
import { PlotForm } from './PlotForm'
import { QuickEntry } from './QuickEntry'
import { MapLegend, StemMap } from './StemMap'
import { TreeTable } from './TreeTable'

/** One plot: its stems on the map and in the table, and the line in which new ones are entered. */
export function PlotPage() {
  const { surveyId = '', plotId = '' } = useParams()
  const { plot, trees, error, away } = usePlotHere(surveyId, plotId)
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4 lg:flex lg:flex-col lg:overflow-hidden">
      {error && <Notice tone="wrong">{wordsOf(error)}</Notice>}
      {!error && !(plot && trees) && <p role="status">{away ? NOT_ALONG : 'Fetching the plot …'}</p>}
      {plot && trees && <OpenPlot surveyId={surveyId} plot={plot} trees={trees} />}
    </main>
  )
}

const NOT_ALONG =
  'There is no network, and this plot is not along. What is along is named under “Today”; this page opens by itself when there is a network.'

const SHOWN = [
  { value: 'all', text: 'all' },
  { value: 'todo', text: 'to do' },
  { value: 'contested', text: 'contested' },
] as const

type Shown = (typeof SHOWN)[number]['value']

const HOLDS: Readonly<Record<Shown, (tree: TreeRow) => boolean>> = {
  all: () => true,
  todo: (tree) => tree.toDo,
  contested: (tree) => tree.contested,
}

type OpenProps = { readonly surveyId: string; readonly plot: Plot; readonly trees: readonly TreeRow[] }

function OpenPlot({ surveyId, plot, trees }: OpenProps) {
  const navigate = useNavigate()
  const survey = useSurvey().surveys.find((one) => one.id === surveyId)
  const taxa = useQuery(taxaQuery).data ?? []
  const library = useQuery(groupsQuery).data ?? []
  const groups = survey ? groupsOf(survey, library) : library
  const [search, setSearch] = useSearchParams()
  const [shown, setShown] = useState<Shown>('all')
  const [pressure, setPressure] = useState(false)
  const chosenId = search.get('tree') ?? undefined
  const chosen = trees.find((one) => one.id === chosenId)
  const choose = (id: string) => setSearch({ tree: id }, { replace: true })
  const open = (id: string) => {
    const tree = trees.find((one) => one.id === id)
    if (tree?.groupId) navigate(`/surveys/${surveyId}/trees/${tree.cloneOf ?? id}`)
  }
  const locked = Boolean(survey?.closedAt ?? plot.closedAt)
  const rows = trees.filter((tree) => HOLDS[shown](tree) || tree.id === chosenId)

  return (
    <>
      <PlotHead
        surveyId={surveyId}
        plot={plot}
        surveyClosed={Boolean(survey?.closedAt)}
        stems={trees.length}
      />
      <div className="grid gap-4 lg:min-h-0 lg:flex-1 lg:grid-cols-[minmax(0,31rem)_minmax(0,1fr)]">
        <div className="grid content-start gap-2 max-lg:order-2 lg:min-h-0 lg:overflow-y-auto">
          <StemMap
            trees={trees}
            taxa={taxa}
            radius={plot.radiusMetres}
            chosen={chosenId}
            pressure={pressure}
            onChoose={choose}
            onOpen={open}
          />
          {trees.some((tree) => tree.favoured) && (
            <Tick words="What presses the stems to be favoured" on={pressure} onChange={setPressure} />
          )}
          <MapLegend groups={[...new Set(trees.flatMap((tree) => tree.groupId ?? []))].sort()} taxa={taxa} />
        </div>
        <div className="flex min-w-0 flex-col gap-3 lg:min-h-0">
          {locked ? (
            <Notice tone="waiting">
              {survey?.closedAt ? 'The survey is closed' : 'This plot is closed'}: its trees can be read, not
              changed.
            </Notice>
          ) : (
            <QuickEntry
              surveyId={surveyId}
              plot={plot}
              trees={trees}
              taxa={taxa}
              groups={groups}
              onEntered={choose}
            />
          )}
          {chosen ? (
            <ChosenTree
              plotCode={plot.code}
              key={chosen.id}
              surveyId={surveyId}
              plotId={plot.id}
              tree={chosen}
              trees={trees}
              taxa={taxa}
              groups={groups}
              locked={locked}
              samples={survey?.laboratoryUsed ?? false}
            />
          ) : (
            trees.length > 0 && <p className="text-quiet">Choose a tree on the map or in the table.</p>
          )}
          <div className="flex items-center justify-between gap-2">
            <h2 className="text-lg">{counted(rows.length, 'tree')}</h2>
            <OneOf label="Trees shown" options={SHOWN} value={shown} onChange={setShown} />
          </div>
          {trees.length === 0 && !locked && (
            <Notice tone="plain">
              No tree yet. Type the first one in the line above, as it stands on the field sheet; Enter keeps
              it and it is on the map.
            </Notice>
          )}
          <section
            aria-label="Trees"
            className="relative overflow-auto border border-line lg:min-h-0 lg:flex-1"
          >
            <TreeTable trees={rows} taxa={taxa} chosen={chosenId} onChoose={choose} />
          </section>
        </div>
      </div>
    </>
  )
}

type HeadProps = {
  readonly surveyId: string
  readonly plot: Plot
  readonly surveyClosed: boolean
  readonly stems: number
}

function PlotHead({ surveyId, plot, surveyClosed, stems }: HeadProps) {
  const queries = useQueryClient()
  const observer = useObserver().callSign
  const [editing, setEditing] = useState(false)
  const close = useMutation({
    mutationFn: (closed: boolean) =>
      handIn({
        id: crypto.randomUUID(),
        observer,
        surveyId,
        treeId: '',
        where: plot.code,
        entered: { kind: 'closed', plotId: plot.id, closed },
      }),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['surveys', surveyId] }),
  })
  const blockers = close.error instanceof Problem ? close.error.refusals : []
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1">
        <PageTitle>{plot.code}</PageTitle>
        <h1 className="text-2xl">{plot.code}</h1>
        <p className="text-quiet">
          {counted(stems, 'stem')} · radius <span className="figure">{plot.radiusMetres}</span> m ·{' '}
          {plot.latitude != null && plot.longitude != null
            ? positionWords({ latitude: plot.latitude, longitude: plot.longitude })
            : 'no position yet'}
          {plot.altitudeMetres != null && ` · ${plot.altitudeMetres} m up`}
          {plot.habitat.length > 0 && ` · ${plot.habitat.join(', ')}`}
        </p>
        <div className="ml-auto flex flex-wrap gap-2">
          <Link to="/plots" className="inline-flex min-h-11 items-center px-2 font-semibold text-thistle">
            All plots
          </Link>
          <Link
            to={`/surveys/${surveyId}/plots/${plot.id}/sheet`}
            className="inline-flex min-h-11 items-center px-2 font-semibold text-thistle"
          >
            Field sheet
          </Link>
          <Link
            to={`/surveys/${surveyId}/plots/${plot.id}/labels`}
            className="inline-flex min-h-11 items-center px-2 font-semibold text-thistle"
          >
            Labels
          </Link>
          {!surveyClosed && <TakePlotAlong surveyId={surveyId} plotId={plot.id} />}
          {!surveyClosed && !plot.closedAt && <Button onClick={() => setEditing(true)}>Change plot</Button>}
          {!surveyClosed && (
            <Button onClick={() => close.mutate(!plot.closedAt)} disabled={close.isPending}>
              {plot.closedAt ? 'Open the plot again' : 'Close the plot'}
            </Button>
          )}
        </div>
      </div>
      {plot.notes && <p className="mb-2">{plot.notes}</p>}
      {close.isError && (
        <div className="mb-3">
          <Notice tone="wrong">
            {blockers.length === 0 ? (
              wordsOf(close.error)
            ) : (
              <>
                It stays open. Still in the way:
                <ul className="max-h-32 overflow-y-auto">
                  {blockers.map((one) => (
                    <li key={one.key}>
                      {one.key}: {one.found}; wanted: {one.expected}
                    </li>
                  ))}
                </ul>
              </>
            )}
          </Notice>
        </div>
      )}
      <Sheet title={`Plot ${plot.code}`} open={editing} onOpenChange={setEditing}>
        <PlotForm surveyId={surveyId} plot={plot} onDone={() => setEditing(false)} />
      </Sheet>
    </>
  )
}
