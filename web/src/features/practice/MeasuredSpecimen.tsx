import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react'
import type { Character } from '../../api/types'
import { outermost, rounded, valueOn } from '../../common/bench/rulerScale'
import { draw } from '../../draw/draw'
import type { Picture } from '../../draw/picture'
import { PictureMarks } from '../../ui/Drawing'
import { measured } from '../../ui/words'
import { AT_HAND, shownAs } from './specimenScale'

const BOX = 200 // units of a picture
const LONG = 230 // units of the ruler
const STEP = 2 // units, by a key
const TURN = 3 // degrees, by a key

type Props = { readonly character: Character; readonly value: number }

/** A leaf, cone or bud of a number: measured with a ruler that is laid on it, or counted; in words where it cannot be drawn so. */
export function MeasuredSpecimen({ character, value }: Props) {
  const hint = character.figure
  const picture = hint && draw(hint.part, hint.parameters, valueOn(character, value))
  if (!picture) return <InWords character={character} value={value} />
  const shown = shownAs(character, value, picture)
  switch (shown.how) {
    case 'count':
      return (
        <svg
          viewBox={`0 0 ${BOX} ${BOX}`}
          className="drawing mx-auto h-72 w-full"
          role="img"
          aria-label="Something to count"
        >
          <PictureMarks
            picture={{ ...picture, marks: picture.marks.filter((mark) => mark.role !== 'measure') }}
          />
        </svg>
      )
    case 'ruler':
      return <WithRuler character={character} picture={picture} scale={shown.millimetresAUnit} />
    default:
      return <InWords character={character} value={value} />
  }
}

type RulerProps = { readonly character: Character; readonly picture: Picture; readonly scale: number }

function WithRuler({ character, picture, scale }: RulerProps) {
  const [place, setPlace] = useState({ x: 12, y: 214, turn: 0 })
  const held = useRef<{ readonly x: number; readonly y: number }>(undefined)
  const sheet = useRef<SVGSVGElement>(null)
  const turnTo = (turn: number) => setPlace((was) => ({ ...was, turn }))
  const at = (event: PointerEvent) => {
    const matrix = sheet.current?.getScreenCTM()?.inverse()
    return new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
  }
  const press = (event: KeyboardEvent) => {
    const move = {
      ArrowLeft: { x: -STEP },
      ArrowRight: { x: STEP },
      ArrowUp: { y: -STEP },
      ArrowDown: { y: STEP },
      '[': { turn: -TURN },
      ']': { turn: TURN },
    }[event.key]
    if (!move) return
    event.preventDefault()
    event.stopPropagation()
    setPlace((was) => ({
      x: was.x + ('x' in move ? move.x : 0),
      y: was.y + ('y' in move ? move.y : 0),
      turn: was.turn + ('turn' in move ? move.turn : 0),
    }))
  }
  return (
    <div>
      <svg
        ref={sheet}
        viewBox={`-20 -10 ${BOX + 60} ${BOX + 70}`}
        className="drawing mx-auto h-80 w-full touch-none select-none"
      >
        <title>Something to measure, and a ruler</title>
        <PictureMarks picture={picture} />
        <g
          role="slider"
          tabIndex={0}
          aria-label="Ruler: arrows move it, [ and ] turn it"
          aria-valuenow={Math.round(place.turn)}
          aria-valuetext={`at ${Math.round(place.x)}, ${Math.round(place.y)}, turned by ${place.turn} degrees`}
          transform={`translate(${place.x} ${place.y}) rotate(${place.turn})`}
          className="cursor-grab"
          onKeyDown={press}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId)
            const { x, y } = at(event)
            held.current = { x: x - place.x, y: y - place.y }
          }}
          onPointerMove={(event) => {
            const from = held.current
            if (!from) return
            const { x, y } = at(event)
            setPlace((was) => ({ ...was, x: x - from.x, y: y - from.y }))
          }}
          onPointerUp={() => {
            held.current = undefined
          }}
        >
          <RulerFace scale={scale} />
        </g>
      </svg>
      <p className="flex flex-wrap items-center gap-2">
        <Turner words="Upright or flat" onTurn={() => turnTo(place.turn === 0 ? -90 : 0)} />
        <Turner words="↺ a little" onTurn={() => turnTo(place.turn - TURN)} />
        <Turner words="↻ a little" onTurn={() => turnTo(place.turn + TURN)} />
        <span className="text-quiet">
          Drag the ruler onto{' '}
          {character.parts.map((part) => part.words).join(', then ') || 'what is measured'} and read it in mm.
        </span>
      </p>
    </div>
  )
}

function Turner({ words, onTurn }: { readonly words: string; readonly onTurn: () => void }) {
  return (
    <button
      type="button"
      className="min-h-11 rounded-plain border border-ink bg-card px-3 font-semibold"
      onClick={onTurn}
    >
      {words}
    </button>
  )
}

/** Ticks a millimetre apart where there is room, numbered every five or ten. */
function RulerFace({ scale }: { readonly scale: number }) {
  const unit = 1 / scale // of the picture, a millimetre
  const fine = unit >= 12 ? 0.1 : unit >= 5 ? 0.5 : unit >= 2 ? 1 : 5
  const labelled = fine * (fine === 1 || fine === 0.1 ? 10 : 2) >= 1 ? fine * 10 : fine * 2
  const ticks = Math.floor(LONG / unit / fine)
  return (
    <>
      <rect
        width={LONG}
        height="26"
        className="fill-gold-wash stroke-ink"
        strokeWidth="0.8"
        fillOpacity="0.85"
      />
      {Array.from({ length: ticks + 1 }, (_, i) => {
        const millimetres = Math.round(i * fine * 10) / 10
        const x = i * fine * unit
        const isLabelled = Math.abs(millimetres / labelled - Math.round(millimetres / labelled)) < 1e-6
        const isHalf =
          Math.abs((2 * millimetres) / labelled - Math.round((2 * millimetres) / labelled)) < 1e-6
        return (
          <g key={millimetres}>
            <path
              d={`M${x},0v${isLabelled ? 10 : isHalf ? 7 : 4.5}`}
              className="stroke-ink"
              strokeWidth="0.7"
              fill="none"
            />
            {isLabelled && (
              <text x={x} y="19" textAnchor="middle" fontSize="8" className="fill-ink">
                {rounded(millimetres)}
              </text>
            )}
          </g>
        )
      })}
    </>
  )
}

/** Where no figure can show it truly: what a ruler says, which is still to be divided and read. */
function InWords({ character, value }: Props) {
  const [, most] = outermost(character)
  const parts = character.parts ?? []
  const isRatio = character.kind === 'ratio' && parts.length === 2
  const second = isRatio ? AT_HAND / Math.max(1, most) : undefined
  return (
    <p className="grid h-40 content-center text-center">
      <span className="text-quiet">This cannot be drawn truly, so it is told:</span>
      <strong className="figure text-lg">
        {second === undefined
          ? `${parts[0]?.words ?? character.name}: ${measured(rounded(Number(value.toFixed(2))), character.unit)}`
          : `${parts[0]?.words} ${rounded(Number((value * second).toFixed(1)))} mm, ${parts[1]?.words} ${rounded(Number(second.toFixed(1)))} mm`}
      </strong>
    </p>
  )
}
