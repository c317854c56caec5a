import { Trash2 } from 'lucide-react'
import { Button } from '../../ui/Button'

type Props = {
  /** What is left out, for who hears the page, where the button shows nothing but its sign. */
  readonly of?: string
  readonly className?: string
  readonly onClick: () => void
}

/** Takes something out of the draft; undo brings it back. */
export function LeaveOut({ of, className = '', onClick }: Props) {
  return (
    <Button
      look="quiet"
      aria-label={of === undefined ? undefined : `Leave out ${of}`}
      className={`inline-flex w-fit items-center gap-2 ${className}`}
      onClick={onClick}
    >
      <Trash2 aria-hidden className="size-4" /> {of === undefined && 'Leave out'}
    </Button>
  )
}
