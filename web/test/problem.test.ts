import { describe, expect, it } from 'vitest'
import { Away, failure, Problem, wordsOf, wrongAt } from '../src/api/problem'

describe('an answer that says no', () => {
  const refused = failure(422, {
    type: '/problems/unfit-tree',
    detail: 'This does not fit.',
    refusals: [
      { key: 'tag', found: '0', expected: 'a whole number from 1 to 99999' },
      { key: 'records.birches', found: 'oak', expected: 'a taxon of that group’s sheet' },
    ],
  })

  it('tells what is wrong at its field and below it, and nothing elsewhere', () => {
    expect(wrongAt(refused, 'tag')).toBe('0: it must be a whole number from 1 to 99999.')
    expect(wrongAt(refused, 'records')).toContain('oak')
    expect(wrongAt(refused, 'record')).toBeUndefined()
    expect(wrongAt(new Error('other'), 'tag')).toBeUndefined()
    expect(wordsOf(refused)).toBe('This does not fit.')
  })

  it('tells why a server that can be reached is away', () => {
    const away = failure(503, { type: '/problems/database-away', detail: 'The database does not answer.' })

    expect(away).toBeInstanceOf(Away)
    expect(wordsOf(away)).toBe('The database does not answer.')
    expect(wordsOf(failure(502, undefined))).toContain('cannot be reached')
  })

  it('carries what is kept where somebody else was first', () => {
    const stale = failure(409, {
      type: '/problems/stale',
      detail: 'Somebody changed this.',
      kept: { version: 3 },
    })

    expect(stale instanceof Problem && stale.isStale).toBe(true)
    expect(stale instanceof Problem && stale.kept).toEqual({ version: 3 })
  })

  it('is no answer at all when a gateway gives it, and says so when it gives no reason', () => {
    expect(failure(502, undefined)).toBeInstanceOf(Away)
    expect(wordsOf(failure(418, '<html>'))).toContain('418')
    const ended = failure(401, { type: '/problems/not-signed-in', detail: 'Sign in.' })
    expect(ended instanceof Problem && ended.isSignedOut).toBe(true)
  })
})
