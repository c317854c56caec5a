import { Sheet } from '../../ui/Sheet'

const KEYS: readonly (readonly [string, string])[] = [
  ['1 – 9', 'choose a state, or start a number; at the gate 1 fits, 2 fails'],
  ['0', 'not seen'],
  ['Enter', 'keep the number that is typed'],
  ['n', 'the best next check'],
  ['j  k', 'on and back along the path'],
  ['u', 'sure, fairly, unsure'],
  ['m', 'attached, fallen, litter'],
  ['p', 'sun, shade, sprout'],
  ['z', 'take the last entry back'],
  ['r', 'another rival'],
  ['b', 'both schools: the sheet, field marks, close characters'],
  ['c', 'cover the answers'],
  ['s', 'side by side'],
  ['g', 'sign; Ctrl and Enter in what opens'],
  ['/', 'go anywhere by typing'],
  ['?', 'this list'],
]

/** What the keys do. */
export function KeyList({
  open,
  onOpenChange,
}: {
  readonly open: boolean
  readonly onOpenChange: (open: boolean) => void
}) {
  return (
    <Sheet title="Keys" open={open} onOpenChange={onOpenChange}>
      <dl className="grid grid-cols-[5rem_1fr] gap-x-4 gap-y-1.5">
        {KEYS.map(([key, words]) => (
          <div key={key} className="contents">
            <dt className="figure font-bold">{key}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  )
}
