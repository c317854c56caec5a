import { Check as Tick, X } from 'lucide-react'

const MARK =
  'flex min-h-12 items-center justify-center gap-1 rounded-plain border border-ink bg-card px-3 font-semibold hover:bg-thistle-wash aria-pressed:bg-ink aria-pressed:text-card forced-colors:aria-pressed:outline-4 forced-colors:aria-pressed:outline-solid'

type Props = {
  /** name of the item */
  readonly about: string
  readonly fits: boolean | undefined
  /** undefined takes the mark back */
  readonly onMark: (fits: boolean | undefined) => void
}

/** Whether a tree fits an item of the gate; the same button again takes it back. */
export function FitsOrFails({ about, fits, onMark }: Props) {
  return (
    <div className="grid max-w-72 grid-cols-2 gap-2">
      {[true, false].map((one) => (
        <button
          key={String(one)}
          type="button"
          className={MARK}
          aria-pressed={fits === one}
          onClick={() => onMark(fits === one ? undefined : one)}
        >
          {one ? <Tick aria-hidden className="size-5" /> : <X aria-hidden className="size-5" />}
          {one ? 'fits' : 'fails'}
          <span className="sr-only">: {about}</span>
        </button>
      ))}
    </div>
  )
}
