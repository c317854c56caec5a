import type { Tap } from '../../reckoner/questions'

const LONGEST = 2400 // pixels of a side, so that it is not larger than a reviewer looks at
const QUALITY = 0.86

type Shown = { readonly taps: readonly (readonly Tap[])[]; readonly words: string }

/** A photo with its measures drawn on, as it is kept for whoever decides a case. */
export async function annotated(
  { address, width, height }: { readonly address: string; readonly width: number; readonly height: number },
  scale: readonly Tap[],
  leaves: readonly Shown[],
): Promise<Blob> {
  const share = Math.min(1, LONGEST / Math.max(width, height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(width * share)
  canvas.height = Math.round(height * share)
  const paper = canvas.getContext('2d')
  if (!paper) throw new Error('this browser has no canvas')
  const image = new Image()
  image.src = address
  await image.decode()
  paper.drawImage(image, 0, 0, canvas.width, canvas.height)
  const thick = Math.max(2, canvas.width / 500)
  const style = getComputedStyle(document.documentElement)
  const ink = (name: string) => style.getPropertyValue(`--color-${name}`)
  const line = (through: readonly Tap[], colour: string) => {
    for (const [width, tint] of [
      [thick * 2.4, ink('card')],
      [thick, colour],
    ] as const) {
      paper.lineWidth = width
      paper.strokeStyle = tint
      paper.beginPath()
      for (const { x, y } of through) paper.lineTo(x * share, y * share)
      paper.stroke()
      for (const { x, y } of through) {
        paper.beginPath()
        paper.arc(x * share, y * share, thick * 3, 0, 2 * Math.PI)
        paper.stroke()
      }
    }
  }
  line(scale, ink('slate'))
  paper.font = `bold ${thick * 12}px sans-serif`
  paper.textBaseline = 'bottom'
  for (const { taps, words } of leaves) {
    for (const through of taps) if (through.length > 0) line(through, ink('thistle'))
    const first = taps.flat()[0]
    if (!first) continue
    paper.lineWidth = thick * 3
    paper.strokeStyle = ink('card')
    paper.fillStyle = ink('ink')
    const [x, y] = [first.x * share + thick * 6, first.y * share - thick * 4]
    paper.strokeText(words, x, y)
    paper.fillText(words, x, y)
  }
  return new Promise((give, fail) =>
    canvas.toBlob(
      (blob) => (blob ? give(blob) : fail(new Error('the photo could not be drawn'))),
      'image/jpeg',
      QUALITY,
    ),
  )
}
