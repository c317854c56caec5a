import { useState } from 'react'
import { Link } from 'react-router'
import type { CaseReader, ComparedCharacter, ReviewCase, Sheet } from '../../api/types'
import { BeamPicture } from '../../common/bench/BeamPicture'
import { mannerWords, wordsOfReading } from '../../common/bench/entries'
import { reasonWords, taxonName } from '../../common/bench/judgementWords'
import { signedWords } from '../../common/bench/outcomeWords'
import { photoAddress } from '../../common/bench/queries'
import { ResetMark } from '../../common/bench/ResetMark'
import { Drawing } from '../../ui/Drawing'
import { Mark } from '../../ui/Mark'
import { Notice } from '../../ui/Notice'
import { Thistle } from '../../ui/Thistle'
import { dayAndTime, percent, points } from '../../ui/words'
import { AtLaboratory } from './AtLaboratory'
import { Decide } from './Decide'
import { readerBeam } from './readerBeam'
import { Thread } from './Thread'
import { Verified } from './Verified'
import { Withhold } from './Withhold'

type Props = { readonly it: ReviewCase; readonly sheet: Sheet }

/** The readings of one tree face each other: what each made of it, on what they differ, what they say together. */
export function CaseTable({ it, sheet }: Props) {
  const [about, setAbout] = useState<string>()
  return (
    <div className="grid gap-5">
      {it.changedMeanwhile && (
        <Notice tone="waiting">
          An earlier reader signed anew while the tree was read blind. What stands here is what each signed
          last.
        </Notice>
      )}
      {it.stands && <Stands it={it} />}
      <section
        aria-label="Readings"
        className={`grid gap-4 ${it.readings.length > 2 ? 'lg:grid-cols-3' : it.readings.length > 1 ? 'lg:grid-cols-2' : 'max-w-2xl'}`}
      >
        {it.readings.map((reader) => (
          <ReaderCard key={reader.observer} reader={reader} sheet={sheet} />
        ))}
      </section>
      {it.joint && <Together it={it} sheet={sheet} />}
      <AtLaboratory it={it} />
      {it.characters.length > 0 && <Characters it={it} sheet={sheet} onTalk={setAbout} />}
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Thread it={it} sheet={sheet} about={about} onAbout={setAbout} />
        <Decide key={it.version} it={it} sheet={sheet} />
      </div>
    </div>
  )
}

function Stands({ it }: { readonly it: ReviewCase }) {
  if (!it.stands) return null
  const names = [it.stands.observer, ...it.stands.alsoBy].join(' and ')
  return (
    <section
      aria-label="What stands"
      className="flex flex-wrap items-center gap-x-4 gap-y-1 rounded-plain border-2 border-moss bg-card p-3"
    >
      <p className="text-lg">
        <strong>{names}</strong> {signedWords(it.stands)}, {dayAndTime(it.stands.signedAt)}
        {it.stands.note && <>: “{it.stands.note}”</>}
      </p>
      <Verified it={it} />
      <Withhold it={it} />
      <Link
        to={`/surveys/${it.surveyId}/review/${it.id}/file`}
        className="ml-auto inline-flex min-h-11 items-center rounded-plain border border-ink bg-card px-4 font-semibold"
      >
        Case file, to print
      </Link>
    </section>
  )
}

function ReaderCard({ reader, sheet }: { readonly reader: CaseReader; readonly sheet: Sheet }) {
  const { determination } = reader
  const { judgement } = determination
  const sameSheet = determination.sheetVersionId === sheet.versionId
  return (
    <article className="rounded-plain border border-line bg-card p-3">
      <div className="flex items-center gap-3">
        <Thistle figures={reader.thistle} signed className="size-28 shrink-0" />
        <div className="min-w-0">
          <h2 className="text-lg leading-snug">
            {reader.observer}
            {reader.mine ? ', you' : ''} {signedWords(determination)}
          </h2>
          <p className="text-quiet">
            {reader.blind ? 'read blind' : 'read first, or openly'}, {dayAndTime(determination.signedAt)}
            {determination.soonAfterReset && <ResetMark />}
          </p>
          {determination.note && <p>“{determination.note}”</p>}
        </div>
      </div>
      {sameSheet && (
        <ReadersBeam sheet={sheet} beam={readerBeam(determination, judgement.decidedOnFeaturesAlone)} />
      )}
      {judgement.reasons.length > 0 && (
        <p className="text-sm">
          <strong>Contested:</strong> {judgement.reasons.map((code) => reasonWords(sheet, code)).join('; ')}
        </p>
      )}
    </article>
  )
}

type BeamProps = { readonly sheet: Sheet; readonly beam: ReturnType<typeof readerBeam> }

/** One reader's balance, with whom its sides speak for. */
function ReadersBeam({ sheet, beam }: BeamProps) {
  return (
    <figure className="mx-auto max-w-sm">
      <figcaption className="flex justify-between gap-3 text-sm font-bold">
        <span className="text-gold-ink">for {taxonName(sheet, beam.view.lead)}</span>
        <span className="text-right text-slate-ink">for {taxonName(sheet, beam.against.rival)}</span>
      </figcaption>
      <BeamPicture sheet={sheet} beam={beam} />
    </figure>
  )
}

/** All readings weighed together, beside each single one. */
function Together({ it, sheet }: Props) {
  if (!it.joint) return null
  const joint = it.joint.featuresAlone
  const columns = [
    ...it.readings.map((reader) => ({
      name: reader.observer,
      shares: [
        ...reader.determination.figures.featuresAlone.shares.map((one) => one.posterior),
        reader.determination.figures.featuresAlone.noneOfThese,
      ],
    })),
    { name: 'together', shares: joint.shares },
  ]
  return (
    <section aria-label="Together" className="overflow-x-auto">
      <h2 className="text-lg">
        What the readings{it.laboratory?.results.length ? ' and the laboratory' : ''} say together
      </h2>
      <p className="text-quiet">
        From the tree alone. Readings of one character by several observers count as replicates that are much
        alike: agreement strengthens, disagreement weakens.
        {it.laboratory?.results.length ? ' The laboratory’s results count with their published error.' : ''}{' '}
        Ahead by <span className="figure">{points(joint.totalPoints)}</span> points:{' '}
        {taxonName(sheet, joint.lead)}.
      </p>
      <table className="mt-1 w-full max-w-3xl text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th scope="col" className="py-1 font-normal text-quiet">
              taxon
            </th>
            {columns.map(({ name }) => (
              <th key={name} scope="col" className="px-2 py-1 text-right">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...sheet.taxa.map((one) => one.commonName), 'none of these'].map((name, k) => (
            <tr key={name} className="border-b border-line">
              <th scope="row" className="py-1 font-normal">
                <span className="flex items-center gap-2">
                  {k < sheet.taxa.length && (
                    <Mark candidate={k} standing={sheet.taxa[k]?.id === joint.lead ? 'lead' : 'other'} />
                  )}
                  {name}
                </span>
              </th>
              {columns.map((column, i) => (
                <td
                  key={column.name}
                  className={`figure px-2 py-1 text-right ${i === columns.length - 1 ? 'font-bold' : ''}`}
                >
                  {percent(column.shares[k] ?? 0)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

type CharactersProps = Props & { readonly onTalk: (character: string) => void }

/** Every character that was read, those on which the readers differ first. */
function Characters({ it, sheet, onTalk }: CharactersProps) {
  const [first, second] = [it.joint?.first, it.joint?.second]
  return (
    <section aria-label="Characters" className="overflow-x-auto">
      <h2 className="text-lg">What they read</h2>
      {first && second && (
        <p className="text-quiet">
          Points above 0 speak for {taxonName(sheet, first)}, below for {taxonName(sheet, second)}.
        </p>
      )}
      <table className="mt-1 w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink align-bottom">
            <th scope="col" className="py-1 pr-2">
              Character
            </th>
            {it.readings.map((reader) => (
              <th key={reader.observer} scope="col" className="px-2 py-1">
                {reader.observer}
              </th>
            ))}
            {it.readings.length > 1 && (
              <th scope="col" className="px-2 py-1 text-right">
                together
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {it.characters.map((one) => (
            <tr
              key={one.character}
              className={`border-b border-line align-top ${one.differs ? 'bg-rust-wash' : ''}`}
            >
              <th scope="row" className="max-w-64 py-2 pr-2 pl-2 font-semibold">
                {one.name}
                {one.differs && <span className="block text-sm font-bold text-rust-ink">they differ</span>}
                <button
                  type="button"
                  onClick={() => onTalk(one.character)}
                  className="block min-h-11 text-sm font-semibold text-thistle underline"
                >
                  talk about it
                </button>
              </th>
              {it.readings.map((reader, i) => (
                <ReadCell
                  key={reader.observer}
                  it={it}
                  sheet={sheet}
                  compared={one}
                  reader={reader}
                  place={i}
                />
              ))}
              {it.readings.length > 1 && (
                <td className="figure px-2 py-2 text-right font-bold">
                  {one.jointPoints != null && points(one.jointPoints)}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

type PhotoProps = {
  readonly it: ReviewCase
  readonly id: string
  readonly reader: CaseReader
  readonly name: string
}

/** A photo of what was read, small; a press shows it whole. */
function ReadPhoto({ it, id, reader, name }: PhotoProps) {
  const address = photoAddress(it.surveyId, it.treeId, id)
  return (
    <a href={address} target="_blank" rel="noreferrer" className="mt-1 block">
      <img
        src={address}
        alt={`${reader.observer}’s photo: ${name}`}
        loading="lazy"
        className="w-44 rounded-plain border border-line"
      />
    </a>
  )
}

type CellProps = Props & {
  readonly compared: ComparedCharacter
  readonly reader: CaseReader
  readonly place: number
}

function ReadCell({ it, sheet, compared, reader, place }: CellProps) {
  const character = sheet.characters.find((one) => one.id === compared.character)
  const reading = reader.determination.readings.find((one) => one.character === compared.character)
  const worth = compared.cells.find((cell) => cell.reader === place)?.points
  if (!character || !reading) return <td className="px-2 py-2 text-quiet">not read</td>
  const state = character.states.find((one) => one.id === reading.states?.[0])
  const photos = reader.determination.photos.filter((one) => one.character === compared.character)
  return (
    <td className="px-2 py-2">
      <div className="flex items-start gap-2">
        {state?.draw && <Drawing hint={state.draw} className="size-16 shrink-0" />}
        <div className="min-w-0 leading-snug">
          <span className="font-semibold">{wordsOfReading(character, reading)}</span>
          <span className="block text-sm text-quiet">{mannerWords(character, reading)}</span>
          {worth !== undefined && <span className="figure font-bold">{points(worth)}</span>}
          {photos.map((photo) => (
            <ReadPhoto key={photo.id} it={it} id={photo.id} reader={reader} name={character.name} />
          ))}
        </div>
      </div>
    </td>
  )
}
