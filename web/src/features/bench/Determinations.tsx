import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import type { Bench, Determination, Sheet as GroupSheet } from '../../api/types'
import { mannerWords, wordsOfReading } from '../../common/bench/entries'
import { signedWords } from '../../common/bench/outcomeWords'
import { photoAddress } from '../../common/bench/queries'
import { ResetMark } from '../../common/bench/ResetMark'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { Sheet } from '../../ui/Sheet'
import { counted, dayAndTime, monthName, percent, points } from '../../ui/words'

type Props = {
  readonly determinations: readonly Determination[]
  readonly sheet: GroupSheet
  readonly tree: Bench['tree']
}

/** What has been signed for this tree, the newest first; each opens into its reasons. */
export function Determinations({ determinations, sheet, tree }: Props) {
  const [openId, setOpenId] = useState<string>()
  const open = determinations.find((one) => one.id === openId)
  if (determinations.length === 0) return null
  return (
    <section aria-label="Signed calls">
      <h2 className="mb-1 text-base">Signed calls</h2>
      <ul className="grid gap-2">
        {determinations.map((one) => (
          <li key={one.id}>
            <button
              type="button"
              onClick={() => setOpenId(one.id)}
              className="block w-full rounded-plain border border-line border-l-4 border-l-moss bg-card px-3 py-2 text-left hover:bg-thistle-wash"
            >
              <span className={`font-bold ${one.superseded ? 'line-through' : ''}`}>
                {one.observer} {signedWords(one)}
              </span>
              {one.share !== undefined && one.share !== null && (
                <span className="figure"> {percent(one.share)}</span>
              )}
              <span className="block text-sm text-quiet">
                {dayAndTime(one.signedAt)}
                {one.superseded ? ', signed again later' : ''}
                {one.soonAfterReset && <ResetMark />}
              </span>
              {one.note && <span className="block">“{one.note}”</span>}
            </button>
          </li>
        ))}
      </ul>
      <Sheet
        title={open ? `${open.observer} ${signedWords(open)}` : ''}
        open={open !== undefined}
        onOpenChange={(stays) => !stays && setOpenId(undefined)}
      >
        {open && <SheetOfCall signed={open} sheet={sheet} tree={tree} />}
      </Sheet>
    </section>
  )
}

type CallProps = {
  readonly signed: Determination
  readonly sheet: GroupSheet
  readonly tree: Bench['tree']
}

/** A call may have been signed on another version, or in another group, than the tree is read in now. */
function SheetOfCall({ signed, sheet, tree }: CallProps) {
  const own = useQuery({
    ...sheetQuery(signed.sheetVersionId),
    enabled: signed.sheetVersionId !== sheet.versionId,
  })
  if (signed.sheetVersionId === sheet.versionId) return <Reasons signed={signed} sheet={sheet} tree={tree} />
  if (own.isError) return <Notice tone="wrong">{wordsOf(own.error)}</Notice>
  return own.data ? (
    <Reasons signed={signed} sheet={own.data} tree={tree} />
  ) : (
    <OnItsWay of={own}>Fetching the sheet it was signed on …</OnItsWay>
  )
}

function Reasons({ signed, sheet, tree }: CallProps) {
  const { month, stage, origin, habitat } = signed.circumstances
  const balance = signed.figures.withSurroundings
  const nameOf = (id: string) => sheet.taxa.find((one) => one.id === id)?.commonName ?? id
  const pointsOf = new Map(balance.points.map((one) => [one.character, one.points]))
  return (
    <div className="grid gap-4">
      <p>
        <span className="scientific">{signed.scientificName}</span>, signed {dayAndTime(signed.signedAt)} on
        version {signed.sheetVersion} of the sheet. {monthName(month)}, {stage},{' '}
        {origin === 'unknown' ? 'origin unknown' : origin}
        {habitat.length > 0 ? `, ${habitat.join(', ')}` : ''}.
      </p>
      {signed.note && <p>“{signed.note}”</p>}
      {signed.confirming.length > 0 && (
        <p>
          Confirmed by{' '}
          {signed.confirming
            .map((id) => sheet.characters.find((one) => one.id === id)?.name ?? id)
            .join(', ')}
          .
        </p>
      )}
      {Object.entries(signed.reasons).map(([id, reason]) => (
        <p key={id}>
          Against it {sheet.characters.find((one) => one.id === id)?.name ?? id}: “{reason}”
        </p>
      ))}
      {signed.voucher && <p>Voucher: {signed.voucher}</p>}
      {signed.photos.length > 0 && (
        <ul aria-label="Photos" className="flex flex-wrap gap-2">
          {signed.photos.map((photo, i) => (
            <li key={photo.id}>
              <a href={photoAddress(tree.surveyId, tree.id, photo.id)} target="_blank" rel="noreferrer">
                <img
                  src={photoAddress(tree.surveyId, tree.id, photo.id)}
                  alt={`No. ${i + 1} of this call`}
                  className="h-24 rounded-plain border border-ink"
                />
              </a>
            </li>
          ))}
        </ul>
      )}
      <table className="w-full text-left">
        <caption className="mb-1 text-left font-semibold">
          {counted(signed.readings.length, 'reading')}, for {nameOf(balance.lead)} against{' '}
          {nameOf(balance.rival)}
        </caption>
        <tbody>
          {signed.readings.map((reading) => {
            const character = sheet.characters.find((one) => one.id === reading.character)
            const worth = pointsOf.get(reading.character)
            return (
              character && (
                <tr key={reading.character} className="border-t border-line align-top">
                  <th scope="row" className="py-1 pr-2 font-normal">
                    {character.name}
                  </th>
                  <td className="py-1 pr-2 font-semibold">{wordsOfReading(character, reading)}</td>
                  <td className="py-1 pr-2 text-sm text-quiet">{mannerWords(character, reading)}</td>
                  <td className="figure py-1 text-right">{worth === undefined ? '' : points(worth)}</td>
                </tr>
              )
            )
          })}
        </tbody>
      </table>
      <p className="text-quiet">
        {signed.recomputes
          ? 'The same figures come out of this record today.'
          : 'Other figures come out of this record today: tell whoever runs the server.'}
      </p>
    </div>
  )
}
