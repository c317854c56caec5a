import { useState } from 'react'
import type { Bench, Sheet } from '../../api/types'
import { OneOf } from '../../ui/OneOf'
import { percent, points } from '../../ui/words'
import { BeamPicture } from './BeamPicture'
import { checkName, reasonWords, ruleSentences, taxonName } from './judgementWords'
import { Mark, type Standing } from './Mark'
import { Thistle } from './Thistle'

const VIEWS = [
  { value: 'withSurroundings', text: 'with the surroundings' },
  { value: 'featuresAlone', text: 'the tree alone' },
] as const

type View = (typeof VIEWS)[number]['value']
type Props = { readonly bench: Bench; readonly sheet: Sheet }

/** What it amounts to: candidates, balance, rules, and every reason to contest the call. */
export function Beam({ bench, sheet }: Props) {
  const { judgement } = bench
  const [chosen, setChosen] = useState<View>()
  const view = chosen ?? (judgement.decidedOnFeaturesAlone ? 'featuresAlone' : 'withSurroundings')
  const signed = bench.determinations.some((one) => one.outcome === 'taxon' && !one.superseded)
  return (
    <>
      <div className="flex items-start gap-2">
        <div className="min-w-0 flex-1">
          <Candidates bench={bench} sheet={sheet} view={view} />
        </div>
        <Thistle figures={bench.thistle} signed={signed} className="-mt-2 -mr-2 size-24 shrink-0" />
      </div>
      <BeamPicture bench={bench} sheet={sheet} />
      <dl className="grid grid-cols-[5.5rem_1fr] gap-x-2 gap-y-1 border-t border-line pt-3">
        {ruleSentences(sheet, bench).map(([rule, sentence]) => (
          <Row key={rule} name={rule} text={sentence} />
        ))}
        <Row
          name="Schools"
          text={
            judgement.sameLeadInBothSchools ? 'same lead in both schools' : 'the schools name different taxa'
          }
        />
        {judgement.indices.map((index) => (
          <Row
            key={index.name}
            name="Function"
            text={`${index.name}: ${index.value === undefined || index.value === null ? 'not all of it read yet' : `${index.value.toFixed(1)}, ${index.speaksFor ? `for ${taxonName(sheet, index.speaksFor)}` : 'undecided'}`} (${index.source})`}
          />
        ))}
        {judgement.ancestries.map((ancestry) => (
          <Row
            key={ancestry.hybrid}
            name="Ancestry"
            text={`${percent(ancestry.mean)} ${taxonName(sheet, ancestry.second)}, likely ${percent(ancestry.low)} to ${percent(ancestry.high)}; mosaic ${ancestry.mosaic === undefined || ancestry.mosaic === null ? '–' : ancestry.mosaic.toFixed(2)}`}
          />
        ))}
      </dl>
      {judgement.reasons.length > 0 && (
        <section
          aria-label="Why it is contested"
          className="rounded-plain border-2 border-dashed border-rust p-3"
        >
          <h2 className="text-base">Contested</h2>
          <ul className="list-disc pl-5">
            {judgement.reasons.map((code) => (
              <li key={code}>{reasonWords(sheet, code)}</li>
            ))}
          </ul>
        </section>
      )}
      <Points bench={bench} sheet={sheet} view={view} onView={setChosen} />
    </>
  )
}

function Row({ name, text }: { readonly name: string; readonly text: string }) {
  return (
    <>
      <dt className="font-head font-bold">{name}</dt>
      <dd className="leading-snug">{text}</dd>
    </>
  )
}

function Candidates({ bench, sheet, view }: Props & { readonly view: View }) {
  const balance = bench.figures[view]
  const standingOf = (id: string): Standing =>
    id === balance.lead ? 'lead' : id === balance.rival ? 'rival' : 'other'
  return (
    <ul aria-label="Candidates" className="grid gap-1.5">
      {balance.shares.map((share, i) => {
        const taxon = sheet.taxa[i]
        const standing = standingOf(share.taxon)
        return (
          <li key={share.taxon} className="grid grid-cols-[1rem_1fr_auto] items-center gap-x-2 leading-tight">
            <Mark candidate={i} standing={standing} />
            <span className={standing === 'lead' ? 'font-bold' : ''}>
              {taxon?.commonName}
              {standing !== 'other' && <span className="font-normal text-sm text-quiet"> {standing}</span>}
              <span className="scientific block font-normal text-sm text-quiet">{taxon?.scientificName}</span>
            </span>
            <span className="figure text-right">{percent(share.posterior)}</span>
          </li>
        )
      })}
      <li className="grid grid-cols-[1rem_1fr_auto] items-center gap-x-2">
        <svg viewBox="-1.3 -1.3 2.6 2.6" className="size-4 fill-none stroke-quiet" aria-hidden="true">
          <circle r="1" strokeWidth="0.3" strokeDasharray="0.6 0.45" />
        </svg>
        None of these
        <span className="figure text-right">{percent(balance.noneOfThese)}</span>
      </li>
    </ul>
  )
}

/** Each figure one step from its reason: the points of every reading for the lead against the rival. */
function Points({
  bench,
  sheet,
  view,
  onView,
}: Props & { readonly view: View; readonly onView: (view: View) => void }) {
  const balance = bench.figures[view]
  return (
    <section aria-label="Points" className="border-t border-line pt-3">
      <OneOf label="Weigh" options={VIEWS} value={view} onChange={onView} />
      <h2 className="mt-3 text-base">
        For {taxonName(sheet, balance.lead)}, against {taxonName(sheet, balance.rival)}
      </h2>
      <p className="mb-2 text-sm text-quiet">In points: ten are ten to one, twenty a hundred to one.</p>
      <ul className="grid gap-1">
        {view === 'withSurroundings' && (
          <PointsRow name="the surroundings" value={balance.surroundingsPoints} />
        )}
        {balance.points.map((one) => (
          <PointsRow key={one.character} name={checkName(sheet, one.character)} value={one.points} />
        ))}
      </ul>
      <p className="mt-1 flex justify-between border-t border-ink pt-1 font-bold">
        together <span className="figure">{points(balance.totalPoints)}</span>
      </p>
    </section>
  )
}

function PointsRow({ name, value }: { readonly name: string; readonly value: number }) {
  return (
    <li className="flex justify-between gap-2 leading-tight">
      {name}
      <span className={`figure font-bold ${value < 0 ? 'text-rust-ink' : 'text-gold-ink'}`}>
        {points(value)}
      </span>
    </li>
  )
}
