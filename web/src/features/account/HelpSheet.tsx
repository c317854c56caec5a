import { useSyncExternalStore } from 'react'
import { useObserver } from '../../api/observer'
import { Button } from '../../ui/Button'
import { GLOSSARY } from '../../ui/glossary'
import { guideAgain } from '../../ui/guideState'
import { Sheet } from '../../ui/Sheet'
import { TermDrawing } from '../../ui/TermDrawing'

const EVERYWHERE: readonly (readonly [string, string])[] = [
  ['/', 'go anywhere by typing'],
  ['?', 'this page'],
]

const ON_THE_BENCH: readonly (readonly [string, string])[] = [
  ['1 – 9', 'choose a state, or start a number; at the gate: this one fits, with Shift it fails'],
  ['x', 'not seen; where states are shown, 0 too'],
  ['e', 'none on this tree: flowers, fruit, cones'],
  ['a', 'all alike: the rest is as the last one; at the gate all of it fits'],
  ['Enter', 'keep the numbers that are typed; several with spaces, or in one row: 32434'],
  ['n', 'take up what to look at next'],
  ['j  k', 'on and back along the path'],
  ['u', 'sure, fairly, unsure'],
  ['m', 'attached, fallen, litter'],
  ['p', 'sun, shade, sprout'],
  ['z', 'take the last entry back'],
  ['r', 'another rival'],
  ['b', 'compare schools: the sheet, field marks, close characters'],
  ['c', 'cover the answers'],
  ['s', 'side by side'],
  ['g', 'sign; Ctrl and Enter in what opens'],
  ['v', 'come back in another month'],
  ['l', 'send a sample'],
  ['o', 'record the group only'],
]

type Props = {
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
  readonly onBench: boolean
}

const never = () => () => {}

/** What the keys do, and what every word means; the first round on the Bench can be had again. */
export function HelpSheet({ open, onOpenChange, onBench }: Props) {
  const observer = useObserver().callSign
  const hasKeys = useSyncExternalStore(never, () => window.matchMedia('(any-pointer: fine)').matches)
  return (
    <Sheet title="Keys and words" open={open} onOpenChange={onOpenChange}>
      <div className="grid gap-5">
        {onBench && (
          <Button
            onClick={() => {
              guideAgain(observer)
              onOpenChange(false)
            }}
          >
            Show me round the Bench again
          </Button>
        )}
        <KeyRows
          title={hasKeys ? 'Keys' : 'Keys, where there is a keyboard'}
          rows={onBench ? [...ON_THE_BENCH, ...EVERYWHERE] : EVERYWHERE}
        />
        <section>
          <h3 className="mb-1 text-lg">Words</h3>
          <dl className="grid gap-2">
            {GLOSSARY.map(({ id, term, says, draw }) => (
              <div key={id}>
                <dt className="font-bold">{term}</dt>
                <dd className="max-w-prose">
                  {says}
                  {draw && (
                    <span className="block max-w-64">
                      <TermDrawing draw={draw} />
                    </span>
                  )}
                </dd>
              </div>
            ))}
          </dl>
        </section>
      </div>
    </Sheet>
  )
}

type RowsProps = { readonly title: string; readonly rows: readonly (readonly [string, string])[] }

function KeyRows({ title, rows }: RowsProps) {
  return (
    <section>
      <h3 className="mb-1 text-lg">{title}</h3>
      <dl className="grid grid-cols-[4.5rem_1fr] gap-x-4 gap-y-1.5">
        {rows.map(([key, words]) => (
          <div key={key} className="contents">
            <dt className="figure font-bold">{key}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </section>
  )
}
