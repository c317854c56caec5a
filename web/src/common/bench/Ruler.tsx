import type { PointerEvent } from 'react'
import type { Character, Sheet } from '../../api/types'
import { markPath } from '../../draw/markPath'
import { usePhone } from '../../ui/useNarrow'
import { measured } from '../../ui/words'
import { type Errors, meanOf, rounded, type Scale, scaleOf, shareOn, ticksOf } from './rulerScale'

const ROW = 25 // units, as the next
const TOP = 24
const EDGE = 70 // units from the end of the ruler, within which words that stand in the middle of a value would be cut

/** How a ruler is laid out: its width and the room for names, in units; letters of a name on one line; every how manyth tick is named. */
type Layout = {
  readonly width: number
  readonly left: number
  readonly line: number
  readonly named: number
}

const WIDE: Layout = { width: 600, left: 138, line: 16, named: 1 }
const PHONE: Layout = { width: 350, left: 112, line: 12, named: 2 }

type Props = {
  readonly sheet: Sheet
  readonly character: Character
  readonly values: readonly number[]
  readonly errors?: Errors
  readonly covered: boolean
  readonly onDrop: (value: number) => void
}

/** Each candidate's range as a ribbon on one ruler, the usual part broad and the rare part narrow; values drop on it. */
export function Ruler({ sheet, character, values, errors = [], covered, onDrop }: Props) {
  const layout = usePhone() ? PHONE : WIDE
  const { width, left } = layout
  const scale = scaleOf(character)
  const place = (value: number) => left + shareOn(scale, value) * (width - left - 8)
  const bottom = TOP + ROW * sheet.taxa.length
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  const drop = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    const x = ((event.clientX - box.left) / box.width) * width
    const value = scale.from + ((x - left) / (width - left - 8)) * (scale.to - scale.from)
    if (x >= left && value >= 0) onDrop(rounded(Math.round(value / scale.step) * scale.step))
  }
  return (
    <svg
      viewBox={`0 0 ${width} ${bottom + 32}`}
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
          <Name words={taxon.commonName} line={layout.line} />
          {!covered && <Ribbon range={character.profiles[i]?.range ?? undefined} place={place} />}
        </g>
      ))}
      <Axis layout={layout} scale={scale} place={place} bottom={bottom} unit={character.unit ?? ''} />
      {values.map((value, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: the same number may be read twice
          key={i}
          d={`M${place(value)},20l-5,-11h10Z`}
          className="fill-thistle"
        />
      ))}
      {values.map((value, i) => {
        const error = errors[i]
        return error ? (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: the same number may be read twice
            key={i}
            d={`M${place(value - error)},11v8m0,-4H${place(value + error)}m0,-4v8`}
            className="fill-none stroke-thistle"
            strokeWidth="2"
          />
        ) : null
      })}
      {values.length > 0 && (
        <>
          <path d={`M${place(mean)},20V${bottom}`} className="stroke-thistle" strokeWidth="2" />
          <text
            {...(place(mean) > width - EDGE
              ? { x: width - 6, textAnchor: 'end' }
              : { x: place(mean), textAnchor: 'middle' })}
            y={bottom + 29}
            className="fill-thistle text-[13px] font-bold"
          >
            {mean < scale.from && '← '}mean {meanOf(values, errors)}
            {character.unit ? ` ${character.unit}` : ''}
            {mean > scale.to && ' →'}
          </text>
        </>
      )}
    </svg>
  )
}

/** A name beside the ruler, on two lines where one would be cut. */
function Name({ words, line: longest }: { readonly words: string; readonly line: number }) {
  const cut = words.length > longest ? words.lastIndexOf(' ', longest) : -1
  const lines = cut > 0 ? [words.slice(0, cut), words.slice(cut + 1)] : [words]
  return lines.map((line, i) => (
    <text key={line} x="26" y={lines.length > 1 ? 9 + 12 * i : 15.5} className="fill-ink text-[13px]">
      {line}
    </text>
  ))
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
  readonly layout: Layout
  readonly scale: Scale
  readonly place: (value: number) => number
  readonly bottom: number
  readonly unit: string
}

function Axis({ layout, scale, place, bottom, unit }: AxisProps) {
  const ticks = ticksOf(scale)
  return (
    <>
      <path d={`M${layout.left},${bottom}H${layout.width - 8}`} className="stroke-ink" />
      {ticks.map((value, i) => (
        <g key={value}>
          <path d={`M${place(value)},${bottom - 4}V${bottom}`} className="stroke-ink" />
          {(ticks.length - 1 - i) % layout.named === 0 && (
            <text
              x={place(value)}
              y={bottom + 14}
              textAnchor="middle"
              className="figure fill-ink text-[13px]"
            >
              {i === ticks.length - 1 ? measured(value, unit) : value}
            </text>
          )}
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
