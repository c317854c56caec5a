import { type ReactNode, useId, useState } from 'react'
import { ALLOWED, isDrawable } from '../../common/draft/drawable'
import type { DrawFile } from '../../common/draft/sheetFile'
import { drawnWith } from '../../draw/draw'
import { OWN_PICTURE } from '../../draw/ownPicture'
import type { Allowed } from '../../draw/parameters'
import { Button } from '../../ui/Button'
import { Drawing } from '../../ui/Drawing'
import { Sheet } from '../../ui/Sheet'
import { drawingsByOrgan, settingWords } from './drawingWords'
import { Factor } from './Factors'
import { OwnPicture } from './OwnPicture'

type Props = {
  readonly of: string
  readonly draw: DrawFile | null | undefined
  /** Whether it is the figure of a measured character, of which there is one part. */
  readonly measured: boolean
  readonly disabled: boolean
  readonly onChange: (draw: DrawFile | null) => void
}

/** A drawing and what it is drawn with; it changes as that does. */
export function DrawHint({ of, draw, measured, disabled, onChange }: Props) {
  const [choosing, setChoosing] = useState(false)
  const allowed = draw ? [...(ALLOWED.get(draw.part) ?? [])] : []
  const drawn = drawnOf(draw)
  return (
    <div className="grid gap-2">
      <div className="flex items-start gap-4">
        <div className="grid size-36 shrink-0 place-items-center rounded-plain border border-line bg-card">
          <Shown draw={draw} />
        </div>
        <div className="grid gap-1">
          <Button disabled={disabled} onClick={() => setChoosing(true)}>
            <span className="sr-only">{of}: </span>
            {draw ? 'Another drawing …' : 'Choose a drawing …'}
          </Button>
          {!measured && <OwnPicture of={of} disabled={disabled} onChoose={onChange} />}
          {draw && (
            <Button look="quiet" disabled={disabled} onClick={() => onChange(null)}>
              <span className="sr-only">{of}: </span>
              Words alone
            </Button>
          )}
        </div>
      </div>
      {draw &&
        allowed.map(([name, kind]) => (
          <Setting
            key={name}
            of={of}
            name={name}
            kind={kind}
            draw={draw}
            drawn={drawn?.get(name)}
            disabled={disabled}
            onChange={(value) => {
              const { [name]: _, ...others } = draw
              onChange((value === undefined ? others : { ...others, [name]: value }) as DrawFile)
            }}
          />
        ))}
      <Sheet title={`What is drawn for “${of}”?`} open={choosing} onOpenChange={setChoosing}>
        <Chooser
          measured={measured}
          chosen={draw?.part}
          onChoose={(next) => {
            onChange(next)
            setChoosing(false)
          }}
        />
      </Sheet>
    </div>
  )
}

function drawnOf(draw: DrawFile | null | undefined) {
  if (!draw || !isDrawable(draw) || draw.part === OWN_PICTURE) return undefined
  const { part, ...parameters } = draw
  return drawnWith(part, parameters)
}

type ChooserProps = {
  readonly measured: boolean
  readonly chosen: string | undefined
  readonly onChoose: (draw: DrawFile) => void
}

/** Every drawing as a picture, by part of the plant. */
function Chooser({ measured, chosen, onChoose }: ChooserProps) {
  const what = ALLOWED.get('measured')?.get('what')
  const groups: readonly (readonly [string, readonly DrawFile[]])[] = measured
    ? [['', (what?.kind === 'word' ? what.words : []).map((word) => ({ part: 'measured', what: word }))]]
    : drawingsByOrgan().map(([organ, parts]) => [organ, parts.map((part) => ({ part }))])
  return (
    <div className="grid gap-4">
      {groups.map(([organ, drawings]) => (
        <section key={organ} aria-label={organ || 'What is measured'}>
          {organ !== '' && <h3 className="mb-1 text-base">{organ}</h3>}
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(6rem,1fr))] gap-2">
            {drawings.map((one) => {
              const name = `${one.what ?? one.part}`.replaceAll('-', ' ')
              return (
                <li key={name}>
                  <button
                    type="button"
                    aria-pressed={!measured && one.part === chosen}
                    onClick={() => onChoose(one)}
                    className="grid w-full place-items-center gap-1 rounded-plain border border-line bg-card p-1 text-sm leading-tight hover:bg-thistle-wash aria-pressed:border-3 aria-pressed:border-ink"
                  >
                    <Shown draw={one} size="size-20" />
                    {name}
                  </button>
                </li>
              )
            })}
          </ul>
        </section>
      ))}
    </div>
  )
}

function Shown({
  draw,
  size = 'size-32',
}: {
  readonly draw: DrawFile | null | undefined
  readonly size?: string
}) {
  if (!draw) return <span className="p-2 text-center text-sm text-quiet">words alone</span>
  const { part, ...parameters } = draw
  if (!isDrawable(draw))
    return <span className="p-2 text-center text-sm text-rust-ink">cannot be drawn so</span>
  return <Drawing hint={{ part, parameters }} className={size} />
}

type Value = string | number | boolean

type SettingProps = {
  readonly of: string
  readonly name: string
  readonly kind: Allowed
  readonly draw: DrawFile
  /** What it is drawn with now, whether somebody said so or not; undefined: it cannot be drawn. */
  readonly drawn: unknown
  readonly disabled: boolean
  readonly onChange: (value: Value | undefined) => void
}

/** One setting of a drawing: a slider, a tick, or pictures to choose from. */
function Setting({ of, name, kind, draw, drawn, disabled, onChange }: SettingProps) {
  const words = settingWords(name)
  const said = draw[name]
  if (kind.kind === 'number') {
    return (
      <Factor
        label={words}
        value={typeof drawn === 'number' ? drawn : typeof said === 'number' ? said : kind.least}
        least={kind.least}
        most={kind.most}
        step={Number.isInteger(kind.least) && Number.isInteger(kind.most) && kind.most > 1 ? 1 : 0.01}
        wide
        disabled={disabled}
        onChange={onChange}
      />
    )
  }
  if (kind.kind === 'flag') {
    return (
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          checked={drawn === true}
          disabled={disabled}
          onChange={(event) => onChange(event.target.checked ? true : undefined)}
          className="size-5"
        />
        <span className="sr-only">{of}: </span>
        {words}
      </label>
    )
  }
  return (
    <Pictures label={`${of}: ${words}`} words={words}>
      {kind.words.map((word) => (
        <button
          key={word}
          type="button"
          aria-pressed={drawn === word}
          disabled={disabled}
          onClick={() => onChange(word)}
          className="grid w-20 place-items-center rounded-plain border border-line bg-card p-1 text-sm leading-tight enabled:hover:bg-thistle-wash aria-pressed:border-3 aria-pressed:border-ink aria-pressed:font-bold"
        >
          <Shown draw={{ ...draw, [name]: word }} size="size-14" />
          {word.replaceAll('-', ' ')}
        </button>
      ))}
    </Pictures>
  )
}

function Pictures({
  label,
  words,
  children,
}: {
  readonly label: string
  readonly words: string
  readonly children: ReactNode
}) {
  const id = useId()
  return (
    <div>
      <p id={id} className="leading-tight">
        <span className="sr-only">{label.slice(0, label.length - words.length)}</span>
        {words}
      </p>
      <fieldset aria-labelledby={id} className="flex flex-wrap gap-1.5">
        {children}
      </fieldset>
    </div>
  )
}
