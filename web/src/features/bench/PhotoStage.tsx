import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState, type WheelEvent } from 'react'
import type { Tap, Tapped } from '../../reckoner/questions'

/** A point on the photo that can be moved. */
export type Marked = {
  readonly id: string
  readonly at: Tap
  readonly words: string
  readonly kind: 'scale' | 'part' | 'done'
}
export type Line = { readonly through: readonly Tap[]; readonly kind: Marked['kind'] | 'guide' }

type Props = {
  readonly address: string
  readonly width: number
  readonly height: number
  readonly points: readonly Marked[]
  readonly lines: readonly Line[]
  readonly onTap: (at: Tapped) => void
  readonly onMove: (id: string, at: Tapped) => void
}

const MOST_ZOOM = 12 // screen pixels for one of the photo
const NEAR = 22 // screen pixels within which a finger takes a point
const LOUPE = { size: 132, enlarged: 3 }
const STROKE: Readonly<Record<Line['kind'], string>> = {
  scale: 'stroke-slate',
  part: 'stroke-thistle',
  done: 'stroke-moss',
  guide: 'stroke-gold',
}

type View = { readonly zoom: number; readonly x: number; readonly y: number }

/**
 * A photo to tap on. A finger or the mouse sets a point where it is lifted, with what lies under it shown enlarged; two fingers or
 * the wheel bring the photo nearer; a point is taken and moved, by the arrows by a pixel of the screen.
 */
export function PhotoStage({ address, width, height, points, lines, onTap, onMove }: Props) {
  const stage = useRef<SVGSVGElement>(null)
  const [view, setView] = useState<View>({ zoom: 0, x: 0, y: 0 })
  const [finger, setFinger] = useState<{ readonly at: Tap; readonly taken: string | undefined }>()
  const fingers = useRef(new Map<number, Tap>())
  const pinched = useRef(false)

  useEffect(() => {
    const box = stage.current?.getBoundingClientRect()
    if (!box) return
    const zoom = Math.min(box.width / width, box.height / height)
    setView({ zoom, x: (box.width - zoom * width) / 2, y: (box.height - zoom * height) / 2 })
  }, [width, height])

  const onStage = (event: { readonly clientX: number; readonly clientY: number }): Tap => {
    const box = stage.current?.getBoundingClientRect()
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }
  }
  const onPhoto = ({ x, y }: Tap): Tapped => ({
    x: (x - view.x) / view.zoom,
    y: (y - view.y) / view.zoom,
    zoom: view.zoom,
  })
  const seen = ({ x, y }: Tap): Tap => ({ x: x * view.zoom + view.x, y: y * view.zoom + view.y })
  const nearer = (by: number, about: Tap) =>
    setView((before) => {
      const least = Math.min(before.zoom, 0.02)
      const zoom = Math.min(MOST_ZOOM, Math.max(least, before.zoom * by))
      const share = zoom / before.zoom
      return { zoom, x: about.x - (about.x - before.x) * share, y: about.y - (about.y - before.y) * share }
    })

  const down = (event: PointerEvent) => {
    stage.current?.setPointerCapture(event.pointerId)
    const at = onStage(event)
    fingers.current.set(event.pointerId, at)
    if (fingers.current.size > 1) {
      pinched.current = true
      setFinger(undefined)
      return
    }
    const near = points
      .filter((one) => one.kind !== 'done')
      .find((one) => Math.hypot(seen(one.at).x - at.x, seen(one.at).y - at.y) < NEAR)
    setFinger({ at, taken: near?.id })
  }
  const move = (event: PointerEvent) => {
    const before = fingers.current.get(event.pointerId)
    if (!before) return
    const at = onStage(event)
    fingers.current.set(event.pointerId, at)
    const other = [...fingers.current.entries()].find(([id]) => id !== event.pointerId)?.[1]
    if (other) {
      const [was, is] = [
        Math.hypot(before.x - other.x, before.y - other.y),
        Math.hypot(at.x - other.x, at.y - other.y),
      ]
      nearer(is / (was || 1), { x: (at.x + other.x) / 2, y: (at.y + other.y) / 2 })
      setView((one) => ({ ...one, x: one.x + (at.x - before.x) / 2, y: one.y + (at.y - before.y) / 2 }))
    } else if (event.shiftKey) {
      setFinger(undefined)
      setView((one) => ({ ...one, x: one.x + at.x - before.x, y: one.y + at.y - before.y }))
    } else if (finger) {
      setFinger({ ...finger, at })
      if (finger.taken) onMove(finger.taken, onPhoto(at))
    }
  }
  const up = (event: PointerEvent) => {
    fingers.current.delete(event.pointerId)
    if (finger && !pinched.current && !finger.taken) {
      const at = onPhoto(onStage(event))
      if (at.x >= 0 && at.y >= 0 && at.x <= width && at.y <= height) onTap(at)
    }
    setFinger(undefined)
    if (fingers.current.size === 0) pinched.current = false
  }
  const press = (event: KeyboardEvent, one: Marked) => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key]
    if (!step) return
    event.preventDefault()
    const { zoom } = view
    onMove(one.id, { x: one.at.x + (step[0] ?? 0) / zoom, y: one.at.y + (step[1] ?? 0) / zoom, zoom })
  }
  const place = `translate(${view.x} ${view.y}) scale(${view.zoom})`
  return (
    <div className="relative h-full min-h-64 w-full touch-none overflow-hidden rounded-plain border border-ink bg-ink">
      <svg
        ref={stage}
        className="absolute inset-0 size-full cursor-crosshair"
        role="application"
        aria-label="The photo; a tap sets a point"
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={up}
        onWheel={(event: WheelEvent) => nearer(event.deltaY < 0 ? 1.25 : 0.8, onStage(event))}
      >
        <g transform={place}>
          <image href={address} width={width} height={height} />
          {lines.map((line) => (
            <polyline
              key={line.kind + line.through.map((one) => `${one.x},${one.y}`).join(' ')}
              points={line.through.map((one) => `${one.x},${one.y}`).join(' ')}
              className={`${STROKE[line.kind]} fill-none`}
              strokeWidth={(line.kind === 'guide' ? 1.5 : 2.5) / view.zoom}
              strokeDasharray={line.kind === 'guide' ? `${8 / view.zoom} ${5 / view.zoom}` : undefined}
            />
          ))}
        </g>
        {points.map((one) => {
          const { x, y } = seen(one.at)
          return (
            <g key={one.id} transform={`translate(${x} ${y})`}>
              <circle r="7" className="fill-none stroke-card" strokeWidth="4" />
              {/* biome-ignore lint/a11y/useSemanticElements: a point of a drawing cannot be a button of HTML */}
              <circle
                r="7"
                role="button"
                tabIndex={one.kind === 'done' ? -1 : 0}
                aria-label={one.words}
                onKeyDown={(event) => press(event, one)}
                className={`${STROKE[one.kind]} fill-none outline-offset-4`}
                strokeWidth="2"
              />
              <circle r="1.3" className="fill-ink stroke-card" strokeWidth="0.6" />
            </g>
          )
        })}
      </svg>
      {finger && <Loupe at={finger.at} address={address} width={width} height={height} view={view} />}
    </div>
  )
}

type LoupeProps = Pick<Props, 'address' | 'width' | 'height'> & { readonly at: Tap; readonly view: View }

/** What lies under the finger, enlarged, in the corner that the finger does not cover. */
function Loupe({ at, address, width, height, view }: LoupeProps) {
  const { size, enlarged } = LOUPE
  const zoom = view.zoom * enlarged
  const left = at.x > size * 1.6 || at.y > size * 1.6
  return (
    <svg
      aria-hidden="true"
      className={`pointer-events-none absolute top-2 size-33 rounded-full border-3 border-card bg-ink ${left ? 'left-2' : 'right-2'}`}
      viewBox={`0 0 ${size} ${size}`}
    >
      <g
        transform={`translate(${size / 2 - (at.x - view.x) * enlarged} ${size / 2 - (at.y - view.y) * enlarged}) scale(${zoom})`}
      >
        <image href={address} width={width} height={height} />
      </g>
      <path d={`M${size / 2} 40v52M40 ${size / 2}h52`} className="stroke-card" strokeWidth="3" />
      <path d={`M${size / 2} 40v52M40 ${size / 2}h52`} className="stroke-thistle" strokeWidth="1.2" />
    </svg>
  )
}
