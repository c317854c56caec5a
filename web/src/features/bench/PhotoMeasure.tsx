import { Ruler as RulerSign } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { Link } from 'react-router'
import { useObserver } from '../../api/observer'
import type { Bench, Character, Sheet as GroupSheet, Taken } from '../../api/types'
import { parseNumbers } from '../../common/bench/numbers'
import { keepFile } from '../../common/bench/outboxFiles'
import { useEnter } from '../../common/bench/useEnter'
import type { PhotoTaken, Tapped, TapsOnPhoto } from '../../reckoner/questions'
import { figures } from '../../reckoner/reckoner'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { Sheet } from '../../ui/Sheet'
import { measured, withError } from '../../ui/words'
import { annotated } from './annotated'
import { PhotoStage } from './PhotoStage'
import { begun, type PhotoInHand, partAsked, photoInHand, takeInHand, withLeaves } from './photoInHand'
import {
  asking,
  CHECKED_BY,
  checking,
  type Leaf,
  linesOf,
  pointsOf,
  SCALES,
  type ScaleKind,
  TAPS,
} from './photoMarks'

const KINDS = 'image/jpeg,image/png,image/webp'
const ENDS = 2
const NO_ROOM =
  'This device has no room for the photo, so nothing was kept yet. Free some room and press Keep again.'
const NOT_DRAWN =
  'The measures could not be drawn on the photo here, so nothing was kept yet. Press Keep again, or type the values.'

type Props = {
  readonly bench: Bench
  readonly sheet: GroupSheet
  readonly character: Character
  readonly onAdd: (values: readonly number[], taken: readonly Taken[]) => void
}

type Picture = {
  readonly file: File
  readonly address: string
  readonly width: number
  readonly height: number
  /** what was measured on it before, for other characters of this tree */
  readonly before: PhotoInHand | undefined
}

/** Measures on a photo: it is taken or chosen, tapped, and kept with what was measured drawn on it. */
export function PhotoMeasure({ bench, sheet, character, onAdd }: Props) {
  const [picture, setPicture] = useState<Picture>()
  const [why, setWhy] = useState<string>()
  const field = useRef<HTMLInputElement>(null)
  const observer = useObserver().callSign
  const before = photoInHand(observer, bench.tree.id)
  const open = async (file: File, before?: PhotoInHand) => {
    const address = URL.createObjectURL(file)
    try {
      const { width, height } = await createImageBitmap(file)
      setPicture({ file, address, width, height, before })
      setWhy(undefined)
    } catch {
      URL.revokeObjectURL(address)
      setWhy(`“${file.name}” is no picture that can be shown here. Choose a JPEG, PNG or WebP.`)
    }
  }
  const choose = async (file: File | undefined) => {
    if (field.current) field.current.value = '' // so that the same file can be chosen again
    if (file) await open(file)
  }
  const close = () => {
    if (picture) URL.revokeObjectURL(picture.address)
    setPicture(undefined)
  }
  return (
    <>
      <input
        ref={field}
        type="file"
        accept={KINDS}
        className="sr-only"
        aria-label="Picture to measure on"
        tabIndex={-1}
        onChange={(event) => void choose(event.target.files?.[0])}
      />
      <Button onClick={() => field.current?.click()}>
        <RulerSign aria-hidden className="mr-2 inline size-4" />
        On a photo
      </Button>
      {before && (
        <Button onClick={() => void open(before.file, before)}>
          <RulerSign aria-hidden className="mr-2 inline size-4" />
          On the same photo
        </Button>
      )}
      {why && <Notice tone="wrong">{why}</Notice>}
      <Sheet
        title={`On a photo: ${character.name}`}
        open={picture !== undefined}
        wide
        onOpenChange={(stays) => !stays && close()}
      >
        {picture && (
          <Measuring
            picture={picture}
            bench={bench}
            sheet={sheet}
            character={character}
            onAdd={onAdd}
            onDone={close}
          />
        )}
      </Sheet>
    </>
  )
}

type MeasuringProps = Props & { readonly picture: Picture; readonly onDone: () => void }

function Measuring({ picture, bench, sheet, character, onAdd, onDone }: MeasuringProps) {
  const enter = useEnter(bench.tree)
  const observer = useObserver().callSign
  const { scaled } = picture.before ?? {}
  const known = scaled && !(character.needsScale && scaled.kind === 'none') ? scaled : undefined
  const [kind, setKind] = useState<ScaleKind>(known?.kind ?? (character.needsScale ? 'card' : 'none'))
  const [scale, setScale] = useState<readonly Tapped[]>(known?.scale ?? [])
  const [millimetres, setMillimetres] = useState(known?.millimetres ?? '')
  const [check, setCheck] = useState(known?.check)
  const [across, setAcross] = useState(known?.across ?? '')
  const [found] = useState(() => begun(character, picture.before))
  const leaf = (i: number) => found.open[i]?.taps ?? character.tapped.map(() => [])
  const [taps, setTaps] = useState<readonly (readonly Tapped[])[]>(() => leaf(0))
  const [part, setPart] = useState(() => partAsked(character, leaf(0)) ?? 0)
  const [leaves, setLeaves] = useState<readonly Leaf[]>([])
  const [keeping, setKeeping] = useState(false)
  const [unkept, setUnkept] = useState<string>()
  const along = parseNumbers(millimetres, false).numbers[0] ?? 0
  const isChecked = check?.length === ENDS
  const restart = () => {
    setScale([])
    setCheck(undefined)
    setAcross('')
  }
  const hasScale = scale.length === TAPS[kind] && (kind !== 'ruler' || along > 0)
  const taken = useOnPhoto(
    sheet.versionId,
    character.id,
    {
      taps,
      scale,
      millimetres: kind === 'ruler' ? along : 0,
      ...(isChecked ? { check, checkMillimetres: parseNumbers(across, false).numbers[0] ?? 0 } : {}),
    },
    hasScale,
  )
  const asked = character.tapped[part]
  const done = [...found.done, ...leaves.map((one) => one.taps)]

  const tap = (at: Tapped) => {
    if (scale.length < TAPS[kind]) {
      setScale([...scale, at])
      return
    }
    if (check && !isChecked) {
      setCheck([...check, at])
      return
    }
    if (!asked || taken?.scaleRefused || (taps[part]?.length ?? 0) >= asked.most) return
    const next = taps.map((one, i) => (i === part ? [...one, at] : one))
    setTaps(next)
    // a line of two ends is one; what is counted goes on until somebody says that it is all
    const enough = asked.fewest > 0 && (next[part]?.length ?? 0) >= asked.fewest
    if (enough) setPart(partAsked(character, next) ?? part)
  }
  const move = (id: string, at: Tapped) => {
    const [of = '', place = ''] = id.split(' ')
    if (of === 'scale') setScale(scale.map((one, i) => (i === Number(place) ? at : one)))
    else if (of === 'check') setCheck(check?.map((one, i) => (i === Number(place) ? at : one)))
    else
      setTaps(
        taps.map((one, i) =>
          i === Number(of) ? one.map((two, k) => (k === Number(place) ? at : two)) : one,
        ),
      )
  }
  const undo = () => {
    const last = taps.findLastIndex((one) => one.length > 0)
    if (last >= 0) {
      setTaps(taps.map((one, i) => (i === last ? one.slice(0, -1) : one)))
      setPart(last)
    } else if (check) setCheck(check.length > 0 ? check.slice(0, -1) : undefined)
    else setScale(scale.slice(0, -1))
  }
  const take = () => {
    if (taken?.value === undefined) return
    const next = leaf(leaves.length + 1)
    setLeaves([...leaves, { taps, taken }])
    setTaps(next)
    setPart(partAsked(character, next) ?? 0)
  }
  const finish = async () => {
    const all = taken?.value === undefined ? leaves : [...leaves, { taps, taken }]
    const values = all.map((one) => one.taken.value ?? 0)
    if (values.length === 0) return onDone()
    setKeeping(true)
    const shown = all.map((one) => ({
      taps: one.taps,
      words: withError(one.taken.value ?? 0, one.taken.error, character.unit),
    }))
    const drawn = await annotated(picture, scale, shown).catch(() => undefined)
    const id = crypto.randomUUID()
    const kept =
      drawn &&
      (await keepFile(id, drawn).then(
        () => true,
        () => false,
      ))
    if (!kept) {
      setUnkept(drawn ? NO_ROOM : NOT_DRAWN)
      setKeeping(false)
      return
    }
    enter({ kind: 'photo', character: character.id, name: picture.file.name, sizeBytes: drawn.size }, id)
    const photo = {
      file: picture.file,
      scaled: { kind, scale, millimetres, check, across },
      passes: picture.before?.passes ?? [],
    }
    takeInHand(observer, bench.tree.id, withLeaves(photo, character, found, all))
    onAdd(
      values,
      all.map((one) => ({ error: one.taken.error ?? null })),
    )
    onDone()
  }
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end gap-3">
        <OneOf
          label="What tells how large things are"
          options={SCALES.filter((one) => one.value !== 'none' || !character.needsScale)}
          value={kind}
          onChange={(next) => {
            setKind(next)
            restart()
          }}
        />
        {kind === 'ruler' && (
          <Millimetres words="mm between the two taps" value={millimetres} onChange={setMillimetres} />
        )}
        {kind === 'ruler' && check && (
          <Millimetres words="mm between the two across" value={across} onChange={setAcross} />
        )}
        {kind !== 'none' && hasScale && !check && (
          <Button onClick={() => setCheck([])}>{CHECKED_BY[kind]}</Button>
        )}
        {!hasScale && (
          <Link to="/scale-card" target="_blank" className="min-h-11 content-center text-thistle underline">
            Print the scale card
          </Link>
        )}
      </div>
      <p role="status" className="min-h-12 leading-tight">
        <strong>
          {taken?.scaleRefused
            ? ''
            : check && !isChecked
              ? checking(kind, check.length)
              : asking(kind, scale.length, hasScale, asked, taps[part]?.length ?? 0)}
        </strong>{' '}
        {taken?.bar !== undefined && (
          <span>
            The bar comes out at{' '}
            <span className="figure">{measured(Number(taken.bar.toFixed(1)), 'mm')}</span>: the card lies
            flat.{' '}
          </span>
        )}
        {taken?.value !== undefined && (
          <span className="figure text-lg">
            {withError(taken.value, taken.error, character.unit)}
            {taken.coarse && (
              <span className="font-text text-base text-rust-ink">
                {' '}
                too coarse to settle it: come nearer with the camera
              </span>
            )}
          </span>
        )}
        {hasScale &&
          taken?.refused &&
          taps.every((one, i) => one.length >= (character.tapped[i]?.fewest ?? 0)) && (
            <span className="text-rust-ink">{taken.refused}</span>
          )}
        {taken?.scaleRefused && (
          <span className="text-rust-ink">{taken.scaleRefused}. Take points back, or move them.</span>
        )}
      </p>
      <div className="h-[52dvh] max-sm:h-[40dvh]">
        <PhotoStage
          address={picture.address}
          width={picture.width}
          height={picture.height}
          points={pointsOf(character, scale, check ?? [], taps, done)}
          lines={linesOf(kind, scale, check ?? [], taps, done, taken)}
          onTap={tap}
          onMove={move}
        />
      </div>
      <div className="flex flex-wrap gap-2">
        <Button className="max-sm:order-last" onClick={undo}>
          Take the last point back
        </Button>
        {part + 1 < character.tapped.length && asked?.fewest === 0 && (
          <Button onClick={() => setPart(part + 1)}>That is all of {asked.words}</Button>
        )}
        <Button disabled={taken?.value === undefined} onClick={take}>
          Next one on this photo
        </Button>
        <Button look="main" disabled={keeping} onClick={() => void finish()}>
          {leaves.length + (taken?.value === undefined ? 0 : 1) === 0
            ? 'Close'
            : `Keep ${leaves.length + (taken?.value === undefined ? 0 : 1)}`}
        </Button>
      </div>
      {unkept && <Notice tone="wrong">{unkept}</Notice>}
    </div>
  )
}

type MillimetresProps = {
  readonly words: string
  readonly value: string
  readonly onChange: (text: string) => void
}

function Millimetres({ words, value, onChange }: MillimetresProps) {
  return (
    <label className="font-semibold">
      {words}
      <input
        className="figure ml-2 min-h-11 w-20 rounded-plain border border-edge bg-card px-3"
        inputMode="decimal"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  )
}

/** What comes of the taps, as they are made and moved. */
function useOnPhoto(
  versionId: string,
  character: string,
  photo: TapsOnPhoto,
  ready: boolean,
): PhotoTaken | undefined {
  const key = JSON.stringify(photo)
  const [told, setTold] = useState<{ readonly key: string; readonly taken: PhotoTaken }>()
  useEffect(() => {
    if (!ready) return
    let wanted = true
    figures.ask({ what: 'onPhoto', versionId, character, photo: JSON.parse(key) }).then(
      (taken) => wanted && setTold({ key, taken }),
      (broken: Error) => wanted && setTold({ key, taken: { refused: broken.message } }),
    )
    return () => {
      wanted = false
    }
  }, [versionId, character, key, ready])
  return ready && told?.key === key ? told.taken : undefined
}
