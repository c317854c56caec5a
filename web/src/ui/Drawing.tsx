import { memo } from 'react'
import type { DrawingHint } from '../api/types'
import { draw } from '../draw/draw'
import type { Value } from '../draw/measured/figure'
import { ownPictureOf } from '../draw/ownPicture'
import type { Picture, Role } from '../draw/picture'

const FILL: Readonly<Record<Role, string>> = {
  ink: 'fill-ink',
  hatch: 'fill-quiet',
  leaf: 'fill-leaf',
  paper: 'fill-card',
  wood: 'fill-wood',
  dark: 'fill-draw-dark',
  pale: 'fill-draw-pale',
  rust: 'fill-draw-rust',
  red: 'fill-draw-red',
  lemon: 'fill-draw-lemon',
  cream: 'fill-draw-cream',
  orange: 'fill-draw-orange',
  water: 'fill-draw-water',
  straw: 'fill-draw-straw',
  brown: 'fill-draw-brown',
  grey: 'fill-draw-grey',
  green: 'fill-draw-green',
  fresh: 'fill-draw-fresh',
  sage: 'fill-draw-sage',
  bloom: 'fill-draw-bloom',
  pink: 'fill-draw-pink',
  measure: 'fill-thistle',
}

type Drawn = { readonly width: number; readonly height: number; readonly paths: string }

/** A picture with its paths as text: a hundred of them are put on the page in one go, where React would put one by one. */
function drawnOf(picture: Picture | undefined): Drawn | undefined {
  return (
    picture && {
      width: picture.width,
      height: picture.height,
      paths: picture.marks
        .map(
          (mark) =>
            `<path d="${mark.d}" class="${FILL[mark.role]}"${mark.part === undefined ? '' : ` data-part="${mark.part}"`}/>`,
        )
        .join(''),
    }
  )
}

const drawn = new WeakMap<DrawingHint, Drawn | undefined>()

/** The picture of a hint, made once as long as the sheet is at hand; to a value it is made anew. */
function pictureOf(hint: DrawingHint, value: Value | undefined): Drawn | undefined {
  if (value) return drawnOf(draw(hint.part, hint.parameters, value))
  if (!drawn.has(hint)) drawn.set(hint, drawnOf(draw(hint.part, hint.parameters)))
  return drawn.get(hint)
}

type Props = {
  readonly hint: DrawingHint
  readonly className: string
  /** To which a measured figure is drawn. */
  readonly value?: Value
  /** Which part of what it shows is asked for now, from 0; the others step back. */
  readonly asked?: number | undefined
}

/** A state as the sheet wants it drawn, or a picture of its own. The words beside it say the same, so it has none. */
export const Drawing = memo(function Drawing({ hint, className, value, asked }: Props) {
  const own = ownPictureOf(hint.part, hint.parameters)
  if (own) {
    return (
      <svg viewBox="0 0 200 200" className={`drawing ${className}`} aria-hidden="true">
        <image href={own} width="200" height="200" preserveAspectRatio="xMidYMid meet" />
      </svg>
    )
  }
  const picture = pictureOf(hint, value)
  if (!picture) return null
  return (
    <svg
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      className={`drawing ${className}`}
      aria-hidden="true"
      data-asked={asked}
      // biome-ignore lint/security/noDangerouslySetInnerHtml: it holds numbers and the names of fills, and nothing that anybody typed
      dangerouslySetInnerHTML={{ __html: picture.paths }}
    />
  )
})

/** The marks of a picture, for whoever lays something over them. */
export function PictureMarks({ picture }: { readonly picture: Picture }) {
  return picture.marks.map((mark, i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: marks have no name but their place
    <path key={i} d={mark.d} className={FILL[mark.role]} />
  ))
}
