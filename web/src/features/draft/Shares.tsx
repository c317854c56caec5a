import { useId } from 'react'
import { isDrawable } from '../../common/draft/drawable'
import { addingUp, leftOver, type StateFile, withShare } from '../../common/draft/sheetFile'
import { Bounds } from '../../ui/Bounds'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { NumberBox } from './RangeRuler'

const SEGMENT = ['bg-moss', 'bg-gold', 'bg-slate', 'bg-rust', 'bg-thistle', 'bg-edge'] as const

type Props = {
  /** Whose shares they are. */
  readonly of: string
  readonly states: readonly StateFile[]
  readonly shares: readonly number[]
  readonly disabled: boolean
  readonly onChange: (shares: readonly number[]) => void
}

/**
 * How often each state is met, as numbers and as a bar. What is typed stands as it is typed; what is left over is said, and
 * one press makes it a whole. The bar's parts can be dragged while they are one.
 */
export function Shares({ of, states, shares, disabled, onChange }: Props) {
  const id = useId()
  const left = leftOver(shares)
  const bounds = shares.slice(0, -1).map((_, i) => Math.round(100 * sum(shares.slice(0, i + 1))))
  return (
    <div>
      <Bounds
        labels={bounds.map((_, i) => `${of}: between ${states[i]?.name} and ${states[i + 1]?.name}`)}
        values={bounds}
        most={100}
        step={1}
        disabled={disabled || left !== 0}
        onChange={(next) => onChange(parted(next))}
        trackClassName="flex h-7 overflow-hidden rounded-plain border border-edge"
      >
        {shares.map((share, i) => (
          <span
            key={states[i]?.id}
            className={`${SEGMENT[i % SEGMENT.length]} flex items-center justify-center overflow-hidden border-card text-sm not-first:border-l-2`}
            style={{ width: `${(100 * share) / Math.max(1, sum(shares))}%` }}
          >
            {share >= 0.12 && (
              <span className="figure rounded-sm bg-card px-1 leading-5">{Math.round(100 * share)}</span>
            )}
          </span>
        ))}
      </Bounds>
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
              <NumberBox
                id={`${id}-${state.id}`}
                value={Number((100 * (shares[i] ?? 0)).toFixed(4))}
                disabled={disabled}
                onChange={(percent) => onChange(withShare(shares, i, Number((percent / 100).toFixed(6))))}
              />
              %
            </span>
          </li>
        ))}
      </ul>
      <p role="status" className="mt-1 flex min-h-11 flex-wrap items-center gap-3">
        {left !== 0 && (
          <>
            <strong className="text-rust-ink">
              {left > 0 ? `${left} % left over` : `${-left} % too much`}
            </strong>
            {!disabled && <Button onClick={() => onChange(addingUp(shares))}>Make it 100</Button>}
          </>
        )}
      </p>
    </div>
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
