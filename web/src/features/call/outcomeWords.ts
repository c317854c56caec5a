import { monthName } from '../../ui/words'

type Signed = {
  readonly outcome: string
  readonly month?: number | null
  readonly commonName: string
}

/** What an observer signed, after their call sign: "signed silver birch", "comes back in June". */
export function signedWords({ outcome, month, commonName }: Signed): string {
  switch (outcome) {
    case 'taxon':
      return `signed ${commonName}`
    case 'come-back':
      return `comes back in ${monthName(month ?? 0)}`
    case 'laboratory':
      return 'sends a sample to the laboratory'
    default:
      return `recorded the group only: ${commonName}`
  }
}
