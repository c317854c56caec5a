import { useQuery } from '@tanstack/react-query'
import { ChevronRight } from 'lucide-react'
import { type FormEvent, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import type { ControlCard } from '../../api/types'
import { useSaid } from '../../common/control/lookStore'
import { cardsQuery } from '../../common/control/queries'
import { verdictWords, workWords } from '../../common/control/words'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OnItsWay } from '../../ui/OnItsWay'
import { PageTitle } from '../../ui/PageTitle'
import { DoNotCut } from './DoNotCut'
import { PlotSketch } from './PlotSketch'
import { Waiting } from './Waiting'

const NUMBER = /^\s*#?\s*(\d{1,5})\s*$/

/** The cards of the trees that were approved: found by plot and tag, without a network too. */
export function CardsPage() {
  const observer = useObserver().callSign
  const cards = useQuery(cardsQuery)
  const said = useSaid(observer)
  return (
    <main className="relative mx-auto min-h-0 w-full max-w-3xl flex-1 overflow-y-auto p-4">
      <PageTitle>Control cards</PageTitle>
      <h1 className="text-2xl">Trees that may be cut</h1>
      <Waiting observer={observer} said={said} />
      {cards.isError && !cards.data && <Notice tone="wrong">{wordsOf(cards.error)}</Notice>}
      {cards.isPending && <OnItsWay of={cards}>Fetching the cards …</OnItsWay>}
      {cards.data && <Cards cards={cards.data} at={cards.dataUpdatedAt} />}
    </main>
  )
}

function Cards({ cards, at }: { readonly cards: readonly ControlCard[]; readonly at: number }) {
  const plots = [...new Set(cards.map((card) => card.plotCode))]
  if (cards.length === 0) {
    return (
      <p className="my-3">
        No tree is approved for you now. A lead approves trees on the survey’s control list; then their cards
        stand here, without a network too.
      </p>
    )
  }
  return (
    <>
      <ul className="my-3 list-disc border-l-4 border-rust pl-7">
        {cards[0]?.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      <p className="text-quiet">
        As of {new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}. The cards
        stay on this device, and are fetched anew whenever there is a network.
      </p>
      {plots.map((plot) => (
        <PlotOfCards key={plot} plot={plot} cards={cards.filter((card) => card.plotCode === plot)} />
      ))}
    </>
  )
}

type PlotProps = { readonly plot: string; readonly cards: readonly ControlCard[] }

function PlotOfCards({ plot, cards }: PlotProps) {
  const navigate = useNavigate()
  const [text, setText] = useState('')
  const [missing, setMissing] = useState<number>()
  const find = (event: FormEvent) => {
    event.preventDefault()
    const tag = Number(NUMBER.exec(text)?.[1])
    const card = cards.find((one) => one.tag === tag)
    if (card) navigate(`/control/cards/${card.treeId}?tag=${tag}`)
    else if (tag) setMissing(tag)
  }
  return (
    <section aria-label={plot} className="my-4">
      <h2 className="border-b border-ink text-xl">{plot}</h2>
      <form onSubmit={find} className="my-2 flex flex-wrap items-end gap-2">
        <label className="grid font-semibold">
          Tag on the stem
          <input
            className="figure min-h-12 w-32 rounded-plain border border-edge bg-card px-3 text-xl"
            inputMode="numeric"
            autoComplete="off"
            value={text}
            onChange={(event) => {
              setText(event.target.value)
              setMissing(undefined)
            }}
          />
        </label>
        <Button type="submit" look="main" className="min-h-12">
          Open its card
        </Button>
      </form>
      {missing !== undefined && (
        <DoNotCut
          reasons={[
            `Tree ${missing} of ${plot} is not on the list. Read the tag again; if it is ${missing}, it stays standing.`,
          ]}
        />
      )}
      <div className="grid grid-cols-1 gap-3 sm:grid-cols-2">
        <ul className="grid content-start gap-2">
          {cards.map((card) => (
            <li key={card.treeId}>
              <Link
                to={`/control/cards/${card.treeId}`}
                className="flex min-h-14 items-center gap-3 rounded-plain border border-line bg-card px-3 py-2 hover:bg-thistle-wash"
              >
                <strong className="figure text-2xl">{card.tag}</strong>
                <span className="min-w-0 flex-1 leading-tight">
                  {card.commonName}, {card.diameterMillimetres} mm
                  <br />
                  <span
                    className={
                      card.look && card.look.result.verdict !== 'confirmed'
                        ? 'font-bold text-rust-ink'
                        : 'text-quiet'
                    }
                  >
                    {card.look
                      ? `${verdictWords(card.look.result.verdict)}, ${card.look.by}`
                      : 'no last look yet'}
                    {card.work && `; ${workWords(card.work.what)}`}
                  </span>
                </span>
                <ChevronRight aria-hidden className="size-5" />
              </Link>
            </li>
          ))}
        </ul>
        <PlotSketch trees={cards} />
      </div>
    </section>
  )
}
