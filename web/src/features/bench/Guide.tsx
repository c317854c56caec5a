import { useEffect, useSyncExternalStore } from 'react'
import { useObserver } from '../../api/observer'
import type { Bench } from '../../api/types'
import type { Work } from '../../common/bench/useWork'
import { Beside } from '../../ui/Beside'
import { Button } from '../../ui/Button'
import { useGuide } from '../../ui/guideState'
import type { Part } from './PartBar'

type Step = {
  /** the data-guide of what it is about */
  readonly at: string
  readonly part: Part
  /** where its sentence stands beside it, so that it covers nothing that is to be touched */
  readonly side: 'top' | 'left' | 'right'
  readonly says: string
  /** by what it is done; undefined: by going on */
  readonly done?: (bench: Bench, work: Work) => boolean
}

const STEPS: readonly Step[] = [
  {
    at: 'gate',
    part: 'check',
    side: 'right',
    says: 'First the gate: look whether the tree has what all of these share. If it does, press “All of it fits”.',
    done: (_, { marks, entries }) => marks.size > 0 || entries.size > 0,
  },
  {
    at: 'look-next',
    part: 'check',
    side: 'top',
    says: 'This line always says what to look at next, and why. Take it up.',
    done: (_, { entries }) => entries.size > 0,
  },
  {
    at: 'states',
    part: 'check',
    side: 'right',
    says: 'Touch what you see, once for each leaf. If you cannot see it, press “Not seen”: that is a good answer too.',
    done: (_, { entries }) => entries.size > 0,
  },
  {
    at: 'path',
    part: 'path',
    side: 'right',
    says: 'All checks, from far to near. Filled seeds promise much for little effort; after reading, the figure says how many points it was worth.',
  },
  {
    at: 'beam',
    part: 'call',
    side: 'left',
    says: 'Each reading lies here as a block, on the side of the name that it speaks for. Wide blocks weigh much.',
  },
  {
    at: 'notch',
    part: 'call',
    side: 'left',
    says: 'The bar shows how far you are. At the notch the name can be signed, not before.',
  },
  {
    at: 'sign',
    part: 'call',
    side: 'left',
    says: 'Here you sign, or come back when more can be seen. While something is missing, the button says what.',
  },
]

type Props = {
  readonly bench: Bench
  readonly work: Work
  readonly part: Part
  readonly narrow: boolean
  readonly onPart: (part: Part) => void
}

function placeOf({ at }: Pick<Step, 'at'>): Element | null {
  return document.querySelector(`[data-guide="${at}"]`)
}

const never = () => () => {}

/** The first round of a new observer: one sentence at a time, at the place that it is about, by doing. */
export function Guide({ bench, work, part, narrow, onPart }: Props) {
  const observer = useObserver().callSign
  const { step: at, goTo, leave } = useGuide(observer, bench.firstTree)
  const isDone = at !== undefined && (STEPS[at]?.done?.(bench, work) ?? false)
  useEffect(() => {
    if (isDone) goTo((at ?? 0) + 1)
  }, [isDone, at, goTo])
  // the next step whose place is on the screen: a phone shows one part at a time
  const shown = useSyncExternalStore(never, () =>
    at === undefined ? -1 : STEPS.findIndex((one, i) => i >= at && placeOf(one) !== null),
  )
  const step = STEPS[shown]
  // on a phone what belongs to the check is said above the line that is always there
  const place = step && (narrow && step.part === 'check' ? placeOf({ at: 'look-next' }) : placeOf(step))
  if (!step || !place) return null
  const goOn = () => {
    const next = STEPS[shown + 1]
    if (!next) return leave()
    goTo(shown + 1)
    if (narrow && next.part !== part) onPart(next.part)
  }
  return (
    <Beside label="First round" place={place} side={narrow ? 'top' : step.side}>
      <p className="leading-snug">{step.says}</p>
      <div className="mt-1 flex items-center justify-between">
        <Button look="quiet" className="pointer-events-auto px-1!" onClick={leave}>
          Skip this
        </Button>
        <span className="figure text-sm text-quiet">
          {shown + 1} of {STEPS.length}
        </span>
        <Button look="quiet" className="pointer-events-auto px-1!" onClick={goOn}>
          {shown + 1 < STEPS.length ? 'Go on' : 'I see'}
        </Button>
      </div>
    </Beside>
  )
}
