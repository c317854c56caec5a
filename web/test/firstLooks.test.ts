import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { answerDrawn, answerWords, TRAITS, traitWords } from '../src/common/group/firstLooks'
import { draw } from '../src/draw/draw'

const TRAIT = new URL('../../core/src/main/java/org/goldthistle/core/sheet/Trait.java', import.meta.url)

describe('first looks', () => {
  it('are those that the core knows', () => {
    const codes = [...readFileSync(TRAIT, 'utf8').matchAll(/"([a-z-]+)"/g)].map((match) => match[1])
    expect(TRAITS.flatMap(({ trait, answers }) => [trait, ...answers])).toEqual(codes)
  })

  it('have words of their own, and drawings that can be drawn', () => {
    const answers = TRAITS.flatMap((one) => [...one.answers])
    expect(new Set(TRAITS.map((one) => traitWords(one.trait))).size).toBe(TRAITS.length)
    expect(new Set(answers.map(answerWords)).size).toBe(answers.length)
    for (const answer of answers) {
      const drawn = answerDrawn(answer)
      if (drawn) expect(draw(drawn.part, drawn.parameters)?.marks.length).toBeGreaterThan(0)
    }
  })
})
