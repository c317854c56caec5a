import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { choiceOf, type LifeStage, SCHOOLS, STAGES } from '../../api/codes'
import { wordsOf } from '../../api/problem'
import type { SeasonChart, Sheet } from '../../api/types'
import { seasonQuery } from '../../common/group/queries'
import { Strangers } from '../../common/group/Strangers'
import { Mark } from '../../ui/Mark'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { monthName } from '../../ui/words'

const STAGE_OPTIONS = STAGES.map(choiceOf)
const WEIGHTS = [{ value: 'sheet', text: 'the sheet' } as const, ...SCHOOLS.map(choiceOf)]
const WOUNDS = [
  { value: 'without', text: 'no wounds' },
  { value: 'with', text: 'with wounds' },
] as const

type Month = SeasonChart['months'][number]

/** In which months the taxa can be told apart, and what then becomes of each. */
export function Season({ sheet }: { readonly sheet: Sheet }) {
  const [stage, setStage] = useState<LifeStage>('mature')
  const [school, setSchool] = useState<(typeof WEIGHTS)[number]['value']>('sheet')
  const [wounds, setWounds] = useState<(typeof WOUNDS)[number]['value']>('without')
  const [chosen, setChosen] = useState(new Date().getMonth() + 1)
  const season = useQuery(
    seasonQuery(sheet.versionId, {
      stage,
      wounding: wounds === 'with',
      ...(school !== 'sheet' && { school }),
    }),
  )
  return (
    <>
      <PageTitle>{`${sheet.title} through the year`}</PageTitle>
      <h1 className="text-2xl">{sheet.title} through the year</h1>
      <p className="max-w-prose">
        Trees of each taxon, drawn from the sheet and read by somebody who reads all that can be read that
        month and knows nothing else. The bar is the share that is rightly named, the rust on top the share
        that is named wrongly; the rest stays open.
      </p>
      <div className="my-3 flex flex-wrap items-end gap-3">
        <OneOf label="Stage" options={STAGE_OPTIONS} value={stage} onChange={setStage} />
        <OneOf label="Weights" options={WEIGHTS} value={school} onChange={setSchool} />
        <OneOf label="Wounding checks" options={WOUNDS} value={wounds} onChange={setWounds} />
      </div>
      {season.isError && <Notice tone="wrong">{wordsOf(season.error)}</Notice>}
      {season.isPending && <OnItsWay of={season}>Playing trees through the year …</OnItsWay>}
      {season.data && (
        <>
          <p className="max-w-prose text-quiet">
            {season.data.trees} trees of each taxon are played each month: a share is right to within ±{' '}
            {(100 * season.data.error).toFixed(1)} (one standard error) or less.
          </p>
          <Chart sheet={sheet} season={season.data} chosen={chosen} onChoose={setChosen} />
          <div className="grid items-start gap-x-10 lg:grid-cols-2">
            <Matrix sheet={sheet} month={season.data.months[chosen - 1]} threshold={season.data.threshold} />
            <Strangers taxa={sheet.taxa} season={season.data} />
          </div>
        </>
      )}
    </>
  )
}

type ChartProps = {
  readonly sheet: Sheet
  readonly season: SeasonChart
  readonly chosen: number
  readonly onChoose: (month: number) => void
}

function Chart({ sheet, season, chosen, onChoose }: ChartProps) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-3xl table-fixed border-separate border-spacing-1 text-left">
        <thead>
          <tr>
            <td className="w-48" />
            {season.months.map(({ month }) => (
              <th key={month} scope="col" className="p-0 text-center">
                <button
                  type="button"
                  aria-pressed={month === chosen}
                  onClick={() => onChoose(month)}
                  className="min-h-11 w-full rounded-plain border border-transparent font-semibold aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-card"
                >
                  {monthName(month).slice(0, 3)}
                  <span className="sr-only">: {monthName(month)}, who is taken for whom</span>
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sheet.taxa.map((taxon, k) => (
            <tr key={taxon.id}>
              <th scope="row" className="font-normal">
                <span className="flex items-center gap-2">
                  <Mark candidate={k} standing="other" />
                  {taxon.commonName}
                </span>
              </th>
              {season.months.map((month) => (
                <FateCell key={month.month} month={month} taxon={k} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

/** A column filled from below: rightly named, wrongly named, open. */
function FateCell({ month, taxon }: { readonly month: Month; readonly taxon: number }) {
  const fate = month.taxa[taxon]
  if (!fate) return <td />
  const [right, wrong] = [Math.round(100 * fate.settles), Math.round(100 * fate.misleads)]
  return (
    <td
      className="relative h-16 border border-line bg-card p-0 align-bottom"
      aria-label={`${right} % named, ${wrong} % wrongly`}
    >
      <span className="absolute inset-x-0 bottom-0 bg-moss" style={{ height: `${right}%` }} />
      <span className="absolute inset-x-0 bg-rust" style={{ bottom: `${right}%`, height: `${wrong}%` }} />
      <span className="figure absolute inset-x-0 top-1 mx-auto w-fit rounded-sm bg-card px-1 text-center text-sm font-bold">
        {right}
      </span>
    </td>
  )
}

type MatrixProps = { readonly sheet: Sheet; readonly month: Month | undefined; readonly threshold: number }

/** Who is taken for whom in one month. */
function Matrix({ sheet, month, threshold }: MatrixProps) {
  if (!month) return null
  return (
    <section
      aria-label={`Who is taken for whom in ${monthName(month.month)}`}
      className="mt-4 overflow-x-auto"
    >
      <h2 className="text-lg">Who is taken for whom in {monthName(month.month)}</h2>
      <p className="text-quiet">
        Of a hundred trees of the row’s taxon, so many are named as the column’s, at{' '}
        {Math.round(threshold * 100)} % belief.
      </p>
      <table className="mt-1 text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th scope="col" className="py-1 pr-4 font-normal text-quiet">
              is truly
            </th>
            {[...sheet.taxa.map((one) => one.commonName), 'left open'].map((name) => (
              <th key={name} scope="col" className="px-2 py-1 text-right">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {month.taxa.map((fate, truth) => (
            <tr key={sheet.taxa[truth]?.id} className="border-b border-line">
              <th scope="row" className="py-1 pr-4 font-normal">
                {sheet.taxa[truth]?.commonName}
              </th>
              {fate.named.map((share, name) => (
                <td
                  key={sheet.taxa[name]?.id}
                  className={`figure px-2 py-1 text-right ${name === truth ? 'font-bold text-moss-ink' : share > 0 ? 'font-bold text-rust-ink' : 'text-quiet'}`}
                >
                  {Math.round(100 * share)}
                </td>
              ))}
              <td className="figure px-2 py-1 text-right">{Math.round(100 * fate.unsettled)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
