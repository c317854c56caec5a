import type { PointerEvent } from 'react'
import type { Character, Sheet } from '../../api/types'
import { markPath } from '../../draw/markPath'
import { measured } from '../../ui/words'
import { rounded, type Scale, scaleOf, ticksOf } from './rulerScale'

const LEFT = 118 // units, room for the names
const WIDTH = 560
const ROW = 26
const TOP = 26

type Props = {
  readonly sheet: Sheet
  readonly character: Character
  readonly values: readonly number[]
  readonly covered: boolean
  readonly onDrop: (value: number) => void
}

/** Each candidate's range as a ribbon on one ruler, the usual part broad and the rare part narrow; values drop on it. */
export function Ruler({ sheet, character, values, covered, onDrop }: Props) {
  const scale = scaleOf(character, values)
  const place = (value: number) =>
    LEFT + ((value - scale.from) / (scale.to - scale.from)) * (WIDTH - LEFT - 8)
  const bottom = TOP + ROW * sheet.taxa.length
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  const drop = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    const x = ((event.clientX - box.left) / box.width) * WIDTH
    const value = scale.from + ((x - LEFT) / (WIDTH - LEFT - 8)) * (scale.to - scale.from)
    if (x >= LEFT && value >= 0) onDrop(rounded(Math.round(value / scale.step) * scale.step))
  }
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${bottom + 30}`}
      className="w-full max-w-3xl cursor-crosshair touch-manipulation rounded-plain border border-edge bg-card"
      role="img"
      aria-label={rulerWords(sheet, character, covered)}
      onPointerUp={drop}
    >
      {sheet.taxa.map((taxon, i) => (
        <g key={taxon.id} transform={`translate(0 ${TOP + i * ROW})`}>
          <path
            d={markPath(i)}
            fillRule="evenodd"
            transform="translate(14 11) scale(5.5)"
            className="fill-quiet"
          />
          <text x="26" y="15.5" className="fill-ink text-[13px]">
            {taxon.commonName}
          </text>
          {!covered && <Ribbon range={character.profiles[i]?.range ?? undefined} place={place} />}
        </g>
      ))}
      <Axis scale={scale} place={place} bottom={bottom} unit={character.unit ?? ''} />
      {values.map((value, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: the same number may be read twice
          key={i}
          d={`M${place(value)},20l-5,-11h10Z`}
          className="fill-thistle"
        />
      ))}
      {values.length > 0 && (
        <>
          <path d={`M${place(mean)},20V${bottom}`} className="stroke-thistle" strokeWidth="2" />
          <text
            x={place(mean)}
            y={bottom + 26}
            textAnchor="middle"
            className="fill-thistle text-[12px] font-bold"
          >
            mean {measured(rounded(Math.round(mean * 10) / 10), character.unit)}
          </text>
        </>
      )}
    </svg>
  )
}

type RibbonProps = {
  readonly range: readonly number[] | undefined
  readonly place: (value: number) => number
}

function Ribbon({ range, place }: RibbonProps) {
  const [rarelyLow, low, high, rarelyHigh] = range ?? []
  if (rarelyLow === undefined || low === undefined || high === undefined || rarelyHigh === undefined)
    return null
  return (
    <>
      <rect
        x={place(rarelyLow)}
        y="9"
        width={place(rarelyHigh) - place(rarelyLow)}
        height="5"
        className="fill-edge"
      />
      <rect
        x={place(low)}
        y="3"
        width={Math.max(2, place(high) - place(low))}
        height="17"
        rx="2"
        className="fill-slate-wash stroke-slate"
      />
    </>
  )
}

type AxisProps = {
  readonly scale: Scale
  readonly place: (value: number) => number
  readonly bottom: number
  readonly unit: string
}

function Axis({ scale, place, bottom, unit }: AxisProps) {
  const ticks = ticksOf(scale)
  return (
    <>
      <path d={`M${LEFT},${bottom}H${WIDTH - 8}`} className="stroke-ink" />
      {ticks.map((value, i) => (
        <g key={value}>
          <path d={`M${place(value)},${bottom - 4}V${bottom}`} className="stroke-ink" />
          <text x={place(value)} y={bottom + 14} textAnchor="middle" className="figure fill-ink text-[12px]">
            {i === ticks.length - 1 ? measured(value, unit) : value}
          </text>
        </g>
      ))}
    </>
  )
}

/** The ranges in words, for those who do not see the ruler. */
function rulerWords(sheet: Sheet, character: Character, covered: boolean): string {
  if (covered) return 'A ruler; the ranges are covered until a value is read'
  return sheet.taxa
    .map((taxon, i) => {
      const [rarelyLow, low, high, rarelyHigh] = character.profiles[i]?.range ?? []
      return `${taxon.commonName} ${low} to ${measured(high ?? 0, character.unit)}, rarely ${rarelyLow} to ${rarelyHigh}`
    })
    .join('; ')
}
