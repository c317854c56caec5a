import { useState } from 'react'
import type { Bench, Sheet } from '../../api/types'
import { OneOf } from '../../ui/OneOf'
import { percent, points } from '../../ui/words'
import { Mark, type Standing } from './Mark'

const VIEWS = [
  { value: 'withSurroundings', text: 'with the surroundings' },
  { value: 'featuresAlone', text: 'the tree alone' },
] as const
const FULL_BAR = 25 // points; a stronger reading draws no longer bar

/** All candidates with their share, and what each reading says for the lead against the rival. */
export function Beam({ bench, sheet }: { readonly bench: Bench; readonly sheet: Sheet }) {
  const [view, setView] = useState<(typeof VIEWS)[number]['value']>('withSurroundings')
  const balance = bench.figures[view]
  const nameOf = (id: string) => sheet.taxa.find((one) => one.id === id)?.commonName ?? id
  const checkName = (id: string) => sheet.characters.find((one) => one.id === id)?.name ?? id
  const standingOf = (id: string): Standing =>
    id === balance.lead ? 'lead' : id === balance.rival ? 'rival' : 'other'

  return (
    <>
      <OneOf label="Weigh" options={VIEWS} value={view} onChange={setView} />
      <ul aria-label="Candidates" className="grid gap-2">
        {balance.shares.map((share, i) => {
          const taxon = sheet.taxa[i]
          const standing = standingOf(share.taxon)
          return (
            <li key={share.taxon} className="grid grid-cols-[1rem_1fr_auto] items-center gap-x-2">
              <Mark candidate={i} standing={standing} />
              <span className={standing === 'lead' ? 'font-bold' : ''}>
                {taxon?.commonName}
                {standing !== 'other' && <span className="font-normal text-quiet"> · {standing}</span>}
                <span className="scientific block font-normal text-sm text-quiet">
                  {taxon?.scientificName}
                </span>
              </span>
              <Share share={share.posterior} />
            </li>
          )
        })}
        <li className="grid grid-cols-[1rem_1fr_auto] items-center gap-x-2">
          <svg viewBox="-1.3 -1.3 2.6 2.6" className="size-4 fill-none stroke-quiet" aria-hidden="true">
            <circle r="1" strokeWidth="0.3" strokeDasharray="0.6 0.45" />
          </svg>
          None of these
          <Share share={balance.noneOfThese} />
        </li>
      </ul>
      <section aria-label="Points">
        <h2 className="text-base">
          For {nameOf(balance.lead)}, against {nameOf(balance.rival)}
        </h2>
        <p className="mb-2 text-sm text-quiet">In points: ten are ten to one, twenty a hundred to one.</p>
        <ul className="grid gap-1">
          {view === 'withSurroundings' && (
            <PointsRow name="the surroundings" value={balance.surroundingsPoints} />
          )}
          {balance.points.map((one) => (
            <PointsRow key={one.character} name={checkName(one.character)} value={one.points} />
          ))}
        </ul>
        <p className="mt-1 flex justify-between border-t border-ink pt-1 font-bold">
          together <span className="figure">{points(balance.totalPoints)}</span>
        </p>
      </section>
    </>
  )
}

function Share({ share }: { readonly share: number }) {
  return (
    <span className="flex items-center gap-2">
      <span aria-hidden className="block h-2.5 w-20 rounded-plain bg-line">
        <span className="block h-full rounded-plain bg-ink" style={{ width: `${share * 100}%` }} />
      </span>
      <span className="figure w-[4.5rem] text-right">{percent(share)}</span>
    </span>
  )
}

function PointsRow({ name, value }: { readonly name: string; readonly value: number }) {
  const against = value < 0
  const width = `${(50 * Math.min(Math.abs(value), FULL_BAR)) / FULL_BAR}%`
  return (
    <li className="grid grid-cols-[1fr_7rem_3.5rem] items-center gap-2">
      <span className="leading-tight">{name}</span>
      <span
        aria-hidden
        className="relative block h-3 border-l border-transparent bg-[linear-gradient(var(--color-edge),var(--color-edge))] bg-[length:1px_100%] bg-center bg-no-repeat"
      >
        <span
          className={`absolute top-0 h-full ${against ? 'right-1/2 border border-rust bg-rust-wash' : 'left-1/2 bg-gold'}`}
          style={{ width }}
        />
      </span>
      <span className={`figure text-right font-bold ${against ? 'text-rust-ink' : 'text-gold-ink'}`}>
        {points(value)}
      </span>
    </li>
  )
}
