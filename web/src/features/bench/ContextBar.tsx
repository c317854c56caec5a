import { useState } from 'react'
import { Link } from 'react-router'
import { choiceOf, HABITATS, ORIGINS, STAGES, TIERS, type Tier } from '../../api/codes'
import type { Bench, Circumstances, Sheet as GroupSheet } from '../../api/types'
import { useEnter } from '../../common/bench/useEnter'
import { AnyOf } from '../../ui/AnyOf'
import { Button } from '../../ui/Button'
import { InBar } from '../../ui/InBar'
import { MonthPick } from '../../ui/MonthPick'
import { OneOf } from '../../ui/OneOf'
import { PageTitle } from '../../ui/PageTitle'
import { Sheet } from '../../ui/Sheet'
import { Term } from '../../ui/Term'
import { monthName } from '../../ui/words'

type Props = {
  readonly bench: Bench
  readonly sheet: GroupSheet
}

/** Which tree this is and how it stands, in the bar at the top; the circumstances can be put right. */
export function ContextBar({ bench, sheet }: Props) {
  const [open, setOpen] = useState(false)
  const { month, stage, origin, habitat } = bench.circumstances
  const { tree, judgement } = bench
  const before = [...new Set(bench.readings.flatMap(({ reading }) => reading.month ?? []))]
  const otherwise = month !== bench.thisMonth
  const said = [
    otherwise
      ? `entered for ${monthName(month)}, now ${monthName(bench.thisMonth)}`
      : before.length > 0
        ? `read in ${before.map(monthName).join(' and ')}, now ${monthName(month)}`
        : monthName(month),
    stage,
    origin === 'unknown' ? 'wild or planted?' : origin,
    `${judgement.tier} · sign at ${Math.round(judgement.threshold * 100)} %`,
    habitat.length > 0 ? habitat.join(', ') : 'ground not noted',
  ]
  return (
    <InBar>
      <div className="flex min-w-0 items-center gap-x-4 max-lg:gap-x-2">
        <div className="min-w-0">
          <PageTitle>{`${tree.plotCode}, tree ${tree.tag}`}</PageTitle>
          <h1 className="text-lg leading-tight whitespace-nowrap max-lg:text-base max-lg:whitespace-normal">
            <Link
              to={`/surveys/${tree.surveyId}/plots/${tree.plotId}?tree=${tree.id}`}
              className="underline decoration-line underline-offset-4"
            >
              {tree.plotCode}
            </Link>{' '}
            · tree {tree.tag}
          </h1>
          <p className="truncate text-[0.8rem] max-lg:text-[0.85rem] leading-tight text-quiet">
            {bench.blind ? (
              <strong>Blind reading: what others made of it is kept from you until you sign</strong>
            ) : tree.stems > 1 ? (
              `${tree.stems} stems of one clone`
            ) : (
              <>
                {/* a narrow bar has no room for all circumstances, but for those that surprise */}
                {(otherwise || before.length > 0) && <strong className="lg:hidden">{said[0]}</strong>}
                <span title={sheet.title} className={otherwise || before.length > 0 ? 'max-lg:hidden' : ''}>
                  {sheet.title}
                </span>
              </>
            )}
          </p>
        </div>
        <ul
          aria-label="Circumstances"
          className="flex min-w-0 flex-1 flex-wrap gap-x-1.5 xl:min-w-64 text-[0.9rem] leading-tight max-lg:hidden"
        >
          {said.map((one, i) => (
            <li
              key={one}
              className={`${i === 0 && otherwise ? 'font-bold text-rust-ink' : i === 0 && before.length > 0 ? 'font-bold' : ''} not-last:after:content-[","]`}
            >
              {one}
            </li>
          ))}
        </ul>
        {tree.closed ? (
          <span className="ml-auto text-quiet max-lg:text-sm">closed survey: read only</span>
        ) : (
          <Button
            className="shrink-0 px-2! max-lg:ml-auto max-lg:w-26 max-lg:px-1! max-lg:text-sm"
            onClick={() => setOpen(true)}
          >
            <span className="max-lg:sr-only">Change</span>
            <span className="lg:hidden">
              <span className="sr-only">: </span>
              {monthName(month).slice(0, 3)} · {judgement.tier}
            </span>
          </Button>
        )}
      </div>
      <Sheet title="How this tree stands" open={open} onOpenChange={setOpen}>
        <CircumstancesForm bench={bench} onDone={() => setOpen(false)} />
      </Sheet>
    </InBar>
  )
}

const TIER_CHOICES = TIERS.map(choiceOf)

/** What the call is for; the sheet may ask for more than was said. */
function TierChoice({ bench }: { readonly bench: Bench }) {
  const enter = useEnter(bench.tree)
  const { tierAsked, tier } = bench.judgement
  return (
    <>
      <OneOf
        label="Tier"
        options={TIER_CHOICES}
        value={tierAsked}
        onChange={(asked: Tier) => enter({ kind: 'tier', tier: asked })}
      />
      {tier !== tierAsked && (
        <p className="text-quiet">What leads now matters more than a tally: it counts as a {tier}.</p>
      )}
    </>
  )
}

function CircumstancesForm({ bench, onDone }: { readonly bench: Bench; readonly onDone: () => void }) {
  const [draft, setDraft] = useState<Circumstances>(bench.circumstances)
  const enter = useEnter(bench.tree)
  const use = () => {
    enter({ kind: 'circumstances', circumstances: draft })
    onDone()
  }
  return (
    <div className="grid gap-4">
      <label className="font-semibold">
        Month
        <MonthPick
          className="mt-1 block min-h-11 rounded-plain border border-edge bg-card px-3 font-normal"
          value={draft.month}
          onChange={(month) => setDraft({ ...draft, month })}
        />
        {draft.month !== bench.thisMonth && (
          <Button look="quiet" onClick={() => setDraft({ ...draft, month: bench.thisMonth })}>
            It is {monthName(bench.thisMonth)} now
          </Button>
        )}
      </label>
      <Group label="The call is for">
        <TierChoice bench={bench} />
        <p className="text-sm text-quiet">
          <Term id="tally">tally</Term>: counted; <Term id="record">record</Term>: others rely on it;{' '}
          <Term id="control">control</Term>: before anything is felled or treated
        </p>
      </Group>
      <Group label="Stage">
        <OneOf
          label="Stage"
          options={STAGES.map(choiceOf)}
          value={draft.stage}
          onChange={(stage) => setDraft({ ...draft, stage })}
        />
      </Group>
      <Group label="Origin">
        <OneOf
          label="Origin"
          options={ORIGINS.map(choiceOf)}
          value={draft.origin}
          onChange={(origin) => setDraft({ ...draft, origin })}
        />
      </Group>
      <Group label="Ground">
        <AnyOf
          label="Ground"
          options={HABITATS}
          values={draft.habitat}
          onChange={(habitat) => setDraft({ ...draft, habitat })}
        />
      </Group>
      <Button look="main" onClick={use}>
        Use these
      </Button>
    </div>
  )
}

function Group({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <div>
      <p className="mb-1 font-semibold">{label}</p>
      {children}
    </div>
  )
}
