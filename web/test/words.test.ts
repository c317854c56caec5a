import { describe, expect, it } from 'vitest'
import { amid, counted, monthRuns, percent, points } from '../src/ui/words'

describe('figures in words', () => {
  it.each([
    [0, '0.0 %'],
    [0.0004, '< 0.1 %'],
    [0.034, '3.4 %'],
    [0.5, '50 %'],
    [0.951, '95.1 %'],
    [0.9996, '> 99.9 %'],
    [1, '100.0 %'],
  ])('a share of %f is %s', (share, words) => {
    expect(percent(share)).toBe(words)
  })

  it.each([
    [12.34, '+12.3'],
    [-3.45, '−3.5'],
    [0, '0.0'],
    [-0.01, '0.0'],
    [0.04, '0.0'],
  ])('%f points are %s', (value, words) => {
    expect(points(value)).toBe(words)
  })

  it('months are told as runs, whichever order they come in', () => {
    expect(monthRuns([6, 4, 5, 9])).toBe('April to June, September')
    expect(monthRuns([1])).toBe('January')
    expect(monthRuns([])).toBe('')
  })

  it('one is one and the rest are more', () => {
    expect(counted(1, 'plot')).toBe('1 plot')
    expect(counted(0, 'plot')).toBe('0 plots')
  })
})

describe('a name amid a sentence', () => {
  it.each([
    ['Rough black bark', 'rough black bark'],
    ['LTF, leaf tooth factor', 'LTF, leaf tooth factor'],
    ['DFT', 'DFT'],
    ['Élan of the crown', 'élan of the crown'],
    ['already small', 'already small'],
    ['', ''],
  ])('%s stands as %s', (name, words) => {
    expect(amid(name)).toBe(words)
  })
})
