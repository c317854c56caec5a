import { Check, Minus } from 'lucide-react'
import type { ReactNode } from 'react'
import type { Bench, Judgement, Sheet } from '../../api/types'
import { Button } from '../../ui/Button'
import { Mark, type Standing } from '../../ui/Mark'
import { Term } from '../../ui/Term'
import { percentAligned } from '../../ui/words'
import { BeamPicture } from './BeamPicture'
import type { BeamView } from './beamView'
import { decidingBalance, reasonWords, ruleLines, taxonName } from './judgementWords'
import { Notch } from './Notch'
import { schoolWords } from './useBeamView'

type Props = { readonly bench: Bench; readonly sheet: Sheet; readonly beam: BeamView }

/** All that a decision needs, without scrolling: candidates, bar, balance, rules, what is missing and what is contested. */
export function Beam({ bench, sheet, beam }: Props) {
  const { judgement } = bench
  return (
    <div className="flex flex-col gap-2 lg:min-h-full">
      <Candidates sheet={sheet} beam={beam} />
      <Notch bench={bench} />
      <figure>
        <figcaption className="flex h-11 items-start justify-between gap-2 text-sm font-bold">
          <span className="text-gold-ink leading-tight">
            <Term id="beam">for</Term> {taxonName(sheet, beam.view.lead)}
          </span>
          <Button
            className="w-40 shrink-0 px-1! text-sm leading-tight text-slate-ink!"
            onClick={beam.nextRival}
          >
            for {taxonName(sheet, beam.against.rival)}
            <span className="block font-normal">
              another rival <kbd className="figure max-lg:hidden">r</kbd>
            </span>
          </Button>
        </figcaption>
        <BeamPicture sheet={sheet} beam={beam} />
      </figure>
      <ul aria-label="Rules of practice" className="min-h-27 border-t border-line pt-1">
        {ruleLines(sheet, bench).map(({ term, text, speaks }) => (
          <Rule key={term} term={term} speaks={speaks}>
            {text}
          </Rule>
        ))}
        <Schools judgement={judgement} beam={beam} />
      </ul>
      <Open bench={bench} sheet={sheet} beam={beam} />
    </div>
  )
}

type RuleProps = { readonly term: string; readonly speaks: boolean; readonly children: ReactNode }

function Rule({ term, speaks, children }: RuleProps) {
  const Sign = speaks ? Check : Minus
  return (
    <li className="grid min-h-6 grid-cols-[4.9rem_minmax(0,1fr)_1.25rem] items-center gap-x-1 leading-tight">
      <span className="font-head font-bold">
        <Term id={term}>{`${term.charAt(0).toUpperCase()}${term.slice(1)}`}</Term>
      </span>
      <span>{children}</span>
      <Sign aria-hidden className={`size-5 ${speaks ? 'text-moss-ink' : 'text-quiet'}`} />
    </li>
  )
}

type SchoolsProps = { readonly judgement: Judgement; readonly beam: BeamView }

/** Whether both schools name the same taxon; touched, the balance is shown by the weights of one of them. */
function Schools({ judgement, beam }: SchoolsProps) {
  return (
    <li className="grid min-h-6 grid-cols-[4.9rem_minmax(0,1fr)_auto] items-center gap-x-1 leading-tight">
      <span className="font-head font-bold">
        <Term id="schools">Schools</Term>
      </span>
      <span>{judgement.sameLeadInBothSchools ? 'agree' : 'differ'}</span>
      <button
        type="button"
        aria-pressed={beam.school !== undefined}
        className="min-h-7 rounded-plain border border-edge bg-card px-2 text-sm font-semibold aria-pressed:bg-ink aria-pressed:text-card forced-colors:aria-pressed:outline-3 forced-colors:aria-pressed:outline-solid max-lg:min-h-11"
        onClick={beam.nextSchool}
      >
        compare <kbd className="figure max-lg:hidden">b</kbd>
      </button>
    </li>
  )
}

/** What is still to be seen, and every reason to contest the call; it takes what room is left, so that nothing moves. */
function Open({ bench, sheet, beam }: Props) {
  const { judgement, missing } = bench
  return (
    <div className="min-h-24 flex-1 border-t border-line pt-1 leading-snug" data-guide="open">
      {!beam.deciding && (
        <p className="bg-thistle-wash px-2 text-sm">
          Looked at by the weights of <strong>{schoolWords(beam.school)}</strong>,{' '}
          {beam.alone ? 'the tree alone' : 'with the surroundings'}. The call is decided by the sheet’s,{' '}
          {judgement.decidedOnFeaturesAlone ? 'on the tree alone' : 'with the surroundings'}.
        </p>
      )}
      {missing.length > 0 && (
        <p>
          <strong>Still needed:</strong> {missing.join(' · ')}
        </p>
      )}
      {judgement.reasons.length > 0 && (
        <section aria-label="Why it is contested">
          <p>
            <strong className="text-rust-ink">Contested:</strong>{' '}
            {judgement.reasons
              .map((code) => reasonWords(sheet, code, decidingBalance(bench).points))
              .join(' · ')}
          </p>
        </section>
      )}
      {missing.length === 0 && judgement.reasons.length === 0 && (
        <p className="text-moss-ink">Nothing is missing, and nothing speaks for another look.</p>
      )}
    </div>
  )
}

const SHARE_ROW =
  'grid min-h-6 grid-cols-[1rem_minmax(0,1fr)_2.5rem_4.6rem] items-center gap-x-1.5 leading-tight'

function Candidates({ sheet, beam }: Omit<Props, 'bench'>) {
  const { view, against } = beam
  const standingOf = (id: string): Standing =>
    id === view.lead ? 'lead' : id === against.rival ? 'rival' : 'other'
  return (
    <ul aria-label="Candidates" data-guide="candidates">
      {sheet.taxa.map((taxon, i) => {
        const standing = standingOf(taxon.id)
        const share = view.shares[i] ?? 0
        return (
          <li key={taxon.id} className={SHARE_ROW}>
            <Mark candidate={i} standing={standing} />
            <span title={taxon.scientificName}>
              <span className={`font-semibold ${NAME[standing]}`}>{taxon.commonName}</span>
              {standing !== 'other' && <span className="sr-only">, {standing}</span>}
            </span>
            <ShareBar share={share} standing={standing} />
            <span
              className={`figure text-right whitespace-nowrap ${standing === 'lead' ? 'font-bold underline underline-offset-4' : ''}`}
            >
              {percentAligned(share)}
            </span>
          </li>
        )
      })}
      <li className={SHARE_ROW}>
        <svg viewBox="-1.3 -1.3 2.6 2.6" className="size-4 fill-none stroke-quiet" aria-hidden="true">
          <circle r="1" strokeWidth="0.3" strokeDasharray="0.6 0.45" />
        </svg>
        <span>
          <Term id="none-of-these" />
        </span>
        <ShareBar share={view.noneOfThese} standing="other" />
        <span className="figure text-right whitespace-nowrap">{percentAligned(view.noneOfThese)}</span>
      </li>
    </ul>
  )
}

// the names keep one weight, so that no other lead breaks a line anew; the lead's figure is bold
const NAME = { lead: '', rival: 'text-slate-ink', other: 'text-quiet' } as const
const BAR = { lead: 'fill-gold', rival: 'fill-slate', other: 'fill-edge' } as const

/** A share as a bar, drawn so that it stays to be seen in forced colours. */
function ShareBar({ share, standing }: { readonly share: number; readonly standing: Standing }) {
  return (
    <svg viewBox="0 0 100 20" preserveAspectRatio="none" className="h-3 w-full" aria-hidden="true">
      <rect width="100" height="20" className="fill-card stroke-edge" vectorEffect="non-scaling-stroke" />
      <rect width={100 * share} height="20" className={BAR[standing]} />
    </svg>
  )
}
