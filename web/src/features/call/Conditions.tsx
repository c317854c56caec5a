import { Check, X } from 'lucide-react'
import type { Judgement, Sheet } from '../../api/types'
import { conditionsOf, needWords } from './judgementWords'

type Props = {
  readonly sheet: Sheet
  readonly judgement: Judgement
  readonly hasPhoto: boolean
  readonly voucher: string
  readonly reasons: Readonly<Record<string, string>>
}

/** The tier's conditions, ticked off one by one; what is being written here counts at once. */
export function Conditions({ sheet, judgement, hasPhoto, voucher, reasons }: Props) {
  const isMet = (code: string) => {
    if (code === 'photo') return hasPhoto || voucher.trim() !== ''
    if (code.startsWith('reason:')) return (reasons[code.slice('reason:'.length)] ?? '').trim() !== ''
    return !judgement.stillNeeded.includes(code)
  }
  return (
    <section aria-label="Conditions">
      <h3 className="text-base">A {judgement.tier} asks for</h3>
      <ul>
        {conditionsOf(judgement).map((code) => (
          <li key={code} className="flex items-center gap-2">
            {isMet(code) ? (
              <Check aria-hidden className="size-5 text-moss" />
            ) : (
              <X aria-hidden className="size-5 text-rust" />
            )}
            <span className={isMet(code) ? '' : 'font-bold'}>{needWords(sheet, judgement, code)}</span>
            <span className="sr-only">{isMet(code) ? ', met' : ', still missing'}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}
