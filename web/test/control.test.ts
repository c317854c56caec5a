import { describe, expect, it } from 'vitest'
import type { ControlCard } from '../src/api/types'
import { type Said, verdictOf } from '../src/common/control/lookStore'
import { directionWords, metresWords } from '../src/common/control/words'

const card = { approvalId: 'a', look: null } as unknown as ControlCard

function look(approvalId: string, rest: Partial<Said> = {}): Said {
  const body = { approvalId } as never
  return { id: 'x', surveyId: 's', where: 'w', said: { kind: 'look', body, verdict: 'confirmed' }, ...rest }
}

describe('what a last look said', () => {
  it('is what this device reckoned until the server says otherwise', () => {
    expect(verdictOf([look('a')], card)).toBe('confirmed')
    expect(verdictOf([look('a', { sent: '', verdict: 'do-not-cut' })], card)).toBe('do-not-cut')
  })

  it('is nothing where the server refused it, or it was under another approval', () => {
    expect(verdictOf([look('a', { sent: 'The sheet has a newer version.' })], card)).toBeUndefined()
    expect(verdictOf([look('b')], card)).toBeUndefined()
    expect(verdictOf([], { ...card, look: { result: { verdict: 'confirmed' } } } as never)).toBe('confirmed')
  })
})

describe('where a tree stands', () => {
  it('is told in degrees and points of the compass', () => {
    expect(directionWords(0)).toBe('0° N')
    expect(directionWords(118)).toBe('118° SE')
    expect(directionWords(359)).toBe('359° N')
    expect(metresWords(4)).toBe('4.0 m')
  })
})
