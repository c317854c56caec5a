import { Slider } from 'radix-ui'
import { useId, useState } from 'react'
import { Drawing } from '../../ui/Drawing'
import { isDrawable } from './drawable'
import { addingUp, type StateFile, withShare } from './sheetFile'

const SEGMENT = ['bg-moss', 'bg-gold', 'bg-slate', 'bg-rust', 'bg-thistle', 'bg-edge'] as const

type Props = {
  /** Whose shares they are. */
  readonly of: string
  readonly states: readonly StateFile[]
  readonly shares: readonly number[]
  readonly disabled: boolean
  readonly onChange: (shares: readonly number[]) => void
}

/** How often each state is met: a bar whose parts are dragged, and the same as numbers; they always add up. */
export function Shares({ of, states, shares, disabled, onChange }: Props) {
  const id = useId()
  const bounds = shares.slice(0, -1).map((_, i) => Math.round(100 * sum(shares.slice(0, i + 1))))
  return (
    <div>
      <Slider.Root
        value={bounds}
        max={100}
        step={1}
        disabled={disabled}
        onValueChange={(next) => onChange(parted(next))}
        className="relative flex h-11 touch-none items-center"
      >
        <Slider.Track className="relative flex h-7 grow overflow-hidden rounded-plain border border-edge">
          {shares.map((share, i) => (
            <span
              key={states[i]?.id}
              className={`${SEGMENT[i % SEGMENT.length]} flex items-center justify-center overflow-hidden border-card text-sm not-first:border-l-2`}
              style={{ width: `${100 * share}%` }}
            >
              {share >= 0.12 && (
                <span className="figure rounded-sm bg-card px-1 leading-5">{Math.round(100 * share)}</span>
              )}
            </span>
          ))}
        </Slider.Track>
        {bounds.map((_, i) => (
          <Slider.Thumb
            key={states[i]?.id}
            aria-label={`${of}: between ${states[i]?.name} and ${states[i + 1]?.name}`}
            className="block h-9 w-3 cursor-ew-resize rounded-sm border-2 border-ink bg-card data-[disabled]:invisible"
          />
        ))}
      </Slider.Root>
      <ul className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {states.map((state, i) => (
          <li key={state.id}>
            <span className="flex items-center gap-2 text-sm">
              <span className={`size-3 shrink-0 rounded-sm ${SEGMENT[i % SEGMENT.length]}`} aria-hidden />
              <Shown draw={state.draw} />
              <label htmlFor={`${id}-${state.id}`} className="max-w-36 leading-tight">
                <span className="sr-only">{of}: </span>
                {state.name}
              </label>
              <ShareBox
                id={`${id}-${state.id}`}
                share={shares[i] ?? 0}
                disabled={disabled}
                onChange={(share) => onChange(withShare(shares, i, share))}
              />
              %
            </span>
          </li>
        ))}
      </ul>
    </div>
  )
}

type BoxProps = {
  readonly id: string
  readonly share: number
  readonly disabled: boolean
  readonly onChange: (share: number) => void
}

/** A share in percent; taken over when the hand leaves it, since the others give way to it. */
function ShareBox({ id, share, disabled, onChange }: BoxProps) {
  const [typed, setTyped] = useState<string>()
  const take = () => {
    if (typed !== undefined && typed.trim() !== '') onChange(Number(typed) / 100)
    setTyped(undefined)
  }
  return (
    <input
      id={id}
      type="number"
      min={0}
      max={100}
      value={typed ?? Number((100 * share).toFixed(1))}
      disabled={disabled}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => event.key === 'Enter' && take()}
      className="figure min-h-11 w-18 rounded-plain border border-edge bg-card px-2"
    />
  )
}

function Shown({ draw }: { readonly draw: StateFile['draw'] }) {
  if (!draw || !isDrawable(draw)) return null
  const { part, ...parameters } = draw
  return <Drawing hint={{ part, parameters }} className="size-11 shrink-0" />
}

function sum(list: readonly number[]): number {
  return list.reduce((total, one) => total + one, 0)
}

/** The shares between bounds in percent. */
function parted(bounds: readonly number[]): readonly number[] {
  const all = [0, ...bounds, 100]
  return addingUp(all.slice(1).map((bound, i) => (bound - (all[i] ?? 0)) / 100))
}
