import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { wordsOf } from '../../api/problem'
import type { Bench, Circumstances, Sheet as GroupSheet } from '../../api/types'
import { AnyOf } from '../../ui/AnyOf'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { Sheet } from '../../ui/Sheet'
import { HABITATS, MONTHS, monthName, ORIGINS, STAGES } from '../../ui/words'
import { benchQuery, sendCircumstances, sendTier } from './queries'

const CHIP = 'max-lg:not-last:after:content-[","] lg:rounded-plain lg:border lg:border-line lg:px-2 lg:py-1'

const options = (words: readonly string[]) => words.map((word) => ({ value: word, text: word }))

/** Which tree this is and how it stands; the circumstances can be put right. */
export function ContextBar({ bench, sheet }: { readonly bench: Bench; readonly sheet: GroupSheet }) {
  const [open, setOpen] = useState(false)
  const { month, stage, origin, habitat } = bench.circumstances
  return (
    <div className="flex items-center gap-x-4 border-b border-line bg-card px-4 py-2 max-lg:py-1">
      <div className="flex min-w-0 flex-wrap items-center gap-x-4 gap-y-2 max-lg:gap-y-0">
        <h1 className="text-xl max-lg:text-lg">
          <Link
            to={`/surveys/${bench.tree.surveyId}/plots/${bench.tree.plotId}?tree=${bench.tree.id}`}
            className="underline decoration-line underline-offset-4"
          >
            {bench.tree.plotCode}
          </Link>{' '}
          · tree {bench.tree.tag}
        </h1>
        {bench.tree.stems > 1 && <span className="text-quiet">{bench.tree.stems} stems of one clone</span>}
        <span className="text-quiet max-sm:hidden">{sheet.title}</span>
        <ul aria-label="Circumstances" className="flex flex-wrap gap-2 max-lg:gap-x-1.5 max-lg:text-sm">
          <li className={CHIP}>{monthName(month)}</li>
          <li className={CHIP}>{stage}</li>
          <li className={CHIP}>{origin === 'unknown' ? 'origin unknown' : origin}</li>
          <li className={CHIP}>
            {bench.judgement.tier} · sign at {Math.round(bench.judgement.threshold * 100)} %
          </li>
          <li className={CHIP}>{habitat.length > 0 ? habitat.join(' · ') : 'no habitat noted'}</li>
        </ul>
      </div>
      {bench.tree.closed ? (
        <span className="ml-auto text-quiet">closed survey: read only</span>
      ) : (
        <Button look="quiet" className="px-2! max-lg:ml-auto lg:-ml-2" onClick={() => setOpen(true)}>
          Change
        </Button>
      )}
      <Sheet title="How this tree stands" open={open} onOpenChange={setOpen}>
        <CircumstancesForm bench={bench} onDone={() => setOpen(false)} />
      </Sheet>
    </div>
  )
}

const TIERS = ['tally', 'record', 'control'].map((tier) => ({ value: tier, text: tier }))

/** What the call is for; the sheet may ask for more than was said. */
function TierChoice({ bench }: { readonly bench: Bench }) {
  const queries = useQueryClient()
  const { surveyId, id: treeId } = bench.tree
  const { tierAsked, tier } = bench.judgement
  const change = useMutation({
    mutationFn: (asked: string) => sendTier(surveyId, treeId, asked),
    onSuccess: (answer) => queries.setQueryData(benchQuery(surveyId, treeId).queryKey, answer),
  })
  return (
    <>
      <OneOf label="Tier" options={TIERS} value={tierAsked} onChange={(asked) => change.mutate(asked)} />
      {tier !== tierAsked && (
        <p className="text-quiet">What leads now matters more than a tally: it counts as a {tier}.</p>
      )}
      {change.isError && <Notice tone="wrong">{wordsOf(change.error)}</Notice>}
    </>
  )
}

function CircumstancesForm({ bench, onDone }: { readonly bench: Bench; readonly onDone: () => void }) {
  const queries = useQueryClient()
  const [draft, setDraft] = useState<Circumstances>(bench.circumstances)
  const { surveyId, id: treeId } = bench.tree
  const change = useMutation({
    mutationFn: () => sendCircumstances(surveyId, treeId, draft),
    onSuccess: (answer) => {
      queries.setQueryData(benchQuery(surveyId, treeId).queryKey, answer)
      onDone()
    },
  })
  return (
    <div className="grid gap-4">
      <label className="font-semibold">
        Month
        <select
          className="mt-1 block min-h-11 rounded-plain border border-edge bg-card px-3 font-normal"
          value={draft.month}
          onChange={(event) => setDraft({ ...draft, month: Number(event.target.value) })}
        >
          {MONTHS.map((name, i) => (
            <option key={name} value={i + 1}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <Group label="The call is for">
        <TierChoice bench={bench} />
      </Group>
      <Group label="Stage">
        <OneOf
          label="Stage"
          options={options(STAGES)}
          value={draft.stage}
          onChange={(stage) => setDraft({ ...draft, stage })}
        />
      </Group>
      <Group label="Origin">
        <OneOf
          label="Origin"
          options={options(ORIGINS)}
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
      {change.isError && <Notice tone="wrong">{wordsOf(change.error)}</Notice>}
      <Button look="main" onClick={() => change.mutate()} disabled={change.isPending}>
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
