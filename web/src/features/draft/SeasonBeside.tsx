import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { choiceOf, type LifeStage, STAGES } from '../../api/codes'
import { wordsOf } from '../../api/problem'
import type { Draft, SeasonChart } from '../../api/types'
import { draftSeasonQuery } from '../../common/draft/queries'
import { fullestMonth, sheetOf } from '../../common/draft/sheetFile'
import { Pick } from '../../ui/Choice'
import { Mark } from '../../ui/Mark'
import { MonthPick } from '../../ui/MonthPick'
import { MONTHS, monthName } from '../../ui/words'

const STAGE_CHOICES = STAGES.map(choiceOf)
const SELECT = 'min-h-11 rounded-plain border border-edge bg-card px-2'

/** How well the taxa can be told apart by the draft, and what that was before; reckoned anew after each change. */
export function SeasonBeside({ draft }: { readonly draft: Draft }) {
  const [stage, setStage] = useState<LifeStage>('mature')
  const [chosenMonth, setMonth] = useState<number>()
  const inOrder = draft.refusals.length === 0
  const season = useQuery({
    ...draftSeasonQuery(draft.id, draft.revision, stage),
    enabled: inOrder,
    placeholderData: keepPreviousData,
  })
  const month = chosenMonth ?? fullestMonth(sheetOf(draft))
  const taxa = sheetOf(draft).taxa ?? []
  const after = season.data?.after.months[month - 1]
  const before = season.data?.before?.months[month - 1]
  return (
    <aside aria-label="How well they are told apart" className="grid content-start gap-2 lg:sticky lg:top-0">
      <h2 className="text-lg">How well they are told apart</h2>
      <div className="flex flex-wrap gap-2">
        <Pick
          label="Stage of the trees"
          className={SELECT}
          options={STAGE_CHOICES}
          value={stage}
          onChange={setStage}
        />
        <MonthPick label="Month of the visit" className={SELECT} value={month} onChange={setMonth} />
      </div>
      {season.isError && <p className="text-rust-ink">{wordsOf(season.error)}</p>}
      {!inOrder && <p className="text-quiet">It is reckoned when everything is in order.</p>}
      {season.isPending && inOrder && <p role="status">Playing trees through the year …</p>}
      {inOrder && season.data && after && (
        <>
          <p className="text-sm text-quiet">
            Of 100 trees of each taxon read in {monthName(month)}, so many are rightly named
            {before && '; before this draft in brackets'}.
          </p>
          <ul className="grid gap-1">
            {taxa.map((taxon, k) => {
              const now = Math.round(100 * (after.taxa[k]?.settles ?? 0))
              const was = before?.taxa[k] && Math.round(100 * before.taxa[k].settles)
              return (
                <li key={taxon.id} className="flex items-center gap-2">
                  <Mark candidate={k} standing="other" />
                  <span className="grow leading-tight">{taxon.commonName}</span>
                  <b className="figure">{now}</b>
                  {was !== undefined && (
                    <span
                      className={`figure text-sm ${was === now ? 'text-quiet' : 'font-bold text-rust-ink'}`}
                    >
                      ({was})
                    </span>
                  )}
                </li>
              )
            })}
          </ul>
          <Year
            taxa={taxa}
            after={season.data.after}
            before={season.data.before}
            chosen={month}
            onChoose={setMonth}
          />
          {season.isFetching && <p role="status">Reckoning anew …</p>}
        </>
      )}
    </aside>
  )
}

type YearProps = {
  readonly taxa: readonly { readonly id: string; readonly commonName: string }[]
  readonly after: SeasonChart
  readonly before: SeasonChart | null | undefined
  readonly chosen: number
  readonly onChoose: (month: number) => void
}

/** The year in small: a bar a month for what the draft names, a line where it was before. */
function Year({ taxa, after, before, chosen, onChoose }: YearProps) {
  const mean = (season: SeasonChart | null | undefined, i: number) => {
    const fates = season?.months[i]?.taxa ?? []
    return fates.reduce((sum, one) => sum + one.settles, 0) / (taxa.length || 1)
  }
  return (
    <div>
      <p className="text-sm text-quiet">Through the year, of all taxa alike</p>
      <ol className="flex h-24 items-end">
        {MONTHS.map((name, i) => {
          const [now, was] = [Math.round(100 * mean(after, i)), Math.round(100 * mean(before, i))]
          return (
            <li key={name} className="h-full flex-1">
              <button
                type="button"
                aria-pressed={chosen === i + 1}
                aria-label={`${name}: ${now} of 100${before ? `, before ${was}` : ''}`}
                onClick={() => onChoose(i + 1)}
                className="group flex h-full w-full flex-col"
              >
                <span className="relative block w-full grow border border-line bg-card group-aria-pressed:border-ink">
                  <span className="absolute inset-x-0 bottom-0 bg-moss" style={{ height: `${now}%` }} />
                  {before && (
                    <span
                      className="absolute inset-x-0 border-t-2 border-ink"
                      style={{ bottom: `calc(${was}% - 1px)` }}
                    />
                  )}
                </span>
                <span aria-hidden className="text-center text-xs group-aria-pressed:font-bold">
                  {name.slice(0, 1)}
                </span>
              </button>
            </li>
          )
        })}
      </ol>
    </div>
  )
}
