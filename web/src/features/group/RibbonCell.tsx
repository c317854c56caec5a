import type { Character } from '../../api/types'
import { scaleOf, shareOn, valueOn } from '../../common/bench/rulerScale'
import { Drawing } from '../../ui/Drawing'

const WIDTH = 200

type Props = {
  readonly character: Character
  /** Rarely low, usually low, usually high, rarely high. */
  readonly range: readonly number[]
  readonly values: readonly number[]
}

/** One taxon's range as a ribbon on the scale of all, with the values that were read. */
export function RibbonCell({ character, range, values }: Props) {
  const [rarelyLow = 0, low = 0, high = 0, rarelyHigh = 0] = range
  const scale = scaleOf(character)
  const place = (value: number) => shareOn(scale, value) * WIDTH
  return (
    <div className="flex items-center gap-2">
      {character.figure && (
        <Drawing
          hint={character.figure}
          value={valueOn(character, (low + high) / 2)}
          className="size-16 shrink-0 print:size-11"
        />
      )}
      <div className="min-w-0 flex-1">
        <svg viewBox={`0 0 ${WIDTH} 30`} className="w-full max-w-64" aria-hidden="true">
          <path d={`M0,26H${WIDTH}`} className="stroke-line" />
          <rect
            x={place(rarelyLow)}
            y="14"
            width={place(rarelyHigh) - place(rarelyLow)}
            height="4"
            className="fill-edge"
          />
          <rect
            x={place(low)}
            y="9"
            width={Math.max(2, place(high) - place(low))}
            height="14"
            rx="2"
            className="fill-slate-wash stroke-slate"
          />
          {values.map((value, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the same number may be read twice
            <path key={i} d={`M${place(value)},26V8l-4,-7h8l-4,7`} className="fill-thistle stroke-thistle" />
          ))}
        </svg>
        <span className="figure text-sm print:text-[7.5pt]">
          <span className="whitespace-nowrap">
            ({rarelyLow}–){low}–{high}(–{rarelyHigh})
          </span>{' '}
          {character.unit}
        </span>
      </div>
    </div>
  )
}
