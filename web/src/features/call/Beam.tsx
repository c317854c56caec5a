import type { Bench, Judgement, Sheet } from '../../api/types'
import { Button } from '../../ui/Button'
import { Mark, type Standing } from '../../ui/Mark'
import { OneOf } from '../../ui/OneOf'
import { Thistle } from '../../ui/Thistle'
import { percent, points } from '../../ui/words'
import { Ancestry } from './Ancestry'
import { BeamPicture } from './BeamPicture'
import { checkName, reasonWords, ruleSentences, taxonName } from './judgementWords'
import { Notch } from './Notch'
import { type BeamView, schoolWords } from './useBeamView'

const GROUNDS = [
  { value: 'with', text: 'with the surroundings' },
  { value: 'alone', text: 'the tree alone' },
] as const

type Props = { readonly bench: Bench; readonly sheet: Sheet; readonly beam: BeamView }

/** What it amounts to: candidates, balance, rules, and every reason to contest the call. */
export function Beam({ bench, sheet, beam, onTakeUp }: Props & { readonly onTakeUp: (id: string) => void }) {
  const { judgement } = bench
  const signed = bench.determinations.some((one) => one.outcome === 'taxon' && !one.superseded)
  return (
    <>
      <Candidates sheet={sheet} beam={beam} />
      <div className="flex items-center gap-3">
        <Thistle figures={bench.thistle} signed={signed} className="-m-1 size-26 shrink-0" />
        <div className="grid min-w-0 flex-1 gap-1.5">
          <div className="flex gap-2">
            <Button className="flex-1 px-1! text-sm" onClick={beam.nextRival}>
              Other rival
            </Button>
            <Button
              className="flex-1 px-1! text-sm aria-pressed:bg-ink aria-pressed:text-card"
              aria-pressed={beam.school !== undefined}
              onClick={beam.nextSchool}
            >
              Both schools
            </Button>
          </div>
          <Notch judgement={judgement} />
        </div>
      </div>
      {!beam.deciding && (
        <p className="bg-thistle-wash px-2 py-1 text-sm">
          Looked at by the weights of <strong>{schoolWords(beam.school)}</strong>,{' '}
          {beam.alone ? 'the tree alone' : 'with the surroundings'}. The call is decided by the sheet’s,{' '}
          {judgement.decidedOnFeaturesAlone ? 'on the tree alone' : 'with the surroundings'}.
        </p>
      )}
      <BeamPicture sheet={sheet} beam={beam} />
      <dl className="grid grid-cols-[5.5rem_1fr] gap-x-2 gap-y-1 border-t border-line pt-2">
        {ruleSentences(sheet, bench).map(([rule, sentence]) => (
          <Row key={rule} name={rule} text={sentence} />
        ))}
        <Row
          name="Schools"
          text={judgement.sameLeadInBothSchools ? 'holds in both' : 'the schools name different taxa'}
        />
        {judgement.indices.map((index) => (
          <Row key={index.name} name="Function" text={indexWords(sheet, index)} />
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
      {judgement.ancestries.map((ancestry) => (
        <Ancestry
          key={ancestry.hybrid}
          sheet={sheet}
          ancestry={ancestry}
          probabilities={
            bench.ancestryCurves.find((one) => one.hybrid === ancestry.hybrid)?.probabilities ?? []
          }
        />
      ))}
      <Points sheet={sheet} beam={beam} onTakeUp={onTakeUp} />
    </>
  )
}

/** What a published function says, with its source. */
function indexWords(sheet: Sheet, { name, source, value, speaksFor }: Judgement['indices'][number]): string {
  const said =
    value === undefined || value === null
      ? 'not all of it read yet'
      : `${value.toFixed(1)}, ${speaksFor ? `for ${taxonName(sheet, speaksFor)}` : 'undecided'}`
  return `${name}: ${said} (${source})`
}

function Row({ name, text }: { readonly name: string; readonly text: string }) {
  return (
    <>
      <dt className="font-head font-bold">{name}</dt>
      <dd className="leading-snug">{text}</dd>
    </>
  )
}

const SHARE_ROW = 'grid min-h-6 grid-cols-[1rem_1fr_2rem_4.25rem] items-center gap-x-1.5 leading-tight'

function Candidates({ sheet, beam }: Omit<Props, 'bench'>) {
  const { view, against } = beam
  const standingOf = (id: string): Standing =>
    id === view.lead ? 'lead' : id === against.rival ? 'rival' : 'other'
  return (
    <ul aria-label="Candidates">
      {sheet.taxa.map((taxon, i) => {
        const standing = standingOf(taxon.id)
        const share = view.shares[i] ?? 0
        return (
          <li key={taxon.id} className={SHARE_ROW}>
            <Mark candidate={i} standing={standing} />
            <span className="truncate">
              <span className={WEIGHT[standing]}>{taxon.commonName}</span>
              {standing !== 'other' && <span className="sr-only">, {standing}</span>}{' '}
              <span className="scientific text-sm text-quiet">{shortName(taxon.scientificName)}</span>
            </span>
            <ShareBar share={share} standing={standing} />
            <span className="figure text-right whitespace-nowrap">{percent(share)}</span>
          </li>
        )
      })}
      <li className={SHARE_ROW}>
        <svg viewBox="-1.3 -1.3 2.6 2.6" className="size-4 fill-none stroke-quiet" aria-hidden="true">
          <circle r="1" strokeWidth="0.3" strokeDasharray="0.6 0.45" />
        </svg>
        None of these
        <ShareBar share={view.noneOfThese} standing="other" />
        <span className="figure text-right whitespace-nowrap">{percent(view.noneOfThese)}</span>
      </li>
    </ul>
  )
}

const WEIGHT = { lead: 'font-bold', rival: 'font-semibold text-slate', other: '' } as const

/** "B. pendula": the genus is the same all through a group, or nearly so. */
function shortName(scientificName: string): string {
  return scientificName.replace(/^(\p{Lu})\p{Ll}+/u, '$1.')
}

const BAR = { lead: 'bg-gold', rival: 'bg-slate', other: 'bg-edge' } as const

function ShareBar({ share, standing }: { readonly share: number; readonly standing: Standing }) {
  return (
    <span aria-hidden className="h-2.5 border border-edge bg-card">
      <span className={`block h-full ${BAR[standing]}`} style={{ width: `${share * 100}%` }} />
    </span>
  )
}

type PointsProps = Omit<Props, 'bench'> & { readonly onTakeUp: (id: string) => void }

/** Each figure one step from its reason: the points of every reading for the lead against the rival. */
function Points({ sheet, beam, onTakeUp }: PointsProps) {
  const { view, against } = beam
  return (
    <section aria-label="Points" className="border-t border-line pt-3">
      <OneOf
        label="Weigh"
        options={GROUNDS}
        value={beam.alone ? 'alone' : 'with'}
        onChange={(ground) => beam.setAlone(ground === 'alone')}
      />
      <h2 className="mt-3 text-base">
        For {taxonName(sheet, view.lead)}, against {taxonName(sheet, against.rival)}
      </h2>
      <p className="mb-1 text-sm text-quiet">In points: ten are ten to one, twenty a hundred to one.</p>
      <ul>
        {!beam.alone && (
          <li className="flex min-h-9 items-center justify-between gap-2 px-1 leading-tight">
            the surroundings
            <PointsFigure value={against.surroundingsPoints} />
          </li>
        )}
        {view.characters.map((id, j) => (
          <li key={id}>
            <button
              type="button"
              className="flex min-h-9 w-full items-center justify-between gap-2 rounded-plain px-1 text-left leading-tight hover:bg-thistle-wash"
              onClick={() => onTakeUp(id)}
            >
              {checkName(sheet, id)}
              <PointsFigure value={against.points[j] ?? 0} />
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-1 flex justify-between border-t border-ink px-1 pt-1 font-bold">
        together <span className="figure">{points(against.totalPoints)}</span>
      </p>
    </section>
  )
}

function PointsFigure({ value }: { readonly value: number }) {
  return (
    <span className={`figure font-bold ${value < 0 ? 'text-rust-ink' : 'text-gold-ink'}`}>
      {points(value)}
    </span>
  )
}
