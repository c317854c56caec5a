import { describe, expect, it } from 'vitest'
import type { ReviewRow } from '../src/api/types'
import { signedWords } from '../src/common/bench/outcomeWords'
import { ageOf, needOf, outcomeOf, reasonOf, whyNotOf } from '../src/common/review/caseWords'

const row = (part: Partial<ReviewRow>) =>
  ({ state: 'waiting', needs: 'blind-reading', looks: 1, mine: false, ...part }) as ReviewRow

describe('a case in words', () => {
  it('says what it waits for', () => {
    expect(needOf(row({}))).toBe('a blind reading')
    expect(needOf(row({ looks: 2 }))).toBe('a third look, blind')
    expect(needOf(row({ state: 'reading', takenBy: 'Redpoll' }))).toBe('Redpoll is reading it')
    expect(needOf(row({ state: 'reading', takenBy: 'Redpoll', mine: true }))).toBe('you are reading it')
    expect(needOf(row({ state: 'table', needs: 'decision' }))).toBe('a decision')
    expect(needOf(row({ state: 'laboratory', needs: 'laboratory' }))).toBe('the laboratory')
  })

  it('says how it ended', () => {
    expect(needOf(row({ state: 'settled', outcome: 'overrule' }))).toBe('overruled')
    expect(outcomeOf('laboratory-result')).toBe('named by the laboratory')
    expect(outcomeOf(null)).toBe('')
  })

  it('says why it is there and why somebody may not take it', () => {
    expect(reasonOf('drawn')).toBe('drawn by lot')
    expect(whyNotOf('own')).toBe('not by you: it is your own call')
    expect(whyNotOf(undefined)).toBe('')
  })

  it('is as old as whole days', () => {
    const now = Date.parse('2026-06-20T12:00:00Z')

    expect(ageOf('2026-06-20T03:00:00Z', now)).toBe('since today')
    expect(ageOf('2026-06-19T03:00:00Z', now)).toBe('for 1 day')
    expect(ageOf('2026-05-20T03:00:00Z', now)).toBe('for 31 days')
    expect(ageOf('2026-06-21T03:00:00Z', now)).toBe('since today') // a device whose clock is behind
  })
})

describe('a signature in words', () => {
  it.each([
    [{ outcome: 'taxon', commonName: 'silver birch' }, 'signed silver birch'],
    [{ outcome: 'come-back', month: 6, commonName: 'birch' }, 'comes back in June'],
    [{ outcome: 'laboratory', commonName: 'birch' }, 'sends a sample to the laboratory'],
    [
      { outcome: 'group', commonName: 'birch, not separated' },
      'recorded the group only: birch, not separated',
    ],
  ])('%o', (signed, words) => {
    expect(signedWords(signed)).toBe(words)
  })
})
