import type { Bench, Judgement, Sheet } from '../../api/types'
import type { BeamView } from '../../common/bench/beamView'
import { checkName, taxonName } from '../../common/bench/judgementWords'
import { OneOf } from '../../ui/OneOf'
import { Term } from '../../ui/Term'
import { points } from '../../ui/words'
import { Ancestry } from './Ancestry'

const GROUNDS = [
  { value: 'with', text: 'with the surroundings' },
  { value: 'alone', text: 'the tree alone' },
] as const

type Props = {
  readonly bench: Bench
  readonly sheet: Sheet
  readonly beam: BeamView
  readonly onTakeUp: (id: string) => void
}

/** The figures behind the call: descent, published functions, and each reading's points. */
export function FiguresBehind({ bench, sheet, beam, onTakeUp }: Props) {
  const { judgement } = bench
  return (
    <>
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
      {judgement.indices.length > 0 && (
        <section aria-label="Published functions" className="border-t border-line pt-2">
          <h2 className="text-base">
            <Term id="function">Published function</Term>
          </h2>
          {judgement.indices.map((index) => (
            <p key={index.name}>{indexWords(sheet, index)}</p>
          ))}
        </section>
      )}
      <PointsList sheet={sheet} beam={beam} onTakeUp={onTakeUp} />
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

/** Each figure one step from its reason: the points of every reading for the lead against the rival. */
function PointsList({ sheet, beam, onTakeUp }: Omit<Props, 'bench'>) {
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
      <p className="mb-1 text-sm text-quiet">
        In <Term id="points" />: ten are ten to one, twenty a hundred to one.
      </p>
      <ul>
        {!beam.alone && (
          <li className="flex min-h-11 items-center justify-between gap-2 px-1 leading-tight">
            <span>
              the <Term id="surroundings" />
            </span>
            <PointsFigure value={against.surroundingsPoints} />
          </li>
        )}
        {view.characters.map((id, j) => (
          <li key={id}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center justify-between gap-2 rounded-plain px-1 text-left leading-tight hover:bg-thistle-wash"
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
