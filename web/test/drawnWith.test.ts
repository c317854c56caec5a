import { describe, expect, it } from 'vitest'
import { catalogue, drawnWith, PART_NAMES } from '../src/draw/draw'
import { drawingsByOrgan, settingWords } from '../src/features/draft/drawingWords'

describe('the settings of a drawing', () => {
  it('show what is drawn where nobody said anything, not the least that could be', () => {
    expect(drawnWith('leaf', {}).get('ratio')).toBeGreaterThan(1)
    expect(drawnWith('leaf', { ratio: 2.5 }).get('ratio')).toBe(2.5)
    expect(drawnWith('lobed-leaf', {}).get('lobes')).toBe(5)
    expect(drawnWith('twig', {}).get('warts')).toBe('none')
    expect(drawnWith('measured', { what: 'cone-length' }).get('what')).toBe('cone-length')
  })

  it('are words for whoever does not draw', () => {
    const coined = ['sinus', 'arch', 'rust', 'finger', 'tone', 'cross', 'of', 'what', 'when']
    for (const name of coined) expect(settingWords(name)).not.toBe(name)
    const names = new Set([...catalogue().values()].flatMap((one) => [...one.keys()]))
    for (const name of names) expect(settingWords(name).length).toBeGreaterThan(2)
  })

  it('are chosen from every drawing there is, each once, by part of the plant', () => {
    const all = drawingsByOrgan().flatMap(([, parts]) => parts)
    expect([...all].sort()).toEqual([...PART_NAMES].sort())
    expect(drawingsByOrgan().map(([organ]) => organ)).not.toContain('Others')
  })
})
