import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import { sheetQuery } from '../../api/sheets'
import type { ControlCard, LookAsked, LookResult, Sheet } from '../../api/types'
import {
  type Looking,
  markAt,
  readAt,
  signLook,
  useLooking,
  useSaid,
  verdictOf,
} from '../../common/control/lookStore'
import { cardsQuery } from '../../common/control/queries'
import { directionWords, metresWords, verdictWords } from '../../common/control/words'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { dayAndTime, monthName } from '../../ui/words'
import { Confirmed, DoNotCut } from './DoNotCut'
import { Feature } from './Feature'
import { GateOfLook } from './GateOfLook'
import { Near } from './Near'
import { PlotSketch } from './PlotSketch'
import { useLook } from './useLook'
import { Waiting } from './Waiting'
import { WhatWasDone } from './WhatWasDone'

/** A tree's card: where it stands, what must not be touched, the last look, and what was done. */
export function CardPage() {
  const { treeId = '' } = useParams()
  const observer = useObserver().callSign
  const cards = useQuery(cardsQuery)
  const said = useSaid(observer)
  const card = cards.data?.find((one) => one.treeId === treeId)
  return (
    <main className="relative mx-auto min-h-0 w-full max-w-2xl flex-1 overflow-y-auto p-4">
      <PageTitle>{card ? `Tree ${card.tag} of ${card.plotCode}` : 'Control card'}</PageTitle>
      <Link
        to="/control/cards"
        className="inline-flex min-h-11 items-center font-semibold text-thistle underline"
      >
        All cards
      </Link>
      <Waiting observer={observer} said={said} />
      {cards.isError && !cards.data && <Notice tone="wrong">{wordsOf(cards.error)}</Notice>}
      {cards.isPending && <OnItsWay of={cards}>Fetching the card …</OnItsWay>}
      {cards.data && !card && (
        <DoNotCut
          reasons={['This tree is not on the list, or not any more: its approval lapsed, or it was done.']}
        />
      )}
      {card && <Card key={card.approvalId} card={card} />}
    </main>
  )
}

function Card({ card }: { readonly card: ControlCard }) {
  const observer = useObserver().callSign
  const said = useSaid(observer)
  const signed = verdictOf(said, card)
  const isConfirmed = signed === 'confirmed'
  const [again, setAgain] = useState(false)
  return (
    <>
      <h1 className="mt-1 text-3xl">
        {card.plotCode}, tree <span className="figure">{card.tag}</span>
      </h1>
      <p className="text-lg">
        {card.commonName} <span className="scientific">{card.scientificName}</span>,{' '}
        {card.diameterMillimetres} mm thick
      </p>
      <p className="figure">
        {directionWords(card.azimuthDegrees)} · {metresWords(card.distanceMetres)} from the plot’s centre
      </p>
      <div className="my-3 grid grid-cols-1 gap-3 sm:grid-cols-[minmax(0,1fr)_13rem]">
        <section aria-label="Do not touch" className="rounded-plain border-2 border-ink p-3">
          <h2 className="text-lg">Do not touch</h2>
          <Near near={card.near} />
        </section>
        <PlotSketch trees={[card]} here={card.treeId} />
      </div>
      {card.look && (
        <p className={card.look.result.verdict === 'confirmed' ? '' : 'font-bold text-rust-ink'}>
          Last look of {card.look.by}, {dayAndTime(card.look.at)}: {verdictWords(card.look.result.verdict)}
        </p>
      )}
      {signed !== undefined && signed !== 'not-yet' && !again ? (
        <>
          {isConfirmed ? (
            <Confirmed words={`This tree was looked at, and is still called ${card.commonName}.`} />
          ) : (
            <DoNotCut reasons={['The last look spoke against it. It goes back to review.']} />
          )}
          {isConfirmed && (
            <Button look="quiet" onClick={() => setAgain(true)}>
              Look once more
            </Button>
          )}
        </>
      ) : (
        <TheLook card={card} onSigned={() => setAgain(false)} />
      )}
      <WhatWasDone card={card} confirmed={isConfirmed} />
    </>
  )
}

type LookProps = { readonly card: ControlCard; readonly onSigned: () => void }

/** The tag first, then what all of the group share, then two features that are read again. */
function TheLook({ card, onSigned }: LookProps) {
  const observer = useObserver().callSign
  const [search] = useSearchParams()
  const [tag, setTag] = useState(search.get('tag') ?? '')
  const sheet = useQuery(sheetQuery(card.sheetVersionId))
  const month = new Date().getMonth() + 1
  const asked = card.asked.find((one) => one.circumstances.month === month)
  const at = useLooking(observer, card)
  const isThis = tag.trim() === `${card.tag}`
  const isOther = /^\d+$/.test(tag.trim()) && !isThis && tag.trim().length >= `${card.tag}`.length
  return (
    <section aria-label="The last look" className="my-3">
      <h2 className="border-b border-ink text-xl">The last look</h2>
      <label className="my-3 grid w-fit font-semibold">
        1. The tag on the stem in front of you
        <input
          className="figure min-h-12 w-32 rounded-plain border border-edge bg-card px-3 text-xl"
          inputMode="numeric"
          autoComplete="off"
          value={tag}
          onChange={(event) => setTag(event.target.value)}
        />
      </label>
      {isOther && <DoNotCut reasons={[`This is tree ${tag.trim()}; the card is of tree ${card.tag}.`]} />}
      {!asked && (
        <Notice tone="wrong">
          These cards are from before {monthName(month)}, and ask for what could be read then. Do not cut;
          fetch the cards anew where there is a network.
        </Notice>
      )}
      {sheet.isError && !sheet.data && <Notice tone="wrong">{wordsOf(sheet.error)}</Notice>}
      {isThis && asked && sheet.data && (
        <Steps card={card} asked={asked} sheet={sheet.data} at={at} month={month} onSigned={onSigned} />
      )}
    </section>
  )
}

type StepsProps = LookProps & {
  readonly asked: LookAsked
  readonly sheet: Sheet
  readonly at: Looking
  readonly month: number
}

function Steps({ card, asked, sheet, at, month, onSigned }: StepsProps) {
  const observer = useObserver().callSign
  const told = useLook(card.sheetVersionId, sheet, asked, month, at)
  if (told instanceof Error) return <Notice tone="wrong">{wordsOf(told)}</Notice>
  if (asked.steps.length === 0 || !told) {
    return asked.steps.length === 0 ? <NothingToRead month={month} /> : <p role="status">One moment …</p>
  }
  const shown = asked.steps.filter(
    ({ character }) =>
      at.readings.some((reading) => reading.character === character) || told.next === character,
  )
  const sign = () => {
    signLook(observer, card, at, asked.circumstances.month, told.verdict)
    onSigned()
    window.scrollTo(0, 0)
  }
  return (
    <>
      {sheet.gate.length > 0 && (
        <>
          <h3 className="mt-4 text-lg">2. What all of the group share</h3>
          <GateOfLook
            sheet={sheet}
            gate={at.gate}
            onMark={(item, fits) => markAt(observer, at, item, fits)}
          />
        </>
      )}
      <h3 className="mt-4 text-lg">{sheet.gate.length > 0 ? 3 : 2}. Features, read anew</h3>
      <p className="text-quiet">What was read before is not shown, so that you see for yourself.</p>
      {shown.map(({ character }) => (
        <Feature
          key={character}
          sheet={sheet}
          characterId={character}
          at={at}
          onRead={(reading) => readAt(observer, at, reading)}
        />
      ))}
      {!told.next && !told.enough && <NothingToRead month={month} />}
      <Verdict told={told} card={card} onSign={sign} />
    </>
  )
}

function NothingToRead({ month }: { readonly month: number }) {
  return (
    <DoNotCut
      reasons={[
        `Nothing more of this tree can be read in ${monthName(month)} without wounding it, so its last look waits for another month.`,
      ]}
    />
  )
}

type VerdictProps = { readonly told: LookResult; readonly card: ControlCard; readonly onSign: () => void }

function Verdict({ told, card, onSign }: VerdictProps) {
  const sign = (
    <Button look="main" className="mt-3 min-h-12" onClick={onSign}>
      Sign this look
    </Button>
  )
  if (told.verdict === 'do-not-cut') {
    return (
      <DoNotCut reasons={told.reasons.map(({ words }) => words)}>
        <p className="mt-2">Sign it, so that the tree goes back to review.</p>
        {sign}
      </DoNotCut>
    )
  }
  if (told.verdict === 'confirmed') {
    return <Confirmed words={`What you read still says ${card.commonName}.`}>{sign}</Confirmed>
  }
  return (
    <Notice tone="waiting">
      Leave it standing for now: {told.reasons.map(({ words }) => words).join('; ')}.
    </Notice>
  )
}
