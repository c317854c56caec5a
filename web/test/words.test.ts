import { describe, expect, it } from 'vitest'
import { amid, counted, monthRuns, percent, points, withError } from '../src/ui/words'

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

describe('a value with how far off it may be', () => {
  it('has two digits of the error and as many of its own', () => {
    expect(withError(42.6531, 0.7612, 'mm')).toBe('42.65 ± 0.76 mm')
    expect(withError(1.63421, 0.0133, null)).toBe('1.634 ± 0.013')
    expect(withError(118.7, 12.4, '°')).toBe('119 ± 12 °')
    expect(withError(9, undefined, 'mm')).toBe('9 mm')
    expect(withError(9, 0, '')).toBe('9')
  })
})
