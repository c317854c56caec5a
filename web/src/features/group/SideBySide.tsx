import { useQuery } from '@tanstack/react-query'
import { Printer } from 'lucide-react'
import { type ReactNode, useState } from 'react'
import { choiceOf, type LifeStage, SCHOOLS, STAGES, stationOf, ZONES } from '../../api/codes'
import { wordsOf } from '../../api/problem'
import type { Character, NewReading, Sheet } from '../../api/types'
import { type Entry, wordsOfReading } from '../../common/bench/entries'
import { separationQuery } from '../../common/group/queries'
import { Button } from '../../ui/Button'
import { Pick } from '../../ui/Choice'
import { Drawing } from '../../ui/Drawing'
import { Mark } from '../../ui/Mark'
import { MonthPick } from '../../ui/MonthPick'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { monthName, monthRuns } from '../../ui/words'
import { RibbonCell } from './RibbonCell'

const MOST_COLUMNS = 3
const MOST_PRINTED = 12 // rows that fit on one A4 page
const STATIONS = [{ value: 'all', text: 'all' } as const, ...ZONES.map(stationOf)]
const WEIGHTS = [{ value: 'sheet', text: 'the sheet' } as const, ...SCHOOLS.map(choiceOf)]
const STAGE_CHOICES = STAGES.map(choiceOf)
const SELECT = 'min-h-11 rounded-plain border border-edge bg-card px-2'

type Props = {
  readonly sheet: Sheet
  readonly month: number
  readonly stage: LifeStage
  /** What was read of the tree, if there is one. */
  readonly entries: ReadonlyMap<string, Entry>
  /** Ids of the taxa, those to be shown first. */
  readonly first: readonly string[]
  /** A way back. */
  readonly back: ReactNode
}

/** Two or three taxa as columns, their characters as rows, those that part them best first. */
export function SideBySide({ sheet, month: startMonth, stage: startStage, entries, first, back }: Props) {
  const [taxa, setTaxa] = useState<readonly string[]>(first.slice(0, MOST_COLUMNS))
  const [month, setMonth] = useState(startMonth)
  const [stage, setStage] = useState(startStage)
  const [school, setSchool] = useState<(typeof WEIGHTS)[number]['value']>('sheet')
  const [station, setStation] = useState<(typeof STATIONS)[number]['value']>('all')
  const powers = useQuery(
    separationQuery({
      versionId: sheet.versionId,
      month,
      stage,
      school: school === 'sheet' ? undefined : school,
      taxa,
    }),
  )
  const most = Math.log2(taxa.length)
  const rows = (powers.data ?? []).flatMap((power) => {
    const character = sheet.characters.find((one) => one.id === power.character)
    return character && (station === 'all' || character.zone === station) ? [{ character, power }] : []
  })
  const toggle = (id: string) => {
    if (taxa.includes(id)) {
      if (taxa.length > 2) setTaxa(taxa.filter((one) => one !== id))
    } else setTaxa([...taxa.slice(0, MOST_COLUMNS - 1), id])
  }
  const columns = sheet.taxa.filter((one) => taxa.includes(one.id))
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto p-4 print:overflow-visible print:p-0">
      <div className="mx-auto max-w-6xl">
        <div className="print:hidden">{back}</div>
        <PageTitle>{`${sheet.title}, side by side`}</PageTitle>
        <h1 className="text-2xl">{sheet.title}, side by side</h1>
        <p className="mb-2 hidden print:block">
          The {Math.min(rows.length, MOST_PRINTED)} characters that part them best for a {stage} tree in{' '}
          {monthName(month)}, by the weights of {WEIGHTS.find((one) => one.value === school)?.text}. Version{' '}
          {sheet.version} of the sheet.
        </p>
        <div className="my-3 flex flex-wrap items-end gap-3 print:hidden">
          <label className="grid text-sm font-semibold">
            Month
            <MonthPick className={SELECT} value={month} onChange={setMonth} />
          </label>
          <label className="grid text-sm font-semibold">
            Stage
            <Pick className={SELECT} options={STAGE_CHOICES} value={stage} onChange={setStage} />
          </label>
          <OneOf label="Weights" options={WEIGHTS} value={school} onChange={setSchool} />
          <OneOf label="Station" options={STATIONS} value={station} onChange={setStation} />
          <Button onClick={() => window.print()}>
            <Printer aria-hidden className="mr-2 inline size-4" />
            Print
          </Button>
          {sheet.taxa.length > 2 && (
            <fieldset className="flex flex-wrap gap-x-4">
              <legend className="text-sm font-semibold">Two or three of</legend>
              {sheet.taxa.map((taxon) => (
                <label key={taxon.id} className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 accent-thistle"
                    checked={taxa.includes(taxon.id)}
                    onChange={() => toggle(taxon.id)}
                  />
                  {taxon.commonName}
                </label>
              ))}
            </fieldset>
          )}
        </div>
        {powers.isError && <Notice tone="wrong">{wordsOf(powers.error)}</Notice>}
        {powers.isPending && <OnItsWay of={powers}>Weighing the characters …</OnItsWay>}
        {powers.data && (
          <div className="overflow-x-auto pb-2 print:overflow-visible">
            <table className="side-by-side w-full min-w-2xl table-fixed border-collapse bg-card text-left align-top">
              <thead>
                <tr className="border-b-2 border-ink">
                  <th scope="col" className="w-56 p-2">
                    Parts them best
                  </th>
                  {columns.map((taxon) => (
                    <th key={taxon.id} scope="col" className="p-2">
                      <span className="flex items-center gap-2">
                        <Mark candidate={sheet.taxa.indexOf(taxon)} standing="other" />
                        <span>
                          {taxon.commonName}
                          <span className="scientific block text-sm font-normal text-quiet">
                            {taxon.scientificName}
                          </span>
                        </span>
                      </span>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.map(({ character, power }, i) => (
                  <tr
                    key={character.id}
                    className={`border-b border-line align-top ${i < MOST_PRINTED ? '' : 'print:hidden'}`}
                  >
                    <th scope="row" className="p-2 font-normal">
                      <RowHead
                        character={character}
                        share={power.bits / most}
                        inSeason={power.inSeason}
                        entry={entries.get(character.id)}
                      />
                    </th>
                    {columns.map((taxon) => (
                      <td key={taxon.id} className="p-2">
                        <Cell
                          sheet={sheet}
                          character={character}
                          taxon={taxon.id}
                          reading={entries.get(character.id)?.reading}
                        />
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        {rows.length === 0 && powers.data && <p>Nothing of this group is read at this station.</p>}
      </div>
    </main>
  )
}

type HeadProps = {
  readonly character: Character
  /** Of all that could be known about the taxon, how much one reading brings. */
  readonly share: number
  readonly inSeason: boolean
  readonly entry: Entry | undefined
}

function RowHead({ character, share, inSeason, entry }: HeadProps) {
  return (
    <>
      <span className="font-semibold">{character.name}</span>
      <span className="mt-1 flex items-center gap-2 text-sm text-quiet">
        <span aria-hidden className="h-2 w-16 border border-edge">
          <span className="block h-full bg-thistle" style={{ width: `${Math.min(1, share) * 100}%` }} />
        </span>
        {Math.round(share * 100)} % parted
      </span>
      {!inSeason && <span className="block text-sm text-quiet">not now: {monthRuns(character.months)}</span>}
      {entry && (
        <span className="block text-sm font-bold">here: {wordsOfReading(character, entry.reading)}</span>
      )}
    </>
  )
}

type CellProps = {
  readonly sheet: Sheet
  readonly character: Character
  readonly taxon: string
  readonly reading: NewReading | undefined
}

const WORTH_DRAWING = 0.15 // rarer states of a taxon would only clutter its column

/** How one taxon looks in one character, and where the reading of the tree falls. */
function Cell({ sheet, character, taxon, reading }: CellProps) {
  const profile = character.profiles[sheet.taxa.findIndex((one) => one.id === taxon)]
  if (!profile) return null
  if (profile.range) {
    return <RibbonCell character={character} range={profile.range} values={reading?.values ?? []} />
  }
  const shown = character.states
    .map((state, i) => ({ state, share: profile.frequencies?.[i] ?? 0 }))
    .filter(({ state, share }) => share >= WORTH_DRAWING || reading?.states?.includes(state.id))
    .sort((a, b) => b.share - a.share)
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-2 print:gap-y-1">
      {shown.map(({ state, share }) => (
        <li
          key={state.id}
          className={`w-32 print:flex print:w-full print:items-center print:gap-2 ${reading?.states?.includes(state.id) ? 'rounded-plain outline-2 outline-offset-2 outline-ink' : ''}`}
        >
          {state.draw && <Drawing hint={state.draw} className="h-20 w-full shrink-0 print:size-11" />}
          <span className={`block text-sm leading-snug ${share < WORTH_DRAWING ? 'text-quiet' : ''}`}>
            <span className="figure font-bold">{Math.round(share * 100)} %</span> {state.name}
            {reading?.states?.includes(state.id) && <span className="font-bold"> · read here</span>}
          </span>
        </li>
      ))}
    </ul>
  )
}
