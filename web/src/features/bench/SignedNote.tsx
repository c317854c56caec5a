import { useQuery } from '@tanstack/react-query'
import { ArrowUp } from 'lucide-react'
import { useEffect, useRef } from 'react'
import { useNavigate } from 'react-router'
import { useObserver } from '../../api/observer'
import { wordsOf } from '../../api/problem'
import type { Bench, Determination, Sheet as GroupSheet } from '../../api/types'
import { shortName } from '../../common/bench/judgementWords'
import { useOutbox } from '../../common/bench/outbox'
import { signedTitle } from '../../common/bench/outcomeWords'
import { nextTreeQuery } from '../../common/bench/queries'
import { nextHereQuery, usePlotHere } from '../../common/plot/treesHere'
import { reasonOf } from '../../common/review/caseWords'
import { caseOfTreeQuery } from '../../common/review/queries'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { useLate } from '../../ui/useLate'
import { amid, monthAndYear } from '../../ui/words'

type Props = {
  readonly bench: Bench
  readonly sheet: GroupSheet
  /** What was signed; undefined: nothing is told. */
  readonly signed: Determination | undefined
  readonly onClose: () => void
}

/** Said large and once after a signature: what was signed, on which features, what happens next, and where to go. */
export function SignedNote({ bench, sheet, signed, onClose }: Props) {
  const next = useRef<HTMLButtonElement>(null)
  return (
    <Sheet
      title={signed ? signedTitle(signed) : ''}
      open={signed !== undefined}
      onOpenChange={(stays) => !stays && onClose()}
      focus={next}
    >
      {signed && <Told bench={bench} sheet={sheet} signed={signed} next={next} onClose={onClose} />}
    </Sheet>
  )
}

type ToldProps = {
  readonly bench: Bench
  readonly sheet: GroupSheet
  readonly signed: Determination
  readonly next: React.RefObject<HTMLButtonElement | null>
  readonly onClose: () => void
}

function Told({ bench, sheet, signed, next, onClose }: ToldProps) {
  const { surveyId, id: treeId, plotId } = bench.tree
  const navigate = useNavigate()
  const waits = useWaits(signed)
  const { trees } = usePlotHere(surveyId, plotId)
  const asked = useQuery({ ...nextTreeQuery(surveyId, treeId, signed.id), enabled: !waits })
  const here = useQuery({
    ...nextHereQuery(treeId, trees ?? [], signed.id),
    enabled: waits && trees !== undefined,
  })
  const onward = waits ? here : asked
  const to = onward.data
  useEffect(() => {
    if (to) next.current?.focus() // so that Enter goes there
  }, [to, next])
  const go = () => {
    onClose()
    navigate(to?.id ? `/surveys/${surveyId}/trees/${to.id}` : `/surveys/${surveyId}/plots/${plotId}`)
  }
  return (
    <div className="grid gap-4 text-lg">
      {signed.confirming.length > 0 && (
        <p>From {signed.confirming.map((id) => amid(shortName(sheet, id))).join(', ')}.</p>
      )}
      <WhatFollows bench={bench} signed={signed} />
      {onward.isError && <Notice tone="wrong">{wordsOf(onward.error)}</Notice>}
      <p className="min-h-7 text-base text-quiet">
        {to?.id
          ? `${to.left === 1 ? 'One tree of this plot is' : `${to.left} trees of this plot are`} still open.`
          : to && 'Every tree of this plot that wants the Bench is signed.'}
      </p>
      <div className="flex flex-wrap items-center justify-end gap-3">
        <Button look="quiet" onClick={onClose}>
          Stay with this tree
        </Button>
        <Button
          ref={next}
          look="main"
          className="min-h-15 text-lg"
          disabled={onward.isPending && !waits}
          onClick={go}
        >
          {to?.id ? (
            <>
              Next tree {to.tag}{' '}
              <span className="ml-3 font-normal">
                <ArrowUp
                  aria-hidden
                  className="mr-1 inline size-5"
                  style={{ rotate: `${to.degrees ?? 0}deg` }}
                />
                {(to.metres ?? 0).toFixed(1)} m, {Math.round(to.degrees ?? 0)}°
              </span>
            </>
          ) : (
            'To the plot'
          )}
        </Button>
      </div>
    </div>
  )
}

/** Whether a signature is still to be handed in. */
function useWaits(signed: Determination): boolean {
  return useOutbox(useObserver().callSign).some((one) => one.id === signed.id)
}

/** Whether it stands, goes to review and why, comes back, or waits for the laboratory. */
function WhatFollows({ bench, signed }: { readonly bench: Bench; readonly signed: Determination }) {
  const { surveyId, id } = bench.tree
  const waits = useWaits(signed)
  const late = useLate(waits)
  const found = useQuery({
    ...caseOfTreeQuery(surveyId, id),
    queryKey: [...caseOfTreeQuery(surveyId, id).queryKey, signed.id],
    enabled: !waits,
    refetchOnMount: 'always',
  })
  if (signed.outcome === 'come-back' && signed.month && signed.year) {
    return <p>It is on your list again in {monthAndYear(signed.month, signed.year)}.</p>
  }
  if (signed.outcome === 'laboratory') {
    return <p>It stays open until the laboratory answers. Take no more than local collecting rules allow.</p>
  }
  if (waits && late) {
    return (
      <p>
        It is kept on this device and handed in as soon as there is a network; then it is told whether it goes
        to review.
      </p>
    )
  }
  if (found.isError) return <Notice tone="wrong">{wordsOf(found.error)}</Notice>
  if (waits || found.isFetching) return <p role="status">Looking what follows …</p>
  const open = found.data && found.data.state !== 'settled' ? found.data : undefined
  if (!open) return <p>It stands. If you sign this tree again, the later signature counts.</p>
  return (
    <p>
      It goes to review
      {open.reasons.length > 0 && `, since it is ${open.reasons.map(reasonOf).join(' and ')}`}: somebody else
      reads the tree without knowing your call.
    </p>
  )
}
