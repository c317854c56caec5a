import { Ruler } from 'lucide-react'
import { Link } from 'react-router'
import { measured } from '../../ui/words'
import { type SentLine, type Standing, useListening, usePort, useSentLines, useStanding } from './instruments'

/** Listens to this device's instruments whatever page is open, and shows in the bar what came last. */
export function InstrumentPill() {
  useListening()
  const port = usePort()
  const standing = useStanding()
  const [last] = useSentLines()
  if (port === undefined) return null
  const isWell = standing === 'there' && last?.taken !== false
  return (
    <Link
      to="/instruments"
      className={`inline-flex min-h-11 shrink-0 items-center gap-1 px-1 text-sm whitespace-nowrap ${isWell ? '' : 'text-rust-ink'}`}
    >
      <Ruler aria-hidden className="size-4" />
      <span className="sr-only">Caliper: </span>
      {pillWords(standing, last)}
    </Link>
  )
}

function pillWords(standing: Standing, last: SentLine | undefined): string {
  if (standing !== 'there') return standing === 'elsewhere' ? 'elsewhere' : 'not there'
  if (last === undefined) return 'connected'
  if (last.value === undefined) return 'no value'
  return last.taken ? measured(last.value, 'mm') : `${measured(last.value, 'mm')}, not taken`
}
