import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { wordsOf } from '../../api/problem'
import type { ControlList, ControlTree } from '../../api/types'
import { controlQuery } from '../../common/control/queries'
import { directionWords, metresWords } from '../../common/control/words'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PaperPage } from '../../ui/PaperPage'
import { counted, dayAndTime } from '../../ui/words'
import { Near } from './Near'
import { PlotSketch } from './PlotSketch'

/** The approved trees on A4: the list, a plan of each plot, and a card a tree. */
export function ControlPrintPage() {
  const { surveyId = '' } = useParams()
  const list = useQuery(controlQuery(surveyId))
  return (
    <PaperPage
      title="Control list, to print"
      head={`Control list, ${list.data?.surveyName ?? ''}`}
      back={{ to: '/control', words: 'Back to the list' }}
    >
      {list.isError && <Notice tone="wrong">{wordsOf(list.error)}</Notice>}
      {list.isPending && <OnItsWay of={list}>Laying out the list …</OnItsWay>}
      {list.data && <Pages list={list.data} />}
    </PaperPage>
  )
}

function Pages({ list }: { readonly list: ControlList }) {
  const trees = list.trees.filter((tree) => tree.approval.id && !tree.gone)
  const plots = [...new Set(trees.map((tree) => tree.plotCode))]
  if (trees.length === 0) return <p>No tree is approved, so there is nothing to print.</p>
  return (
    <>
      <section aria-label="List" className="print:break-after-page">
        <h1 className="border-b-2 border-ink text-[17pt]">Control list</h1>
        <p className="my-1">
          {list.surveyName}: {counted(trees.length, 'approved tree')} in {counted(plots.length, 'plot')}. As
          of {dayAndTime(new Date().toISOString())}; what lapsed since is not known to paper.
        </p>
        <Cautions list={list} />
        <table className="mt-2 w-full border-collapse text-left">
          <thead>
            <tr className="border-b border-ink">
              {['Plot', 'Tag', 'Where', 'mm', 'Name', 'Called by', 'Approved by', 'Do not touch'].map(
                (head) => (
                  <th key={head} scope="col" className="pr-2 align-bottom">
                    {head}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody>
            {trees.map((tree) => (
              <tr key={tree.treeId} className="break-inside-avoid border-b border-line align-top">
                <td className="pr-2">{tree.plotCode}</td>
                <td className="figure pr-2 font-bold">{tree.tag}</td>
                <td className="figure pr-2 whitespace-nowrap">
                  {directionWords(tree.azimuthDegrees)}, {metresWords(tree.distanceMetres)}
                </td>
                <td className="figure pr-2">{tree.diameterMillimetres}</td>
                <td className="pr-2">{tree.commonName}</td>
                <td className="pr-2">{tree.observers.join(', ')}</td>
                <td className="pr-2">{tree.approval.by}</td>
                <td className="figure">{tree.near.map(({ tag }) => tag).join(', ') || '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {plots.map((plot) => (
        <section key={plot} aria-label={`Plan of ${plot}`} className="print:break-after-page">
          <h2 className="mt-4 border-b-2 border-ink text-[15pt] print:mt-0">{plot}: plan</h2>
          <p className="my-1">Crossed: may be cut after its last look. Ringed: must not be touched.</p>
          <div className="mx-auto w-[14cm] max-w-full">
            <PlotSketch trees={trees.filter((tree) => tree.plotCode === plot)} />
          </div>
        </section>
      ))}
      <div className="grid gap-4 print:gap-0">
        {trees.map((tree) => (
          <PaperCard key={tree.treeId} tree={tree} list={list} />
        ))}
      </div>
    </>
  )
}

function Cautions({ list }: { readonly list: ControlList }) {
  return (
    <ul className="ml-5 list-disc font-bold">
      {list.cautions.map((caution) => (
        <li key={caution}>{caution}</li>
      ))}
    </ul>
  )
}

/** A tree's card on paper; what confirmed it is not on it, so that whoever looks last sees for themselves. */
function PaperCard({ tree, list }: { readonly tree: ControlTree; readonly list: ControlList }) {
  return (
    <section
      aria-label={`Card of ${tree.plotCode}, tree ${tree.tag}`}
      className="grid break-inside-avoid grid-cols-[minmax(0,1fr)_7cm] gap-4 border-2 border-ink p-[0.4cm] print:mb-[0.5cm]"
    >
      <div>
        <p className="flex items-baseline justify-between">
          <strong className="text-[15pt]">{tree.plotCode}</strong>
          <strong className="figure text-[26pt] leading-none">{tree.tag}</strong>
        </p>
        <p>
          {tree.commonName} <span className="scientific">{tree.scientificName}</span>
        </p>
        <p className="figure">
          {directionWords(tree.azimuthDegrees)}, {metresWords(tree.distanceMetres)} from the centre;{' '}
          {tree.diameterMillimetres} mm
          {tree.latitude !== null &&
            tree.latitude !== undefined &&
            `; ${tree.latitude.toFixed(6)}, ${tree.longitude?.toFixed(6)}`}
        </p>
        <p>
          Approved by {tree.approval.by}, {tree.approval.at && dayAndTime(tree.approval.at)}
        </p>
        <h3 className="mt-2 text-[11.5pt]">Do not touch</h3>
        <Near near={tree.near} />
        <h3 className="mt-2 text-[11.5pt]">Last look</h3>
        <p>☐ tag read on the stem ☐ confirmed ☐ do not cut</p>
        <p className="mt-2">
          Who and when: <Blank />
        </p>
        <h3 className="mt-2 text-[11.5pt]">Done</h3>
        <p>
          ☐ cut ☐ treated ☐ left standing ☐ the wrong tree Day: <Blank />
        </p>
        <p className="mt-2 text-[8.5pt]">{list.cautions[1]}</p>
      </div>
      <PlotSketch trees={[tree]} here={tree.treeId} />
    </section>
  )
}

/** Room to write on. */
function Blank() {
  return <span className="inline-block w-[4.5cm] border-b border-ink" />
}
