import { useState } from 'react'
import { rounded } from '../../common/bench/rulerScale'
import { Bounds } from '../../ui/Bounds'

const LIMITS = ['rarely low', 'usually low', 'usually high', 'rarely high'] as const

type Props = {
  readonly of: string
  readonly range: readonly number[]
  /** The ruler of the character: from, to and how finely it is read. */
  readonly scale: { readonly from: number; readonly to: number; readonly step: number }
  readonly disabled: boolean
  readonly onChange: (range: readonly number[]) => void
}

/** A range as a flora prints it: four limits on a ruler, dragged or typed. */
export function RangeRuler({ of, range, scale, disabled, onChange }: Props) {
  const place = (value: number) => `${(100 * (value - scale.from)) / (scale.to - scale.from || 1)}%`
  const [a = 0, b = 0, c = 0, d = 0] = range
  const rises = a <= b && b <= c && c <= d
  return (
    <div>
      <Bounds
        labels={LIMITS.map((limit) => `${of}: ${limit}`)}
        values={[...range].sort((x, y) => x - y)}
        least={scale.from}
        most={scale.to}
        step={scale.step}
        disabled={disabled}
        onChange={(next) => onChange(next.map(rounded))}
        trackClassName="h-7 border-b-2 border-edge"
      >
        {rises && (
          <>
            <span
              className="absolute top-3 h-2 bg-edge"
              style={{ left: place(a), width: `calc(${place(d)} - ${place(a)})` }}
            />
            <span
              className="absolute top-1 h-6 rounded-sm border-2 border-slate bg-slate-wash"
              style={{ left: place(b), width: `calc(${place(c)} - ${place(b)})` }}
            />
          </>
        )}
      </Bounds>
      <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
        {LIMITS.map((limit, i) => (
          <span key={limit} className="flex items-center gap-2 text-sm">
            <span aria-hidden>{limit}</span>
            <NumberBox
              label={`${of}: ${limit}, in figures`}
              value={range[i] ?? 0}
              disabled={disabled}
              onChange={(value) => onChange(range.map((one, j) => (j === i ? value : one)))}
            />
          </span>
        ))}
      </div>
    </div>
  )
}

type BoxProps = {
  /** what it is called, where no label names it by its id */
  readonly label?: string
  readonly id?: string
  readonly value: number
  readonly disabled: boolean
  readonly onChange: (value: number) => void
}

/** A number that is taken over as soon as it is one; what is half typed stays as it is typed. */
export function NumberBox({ label, id, value, disabled, onChange }: BoxProps) {
  const [typed, setTyped] = useState<string>()
  return (
    <input
      id={id}
      aria-label={label}
      inputMode="decimal"
      value={typed ?? String(value)}
      disabled={disabled}
      aria-invalid={typed !== undefined && numberOf(typed) === undefined ? true : undefined}
      onChange={(event) => {
        setTyped(event.target.value)
        const next = numberOf(event.target.value)
        if (next !== undefined && next !== value) onChange(next)
      }}
      onBlur={() =>
        setTyped((text) => (text !== undefined && numberOf(text) === undefined ? text : undefined))
      }
      className="figure min-h-11 w-20 rounded-plain border border-edge bg-card px-2 aria-invalid:border-2 aria-invalid:border-rust"
    />
  )
}

function numberOf(text: string): number | undefined {
  const plain = text.trim().replace(',', '.')
  return plain === '' || Number.isNaN(Number(plain)) ? undefined : Number(plain)
}
