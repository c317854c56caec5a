import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { groupsQuery } from '../../api/groups'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import { useSurvey } from '../../api/surveys'
import type { Plot, Sheet, TreeRow } from '../../api/types'
import { useBestChecks } from '../../common/group/useBestChecks'
import { positionWords } from '../../common/plot/position'
import { plotQuery, plotTreesQuery, taxaQuery } from '../../common/plot/queries'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PaperPage } from '../../ui/PaperPage'
import { monthName } from '../../ui/words'
import { StemMap } from './StemMap'
import { identityOf, stateOf } from './standing'

const BEST = 3 // checks of a group that find room
const nothing = () => undefined

/** The plot in the address, with its stems, as far as they are there. */
function usePlotOnPaper() {
  const { surveyId = '', plotId = '' } = useParams()
  const survey = useSurvey().surveys.find((one) => one.id === surveyId)
  const plot = useQuery(plotQuery(surveyId, plotId))
  const trees = useQuery(plotTreesQuery(surveyId, plotId))
  const failed = plot.error ?? trees.error
  const code = plot.data?.code ?? 'Plot'
  const back = { to: `/surveys/${surveyId}/plots/${plotId}`, words: 'Back to the plot' }
  return { survey, plot, trees, failed, code, back }
}

/** A plot on paper: its stems on a map and in a table with room to write, and how to begin with each group this month. */
export function FieldSheetPage() {
  const { survey, plot, trees, failed, code, back } = usePlotOnPaper()
  return (
    <PaperPage
      title={`${code}, field sheet`}
      head={`${code}, field sheet. ${survey?.name ?? ''} ${survey?.season ?? ''}`}
      back={back}
      small
    >
      {failed && <Notice tone="wrong">{wordsOf(failed)}</Notice>}
      {!failed && !(plot.data && trees.data) && (
        <OnItsWay of={[plot, trees]}>Laying out the sheet …</OnItsWay>
      )}
      {plot.data && trees.data && <FieldSheet plot={plot.data} trees={trees.data} />}
    </PaperPage>
  )
}

type Props = { readonly plot: Plot; readonly trees: readonly TreeRow[] }

function FieldSheet({ plot, trees }: Props) {
  const taxa = useQuery(taxaQuery).data ?? []
  const month = new Date().getMonth() + 1
  const open = [...new Set(trees.flatMap((tree) => (tree.toDo && tree.groupId ? [tree.groupId] : [])))]
  return (
    <>
      <header className="flex flex-wrap items-baseline justify-between gap-x-4 border-b-2 border-ink">
        <h1 className="text-[17pt]">{plot.code}</h1>
        <span className="figure">
          radius {plot.radiusMetres} m
          {plot.latitude != null &&
            plot.longitude != null &&
            `; ${positionWords({ latitude: plot.latitude, longitude: plot.longitude })}`}
        </span>
      </header>
      <p className="my-1 flex gap-6">
        {['Read by', 'On', 'Weather'].map((what) => (
          <span key={what} className="flex-1 border-b border-edge">
            {what}
          </span>
        ))}
      </p>
      {plot.notes && <p>{plot.notes}</p>}
      <div inert className="mx-auto w-[11cm] max-w-full break-inside-avoid">
        <StemMap
          trees={trees}
          taxa={taxa}
          radius={plot.radiusMetres}
          chosen={undefined}
          pressure={false}
          onChoose={nothing}
          onOpen={nothing}
        />
      </div>
      {open.length > 0 && (
        <section aria-label="Where to begin" className="mt-2">
          <h2 className="text-[12pt]">Where to begin in {monthName(month)}</h2>
          {open.map((groupId) => (
            <ToBegin key={groupId} groupId={groupId} month={month} />
          ))}
        </section>
      )}
      <table className="mt-3 w-full border-collapse text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            {['Tag', 'Bearing', 'Metres', 'mm', 'What it is', 'Stands as', 'To write'].map((head) => (
              <th key={head} scope="col" className="pr-2">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {trees.map((tree) => (
            <tr key={tree.id} className="h-[0.75cm] break-inside-avoid border-b border-edge">
              <td className="figure pr-2 font-bold">{tree.tag}</td>
              <td className="figure pr-2">{tree.azimuthDegrees}°</td>
              <td className="figure pr-2">{tree.distanceMetres}</td>
              <td className="figure pr-2">{tree.diameterMillimetres}</td>
              <td className="pr-2">{identityOf(tree, taxa)}</td>
              <td className="pr-2 whitespace-nowrap">
                {stateOf(
                  tree,
                  trees.find((one) => one.id === tree.cloneOf),
                )}
              </td>
              <td className="w-[35%] border-l border-edge" />
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}

type BeginProps = { readonly groupId: string; readonly month: number }

function ToBegin({ groupId, month }: BeginProps) {
  const groups = useQuery(groupsQuery)
  const versionId = groups.data?.find((one) => one.groupId === groupId)?.versionId
  const sheet = useQuery({ ...sheetQuery(versionId ?? ''), enabled: versionId !== undefined })
  const failed = groups.error ?? sheet.error
  if (failed) return <Notice tone="wrong">{wordsOf(failed)}</Notice>
  return sheet.data ? <Begun sheet={sheet.data} month={month} /> : null
}

function Begun({ sheet, month }: { readonly sheet: Sheet; readonly month: number }) {
  const { best, error } = useBestChecks(sheet, month, 'mature', BEST)
  if (error) return <Notice tone="wrong">{wordsOf(error)}</Notice>
  return (
    <div className="break-inside-avoid border-b border-line py-1">
      <p>
        <strong>{sheet.title}.</strong>{' '}
        {sheet.gate.length > 0 && <>First: {sheet.gate.map((item) => item.name).join('; ')}.</>}
      </p>
      <ol className="ml-5 list-decimal">
        {best.map((character) => (
          <li key={character.id}>
            {character.name}
            {character.states.length > 0
              ? `: ${character.states.map((state) => state.name).join(' | ')}`
              : character.unit && ` (${character.unit})`}
          </li>
        ))}
        {best.length === 0 && <li>Nothing can be read this month without a wound.</li>}
      </ol>
    </div>
  )
}

/** A label a stem, to be cut out. */
export function LabelsPage() {
  const { survey, trees, failed, code, back } = usePlotOnPaper()
  return (
    <PaperPage
      title={`${code}, tree labels`}
      head={`${code}, tree labels. ${survey?.season ?? ''}`}
      back={back}
      small
    >
      <h1 className="sr-only">{code}, tree labels</h1>
      {failed && <Notice tone="wrong">{wordsOf(failed)}</Notice>}
      {!failed && !trees.data && <OnItsWay of={trees}>Laying out the labels …</OnItsWay>}
      <ul className="grid grid-cols-3">
        {trees.data?.map((tree) => (
          <li
            key={tree.id}
            className="flex h-[3cm] break-inside-avoid flex-col justify-between border border-dashed border-edge p-[0.25cm]"
          >
            <span className="flex justify-between gap-2 leading-none">
              <strong>{code}</strong>
              <span className="figure">{survey?.season}</span>
            </span>
            <strong className="figure text-center text-[28pt] leading-none">{tree.tag}</strong>
            <span className="figure text-[8pt] leading-none">
              {tree.azimuthDegrees}°, {tree.distanceMetres} m, {tree.diameterMillimetres} mm
            </span>
          </li>
        ))}
      </ul>
    </PaperPage>
  )
}
