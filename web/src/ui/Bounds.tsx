import { Slider } from 'radix-ui'
import type { ReactNode } from 'react'

type Props = {
  /** What each bound is called, in their order. */
  readonly labels: readonly string[]
  readonly values: readonly number[]
  readonly least?: number
  readonly most: number
  readonly step: number
  readonly disabled: boolean
  readonly onChange: (values: readonly number[]) => void
  readonly className?: string
  readonly trackClassName: string
  /** How tall the handles are. */
  readonly handle?: string
  /** What the bounds lie on. */
  readonly children: ReactNode
}

/** One or more bounds on a line, dragged or moved by the arrow keys; none passes another. */
export function Bounds({
  labels,
  values,
  least = 0,
  most,
  step,
  disabled,
  onChange,
  className = '',
  trackClassName,
  handle = 'h-9',
  children,
}: Props) {
  return (
    <Slider.Root
      value={values.map((one) => Math.min(most, Math.max(least, one)))}
      min={least}
      max={most}
      step={step}
      disabled={disabled}
      onValueChange={onChange}
      className={`relative flex h-11 touch-none items-center ${className}`}
    >
      <Slider.Track className={`relative grow ${trackClassName}`}>{children}</Slider.Track>
      {labels.map((label, i) => (
        <Slider.Thumb
          // biome-ignore lint/suspicious/noArrayIndexKey: two may be called the same while they are named
          key={i}
          aria-label={label}
          className={`grid ${handle} w-6 cursor-ew-resize place-items-center data-[disabled]:invisible`}
        >
          <span className={`block ${handle} w-3 rounded-sm border-2 border-ink bg-card`} />
        </Slider.Thumb>
      ))}
    </Slider.Root>
  )
}
