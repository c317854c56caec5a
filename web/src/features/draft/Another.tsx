import { Plus } from 'lucide-react'
import { Button } from '../../ui/Button'

type Props = {
  /** What is added, in a word. */
  readonly what: string
  readonly look?: 'plain' | 'quiet'
  readonly className?: string
  readonly onClick: () => void
}

/** Puts something more into the draft. */
export function Another({ what, look = 'plain', className = '', onClick }: Props) {
  return (
    <Button look={look} className={`inline-flex w-fit items-center gap-2 ${className}`} onClick={onClick}>
      <Plus aria-hidden className="size-4" /> Another {what}
    </Button>
  )
}
