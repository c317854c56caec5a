import type { Multipliers } from '../../common/draft/sheetFile'
import { Bounds } from '../../ui/Bounds'
import { NumberBox } from './RangeRuler'

type FactorProps = {
  readonly label: string
  readonly value: number
  readonly least?: number
  readonly most?: number
  readonly step?: number
  /** Whether it has a line of its own, since it is set by eye. */
  readonly wide?: boolean
  readonly disabled: boolean
  readonly wrong?: string | undefined
  readonly onChange: (value: number) => void
}

/** A number that is dragged or typed. */
export function Factor({
  label,
  value,
  least = 0,
  most = 1,
  step = 0.01,
  wide = false,
  disabled,
  wrong,
  onChange,
}: FactorProps) {
  return (
    <div>
      <div className={`flex min-w-0 items-center gap-3 ${wide ? 'flex-wrap' : ''}`}>
        <span aria-hidden className={wide ? 'w-full leading-tight' : 'w-28 shrink-0 leading-tight'}>
          {label}
        </span>
        <NumberBox label={label} value={value} disabled={disabled} onChange={onChange} />
        <Bounds
          labels={[`${label}, by dragging`]}
          values={[value]}
          least={least}
          most={most}
          step={step}
          disabled={disabled}
          onChange={([next = 0]) => onChange(next)}
          className={`flex-1 ${wide ? 'min-w-40' : 'max-w-40 min-w-12'}`}
          trackClassName="h-2 rounded-sm bg-line"
          handle="h-7"
        >
          <span
            className="absolute h-2 rounded-sm bg-moss"
            style={{ width: `${(100 * (Math.min(most, Math.max(least, value)) - least)) / (most - least)}%` }}
          />
        </Bounds>
      </div>
      {wrong && <p className="text-rust-ink">{wrong}</p>}
    </div>
  )
}

type FactorsProps = {
  readonly label: string
  readonly codes: readonly string[]
  readonly values: Multipliers
  /** What an unlisted one counts. */
  readonly unlisted: number
  readonly most?: number
  readonly disabled: boolean
  readonly wrong?: string | undefined
  readonly onChange: (values: Multipliers) => void
}

/** Numbers by code; one that is left as the unlisted ones are is not listed. */
export function Factors({ label, codes, values, unlisted, most, disabled, wrong, onChange }: FactorsProps) {
  return (
    <fieldset className="min-w-0">
      <legend className="font-semibold">{label}</legend>
      {codes.map((code) => (
        <Factor
          key={code}
          label={code.replaceAll('-', ' ')}
          value={values[code] ?? unlisted}
          {...(most !== undefined && { most })}
          disabled={disabled}
          onChange={(next) => {
            const { [code]: _, ...others } = values
            onChange(next === unlisted ? others : { ...others, [code]: next })
          }}
        />
      ))}
      {wrong && <p className="text-rust-ink">{wrong}</p>}
    </fieldset>
  )
}
