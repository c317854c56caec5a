import { monthAndYear } from '../../ui/words'

type Signed = {
  readonly outcome: string
  readonly month?: number | null
  readonly year?: number | null
  readonly commonName: string
}

/** What an observer signed, after their call sign: "signed silver birch", "comes back in June 2027". */
export function signedWords({ outcome, month, year, commonName }: Signed): string {
  switch (outcome) {
    case 'taxon':
      return `signed ${commonName}`
    case 'come-back':
      return `comes back in ${monthAndYear(month ?? 0, year)}`
    case 'laboratory':
      return 'sends a sample to the laboratory'
    default:
      return `recorded the group only: ${commonName}`
  }
}

/** What was just signed, as a title. */
export function signedTitle({ outcome, month, year, commonName }: Signed): string {
  switch (outcome) {
    case 'taxon':
      return `Signed: ${commonName}`
    case 'come-back':
      return `Signed: back in ${monthAndYear(month ?? 0, year)}`
    case 'laboratory':
      return 'Signed: a sample goes to the laboratory'
    default:
      return `Signed: ${commonName}`
  }
}
