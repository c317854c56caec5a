import { Printer } from 'lucide-react'
import { useState } from 'react'
import { choiceOf, type LifeStage, STAGES } from '../../api/codes'
import { wordsOf } from '../../api/problem'
import type { Character, Sheet } from '../../api/types'
import { useBestChecks } from '../../common/group/useBestChecks'
import { Button } from '../../ui/Button'
import { Pick } from '../../ui/Choice'
import { Drawing } from '../../ui/Drawing'
import { Mark } from '../../ui/Mark'
import { MonthPick } from '../../ui/MonthPick'
import { Notice } from '../../ui/Notice'
import { PageTitle } from '../../ui/PageTitle'
import { usePaper } from '../../ui/usePaper'
import { monthName } from '../../ui/words'
import { RibbonCell } from './RibbonCell'

const STAGE_CHOICES = STAGES.map(choiceOf)

export const MOST_CHARACTERS = 8 // that find room on one page

/** One page of A4 to take along in the rain: gate, best characters of a month, boxes to tick; it folds to A5. */
export function FieldCard({ sheet }: { readonly sheet: Sheet }) {
  const [month, setMonth] = useState(new Date().getMonth() + 1)
  const [stage, setStage] = useState<LifeStage>('mature')
  const [withScale, setWithScale] = useState(true)
  const { best, error, isPending } = useBestChecks(sheet, month, stage, MOST_CHARACTERS)
  usePaper(`${sheet.title}, field card for ${monthName(month)}`)
  const needsScale = best.some((one) => one.needsScale)
  return (
    <>
      <div className="my-3 flex flex-wrap items-end gap-3 print:hidden">
        <label className="font-semibold">
          Month
          <MonthPick
            value={month}
            onChange={setMonth}
            className="ml-2 min-h-11 rounded-plain border border-edge bg-card px-2"
          />
        </label>
        <label className="font-semibold">
          Stage
          <Pick
            className="ml-2 min-h-11 rounded-plain border border-edge bg-card px-2"
            options={STAGE_CHOICES}
            value={stage}
            onChange={setStage}
          />
        </label>
        <Button look="main" onClick={() => window.print()}>
          <Printer aria-hidden className="mr-1 inline size-4" />
          Print, or keep as PDF
        </Button>
        {needsScale && (
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-thistle"
              checked={withScale}
              onChange={() => setWithScale(!withScale)}
            />
            with the scale card for photos
          </label>
        )}
      </div>
      {error && <Notice tone="wrong">{wordsOf(error)}</Notice>}
      {isPending && <p role="status">Weighing the characters …</p>}
      {!isPending && !error && (
        <article
          aria-label="Field card"
          className="case-file mx-auto w-[19cm] max-w-full bg-card p-[0.6cm] text-[9.5pt] leading-tight print:p-0"
        >
          <PageTitle>{`${sheet.title}, field card`}</PageTitle>
          <CardOnPaper sheet={sheet} month={month} stage={stage} best={best} />
          {withScale && needsScale && <ScaleCard />}
        </article>
      )}
    </>
  )
}

type PaperProps = {
  readonly sheet: Sheet
  readonly month: number
  readonly stage: string
  /** what it has room for, the best check first */
  readonly best: readonly Character[]
}

/** A field card as it is printed. */
export function CardOnPaper({ sheet, month, stage, best }: PaperProps) {
  return (
    <>
      <Head sheet={sheet} month={month} stage={stage} />
      {best.length === 0 && (
        <p className="my-2 font-bold">
          Nothing of this group can be read in {monthName(month)} without a wound. Come back in another month.
        </p>
      )}
      <ul>
        {best.map((character) => (
          <li key={character.id} className="break-inside-avoid border-b border-line py-1">
            <CardRow sheet={sheet} character={character} />
          </li>
        ))}
      </ul>
      {sheet.cautions.length > 0 && (
        <p className="mt-1 text-[8pt]">
          <strong>Cautions.</strong> {sheet.cautions.map((one) => one.text).join(' ')} Local rules come first.
        </p>
      )}
    </>
  )
}

type HeadProps = { readonly sheet: Sheet; readonly month: number; readonly stage: string }

function Head({ sheet, month, stage }: HeadProps) {
  return (
    <>
      <header className="flex items-baseline justify-between gap-3 border-b-2 border-ink">
        <h1 className="text-[14pt]">{sheet.title}</h1>
        <span>
          {monthName(month)}, {stage}; version {sheet.version}
        </span>
      </header>
      <p className="my-1 flex gap-6">
        {['Plot', 'Tree', 'Read by', 'On'].map((what) => (
          <span key={what} className="flex-1 border-b border-edge">
            {what}
          </span>
        ))}
      </p>
      <ul className="flex flex-wrap gap-x-4">
        {sheet.taxa.map((taxon, k) => (
          <li key={taxon.id} className="flex items-center gap-1.5">
            <Mark candidate={k} standing="other" />
            {taxon.commonName} <span className="scientific">{taxon.scientificName}</span>
          </li>
        ))}
      </ul>
      {sheet.gate.length > 0 && (
        <ul className="mt-1 border-y border-line py-1">
          {sheet.gate.map((item) => (
            <li key={item.id} className="flex items-baseline gap-1.5">
              <Box />
              <span>
                <strong>{item.name}</strong>; otherwise {item.otherwise}
              </span>
            </li>
          ))}
        </ul>
      )}
    </>
  )
}

/** One scale card of the page of four, at its own size; it is cut out and laid beside the leaf. */
function ScaleCard() {
  return (
    <div className="mt-3 h-[105mm] w-[148.5mm] max-w-full overflow-hidden break-inside-avoid">
      <img
        src="/api/scale-card"
        alt="Scale card: four crosses on a rectangle and a bar to check the printer by"
        className="w-[297mm] max-w-none"
      />
    </div>
  )
}

/** An empty box to tick. */
function Box() {
  return <span aria-hidden className="inline-block size-[0.32cm] shrink-0 border border-ink" />
}

function CardRow({ sheet, character }: { readonly sheet: Sheet; readonly character: Character }) {
  const boxes = Array.from({ length: character.replicates }, (_, i) => i)
  return (
    <>
      <p className="flex flex-wrap items-baseline justify-between gap-x-3">
        <strong>{character.name}</strong>
        <span className="flex flex-wrap items-center gap-1">
          {character.states.length === 0 &&
            boxes.map((i) => (
              <span key={i} className="inline-block h-[0.5cm] w-[0.9cm] border-b border-ink" />
            ))}
          {character.states.length === 0 && character.unit}
        </span>
      </p>
      {character.states.length > 0 ? (
        <ul className="grid gap-x-3 gap-y-1 sm:auto-cols-fr sm:grid-flow-col print:auto-cols-fr print:grid-flow-col">
          {character.states.map((state, i) => (
            <li key={state.id} className="flex min-w-0 items-start gap-1">
              {state.draw && <Drawing hint={state.draw} className="size-[1.15cm] shrink-0" />}
              <span>
                <span className="flex gap-0.5">
                  {boxes.slice(0, 5).map((box) => (
                    <Box key={box} />
                  ))}
                </span>
                {state.name}
                <span className="flex flex-wrap items-center gap-x-1 text-[8pt]">
                  {sheet.taxa.map((taxon, k) => (
                    <span key={taxon.id} className="flex items-center gap-0.5">
                      <Mark candidate={k} standing="other" />
                      {Math.round(100 * (character.profiles[k]?.frequencies?.[i] ?? 0))}
                    </span>
                  ))}
                </span>
              </span>
            </li>
          ))}
        </ul>
      ) : (
        <ul className="grid gap-x-3 sm:grid-cols-3 print:grid-cols-3">
          {character.profiles.map((profile, k) => (
            <li key={profile.taxon} className="flex min-w-0 items-center gap-1">
              <Mark candidate={k} standing="other" />
              {profile.range && <RibbonCell character={character} range={profile.range} values={[]} />}
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
