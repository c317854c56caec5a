import { useQuery } from '@tanstack/react-query'
import { Download } from 'lucide-react'
import { useParams } from 'react-router'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import type { CaseReader, ReviewCase, Sheet } from '../../api/types'
import { BeamPicture } from '../../common/bench/BeamPicture'
import { mannerWords, wordsOfReading } from '../../common/bench/entries'
import { checkName } from '../../common/bench/judgementWords'
import { signedWords } from '../../common/bench/outcomeWords'
import { photoAddress } from '../../common/bench/queries'
import { ResetMark } from '../../common/bench/ResetMark'
import { positionWords } from '../../common/plot/position'
import { plotQuery } from '../../common/plot/queries'
import { outcomeOf, reasonOf } from '../../common/review/caseWords'
import { caseFileQuery, caseQuery, caseTreeQuery } from '../../common/review/queries'
import { Drawing } from '../../ui/Drawing'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PaperPage } from '../../ui/PaperPage'
import { Thistle } from '../../ui/Thistle'
import { amid, dayAndTime, monthName, percent, points } from '../../ui/words'
import { readerBeam } from './readerBeam'

const MOST_DRAWN = 12 // characters that find room on two pages

/** A settled case on two pages of A4, set for paper; any browser prints it or keeps it as PDF. */
export function CaseFilePage() {
  const { surveyId = '', caseId = '' } = useParams()
  const found = useQuery(caseQuery(surveyId, caseId))
  const file = useQuery(caseFileQuery(surveyId, caseId))
  const sheet = useQuery({
    ...sheetQuery(found.data?.sheetVersionId ?? ''),
    enabled: Boolean(found.data?.sheetVersionId),
  })
  const failed = found.error ?? file.error ?? sheet.error
  if (failed) {
    return (
      <main className="p-4">
        <Notice tone="wrong">{wordsOf(failed)}</Notice>
      </main>
    )
  }
  if (!found.data || !file.data || !sheet.data) {
    return (
      <main className="p-4">
        <OnItsWay of={[found, file, sheet]}>Laying out the case file …</OnItsWay>
      </main>
    )
  }
  const { plotCode, tag, surveyName } = found.data
  return (
    <PaperPage
      title={`Case file of ${plotCode}, tree ${tag}`}
      head={`Case file: ${plotCode}, tree ${tag}. ${surveyName}`}
      back={{ to: `/surveys/${surveyId}/review/${caseId}`, words: 'Back to the table' }}
      tools={
        <a
          href={`/api/surveys/${surveyId}/review/${caseId}/file`}
          download={`case ${plotCode} ${tag}.json`}
          className="inline-flex min-h-11 items-center rounded-plain border border-ink bg-card px-4 font-semibold"
        >
          <Download aria-hidden className="mr-1 inline size-4" />
          Its data
        </a>
      }
    >
      <FirstPage it={found.data} sheet={sheet.data} />
      <SecondPage it={found.data} sheet={sheet.data} sha256={file.data} />
    </PaperPage>
  )
}

type Props = { readonly it: ReviewCase; readonly sheet: Sheet }

/** What stands, who read it, and how each saw it. */
function FirstPage({ it, sheet }: Props) {
  const { stands } = it
  if (!stands) return null
  const { month, stage, origin, habitat } =
    it.readings[0]?.determination.circumstances ?? stands.circumstances
  return (
    <section aria-label="The call">
      <header className="flex items-baseline justify-between gap-4 border-b-2 border-ink pb-1">
        <h1 className="text-[17pt] whitespace-nowrap">
          {it.plotCode}, tree {it.tag}
        </h1>
        <span className="text-right">
          {it.surveyName} · {sheet.title}, version {sheet.version}
        </span>
      </header>
      <p className="my-2 text-[14pt] leading-tight">
        <strong className="first-letter:uppercase">{stands.commonName}</strong>{' '}
        <span className="scientific">{stands.scientificName}</span>
      </p>
      <p>
        {[stands.observer, ...stands.alsoBy].join(' and ')} {signedWords(stands)},{' '}
        {dayAndTime(stands.signedAt)}; {outcomeOf(it.decisions.at(-1)?.outcome)}. Reviewed since it was{' '}
        {it.reasons.map(reasonOf).join(', ')}.{stands.note && <> “{stands.note}”</>}
      </p>
      <p className="mt-1">
        Read in {monthName(month)}; {stage}, {origin === 'unknown' ? 'origin unknown' : origin},{' '}
        {it.diameterMillimetres} mm{habitat.length > 0 ? `, ${habitat.join(', ')}` : ''}. Signed for a{' '}
        {stands.judgement.tier}, {percent(stands.judgement.threshold)} asked for.
      </p>
      <Where it={it} />
      <div className={`mt-3 grid gap-4 ${it.readings.length > 2 ? 'grid-cols-3' : 'grid-cols-2'}`}>
        {it.readings.map((reader) => (
          <PrintedReader key={reader.observer} reader={reader} sheet={sheet} />
        ))}
      </div>
      {it.joint && <Joint it={it} sheet={sheet} />}
    </section>
  )
}

/** Where the tree stands, for whoever goes there again. */
function Where({ it }: { readonly it: ReviewCase }) {
  const plot = useQuery(plotQuery(it.surveyId, it.plotId))
  const tree = useQuery(caseTreeQuery(it.surveyId, it.treeId))
  const failed = plot.error ?? tree.error
  if (failed) return <Notice tone="wrong">{wordsOf(failed)}</Notice>
  if (!plot.data || !tree.data) return <OnItsWay of={[plot, tree]}>One moment …</OnItsWay>
  const { latitude, longitude } = plot.data
  return (
    <p className="mt-1">
      It stands at {tree.data.azimuthDegrees}°, {tree.data.distanceMetres} m from the centre of the plot
      {latitude != null && longitude != null && `, ${positionWords({ latitude, longitude })}`}.
    </p>
  )
}

function PrintedReader({ reader, sheet }: { readonly reader: CaseReader; readonly sheet: Sheet }) {
  const { determination } = reader
  const names = (ids: readonly string[]) => ids.map((id) => checkName(sheet, id)).join(', ')
  return (
    <section aria-label={reader.observer}>
      <div className="flex items-center gap-2">
        <Thistle figures={reader.thistle} signed className="size-20 shrink-0" />
        <div>
          <h2 className="text-[11.5pt] leading-tight">
            {reader.observer} {signedWords(determination)}
          </h2>
          <p>
            {reader.blind ? 'read blind' : 'read first, or openly'}, {dayAndTime(determination.signedAt)}
            {determination.soonAfterReset && <ResetMark />}
          </p>
        </div>
      </div>
      {determination.sheetVersionId === sheet.versionId && (
        <BeamPicture
          sheet={sheet}
          beam={readerBeam(determination, determination.judgement.decidedOnFeaturesAlone)}
        />
      )}
      {determination.confirming.length > 0 && (
        <p>
          <strong>Confirmed by</strong> {names(determination.confirming)}.
        </p>
      )}
      {determination.judgement.contrary.length > 0 && (
        <p>
          <strong>Against it</strong> {names(determination.judgement.contrary)}.
        </p>
      )}
      {determination.voucher && <p>Voucher: {determination.voucher}</p>}
    </section>
  )
}

const NONE_OF_THESE = { commonName: 'none of these', scientificName: '' }

function Joint({ it, sheet }: Props) {
  if (!it.joint) return null
  const columns = [
    ...it.readings.map((reader) => ({
      name: reader.observer,
      shares: [
        ...reader.determination.figures.featuresAlone.shares.map((one) => one.posterior),
        reader.determination.figures.featuresAlone.noneOfThese,
      ],
    })),
    { name: 'together', shares: it.joint.featuresAlone.shares },
  ]
  return (
    <table className="mt-3 w-full text-left">
      <caption className="text-left font-bold">Shares of belief, from the tree alone</caption>
      <thead>
        <tr className="border-b border-ink">
          <td />
          {columns.map(({ name }) => (
            <th key={name} scope="col" className="text-right">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {[...sheet.taxa, NONE_OF_THESE].map((taxon, k) => (
          <tr key={taxon.commonName} className="border-b border-line">
            <th scope="row" className="font-normal">
              {taxon.commonName} <span className="scientific">{taxon.scientificName}</span>
            </th>
            {columns.map((column) => (
              <td key={column.name} className="figure text-right">
                {percent(column.shares[k] ?? 0)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  )
}

type SecondProps = Props & { readonly sha256: string }

/** What was read, what was said, and where it can be checked. */
function SecondPage({ it, sheet, sha256 }: SecondProps) {
  return (
    <section aria-label="The evidence" className="mt-6 print:mt-0">
      <h2 className="border-b-2 border-ink pb-1 text-[13pt]">What was read</h2>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b border-ink">
            <th scope="col">Character</th>
            {it.readings.map((reader) => (
              <th key={reader.observer} scope="col">
                {reader.observer}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {it.characters.slice(0, MOST_DRAWN).map((one) => (
            <tr key={one.character} className="break-inside-avoid border-b border-line align-top">
              <th scope="row" className="max-w-[4.5cm] py-0.5 pr-2 font-normal">
                {one.name}
                {one.differs && <strong className="block">they differ</strong>}
              </th>
              {it.readings.map((reader, i) => (
                <PrintedCell
                  key={reader.observer}
                  sheet={sheet}
                  it={it}
                  reader={reader}
                  character={one.character}
                  worth={one.cells.find((cell) => cell.reader === i)?.points}
                />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {it.words.length + it.decisions.length > 0 && (
        <>
          <h2 className="mt-3 border-b-2 border-ink text-[13pt]">What was said and decided</h2>
          <ul>
            {it.words.map((word) => (
              <li key={word.id}>
                <strong>{word.observer}</strong>
                {word.character && ` on ${amid(checkName(sheet, word.character))}`}: {word.body}
              </li>
            ))}
            {it.decisions.map((one) => (
              <li key={one.id}>
                <strong>{one.observer}</strong> {outcomeOf(one.outcome)}, {dayAndTime(one.at)}. {one.reasons}
              </li>
            ))}
          </ul>
        </>
      )}
      {sheet.cautions.length > 0 && (
        <p className="mt-2">
          <strong>Cautions.</strong> {sheet.cautions.map((one) => one.text).join(' ')} Local rules come first;
          control work is for trained, licensed people.
        </p>
      )}
      <p className="mt-2 text-[8.5pt] leading-tight">
        <strong>Sources of the sheet.</strong> {sheet.sources.join('; ')}.
      </p>
      <p className="mt-1 text-[8.5pt] leading-tight">
        SHA-256 of the data: <span className="figure break-all">{sha256}</span>. The data themselves give
        these figures again.
      </p>
    </section>
  )
}

type CellProps = Props & {
  readonly reader: CaseReader
  readonly character: string
  readonly worth: number | undefined
}

function PrintedCell({ it, sheet, reader, character, worth }: CellProps) {
  const known = sheet.characters.find((one) => one.id === character)
  const reading = reader.determination.readings.find((one) => one.character === character)
  if (!known || !reading) return <td className="py-0.5">not read</td>
  const state = known.states.find((one) => one.id === reading.states?.[0])
  const photos = reader.determination.photos.filter((one) => one.character === character)
  return (
    <td className="py-0.5 pr-2">
      <span className="flex items-start gap-1.5">
        {state?.draw && <Drawing hint={state.draw} className="size-[1.1cm] shrink-0" />}
        <span>
          {wordsOfReading(known, reading)}
          {mannerWords(known, reading) !== '' && ` · ${mannerWords(known, reading)}`}
          {worth !== undefined && <strong className="figure"> {points(worth)}</strong>}
          {photos.map((photo) => (
            <img
              key={photo.id}
              src={photoAddress(it.surveyId, it.treeId, photo.id)}
              alt={`${reader.observer}’s photo: ${known.name}`}
              className="mt-1 w-[5.5cm] break-inside-avoid"
            />
          ))}
        </span>
      </span>
    </td>
  )
}
