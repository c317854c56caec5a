import { Check, X } from 'lucide-react'
import type { Bench } from '../../api/types'
import { Term } from '../../ui/Term'

type Props = {
  readonly bench: Bench
  readonly hasPhoto: boolean
  readonly voucher: string
  readonly reasons: Readonly<Record<string, string>>
}

/** The tier's conditions, ticked off one by one; what is being written here counts at once. */
export function Conditions({ bench, hasPhoto, voucher, reasons }: Props) {
  const isMet = ({ kind, about, met }: Bench['conditions'][number]) => {
    if (kind === 'photo') return hasPhoto || voucher.trim() !== ''
    if (kind === 'reason') return (reasons[about ?? ''] ?? '').trim() !== ''
    return met
  }
  return (
    <section aria-label="Conditions">
      <h3 className="text-base">
        A <Term id={bench.judgement.tier} /> asks for
      </h3>
      <ul>
        {bench.conditions.map((condition) => {
          const met = isMet(condition)
          return (
            <li key={condition.code} className="flex items-center gap-2">
              {met ? (
                <Check aria-hidden className="size-5 shrink-0 text-moss-ink" />
              ) : (
                <X aria-hidden className="size-5 shrink-0 text-rust" />
              )}
              <span className={met ? '' : 'font-bold'}>
                {met ? condition.asks : (condition.missing ?? condition.asks)}
              </span>
              <span className="sr-only">{met ? ', met' : ', still missing'}</span>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
