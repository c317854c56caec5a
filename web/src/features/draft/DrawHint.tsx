import { PART_NAMES } from '../../draw/draw'
import type { Allowed } from '../../draw/parameters'
import { Drawing } from '../../ui/Drawing'
import { ALLOWED, isDrawable } from './drawable'
import { Factor } from './Factors'
import type { DrawFile } from './sheetFile'

const PARTS = [...PART_NAMES].sort()

type Props = {
  readonly of: string
  readonly draw: DrawFile | null | undefined
  /** Parts that can be chosen; a measured figure has one. */
  readonly measured: boolean
  readonly disabled: boolean
  readonly onChange: (draw: DrawFile | null) => void
}

/** A drawing and the parameters it is drawn with; it changes as they do. */
export function DrawHint({ of, draw, measured, disabled, onChange }: Props) {
  const parts = measured ? ['measured'] : PARTS
  const allowed = draw ? ALLOWED.get(draw.part) : undefined
  return (
    <div className="flex flex-wrap items-start gap-4">
      <div className="grid size-36 shrink-0 place-items-center rounded-plain border border-line bg-card">
        <Shown draw={draw} />
      </div>
      <div className="grid gap-2">
        <label className="flex items-center gap-2 text-sm">
          <span className="w-24">Drawn as</span>
          <select
            aria-label={`${of}: drawn as`}
            disabled={disabled}
            value={draw?.part ?? ''}
            onChange={(event) => onChange(event.target.value === '' ? null : { part: event.target.value })}
            className="min-h-11 rounded-plain border border-edge bg-card px-2"
          >
            <option value="">no drawing</option>
            {parts.map((part) => (
              <option key={part} value={part}>
                {part.replaceAll('-', ' ')}
              </option>
            ))}
          </select>
        </label>
        {draw &&
          [...(allowed ?? [])].map(([name, kind]) => (
            <Parameter
              key={name}
              of={of}
              name={name}
              kind={kind}
              value={draw[name]}
              disabled={disabled}
              onChange={(value) => {
                const { [name]: _, ...others } = draw
                onChange((value === undefined ? others : { ...others, [name]: value }) as DrawFile)
              }}
            />
          ))}
      </div>
    </div>
  )
}

function Shown({ draw }: { readonly draw: DrawFile | null | undefined }) {
  if (!draw) return <span className="p-2 text-center text-sm text-quiet">words alone</span>
  const { part, ...parameters } = draw
  if (!isDrawable(draw))
    return <span className="p-2 text-center text-sm text-rust-ink">cannot be drawn so</span>
  return <Drawing hint={{ part, parameters }} className="size-32" />
}

type ParameterProps = {
  readonly of: string
  readonly name: string
  readonly kind: Allowed
  readonly value: string | number | boolean | undefined
  readonly disabled: boolean
  readonly onChange: (value: string | number | boolean | undefined) => void
}

function Parameter({ of, name, kind, value, disabled, onChange }: ParameterProps) {
  const words = name.replaceAll(/([A-Z])/g, ' $1').toLowerCase()
  if (kind.kind === 'number') {
    return (
      <Factor
        label={words}
        value={typeof value === 'number' ? value : kind.least}
        most={kind.most}
        disabled={disabled}
        onChange={onChange}
      />
    )
  }
  if (kind.kind === 'flag') {
    return (
      <label className="flex min-h-11 items-center gap-2 text-sm">
        <span className="w-24">{words}</span>
        <input
          type="checkbox"
          checked={value === true}
          disabled={disabled}
          onChange={(event) => onChange(event.target.checked ? true : undefined)}
          className="size-5"
        />
      </label>
    )
  }
  return (
    <label className="flex items-center gap-2 text-sm">
      <span className="w-24">{words}</span>
      <select
        aria-label={`${of}: ${words}`}
        disabled={disabled}
        value={typeof value === 'string' ? value : ''}
        onChange={(event) => onChange(event.target.value === '' ? undefined : event.target.value)}
        className="min-h-11 rounded-plain border border-edge bg-card px-2"
      >
        {value === undefined && <option value="">as usual</option>}
        {kind.words.map((word) => (
          <option key={word} value={word}>
            {word.replaceAll('-', ' ')}
          </option>
        ))}
      </select>
    </label>
  )
}
