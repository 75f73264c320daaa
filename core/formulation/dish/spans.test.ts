import { describe, expect, it } from 'vitest'
import { judgedRoles, placeInSpan, spansOf, type Spans } from './spans'

const span = { from: 0.4, to: 1.2, steps: [0.5, 0.8, 1], estimate: false } as const
const spans: Spans = { fat: span, sugar: span, liquid: { ...span, from: 0.01 } }
const at = (ratio: number) => placeInSpan('fat', ratio, spans)

describe('where a part stands in its span', () => {
  it('is its style up to each step, the last beyond them', () => {
    expect([0.4, 0.5, 0.51, 0.8, 0.81, 1, 1.01, 1.2].map(ratio => at(ratio).style))
      .toEqual(['lean', 'lean', 'everyday', 'everyday', 'rich', 'rich', 'feast', 'feast'])
    expect(at(0.7)).toMatchObject({ role: 'fat', ratio: 0.7, span, outside: null, sure: 'may' })
  })

  it('is outside below and above, the surer the farther, as a share of the bound', () => {
    expect([0.39, 1.21].map(ratio => [at(ratio).outside, at(ratio).style])).toEqual([['below', null], ['above', null]])
    // A bound of 0.4: 0.048 and 0.18 below it.
    expect([0.353, 0.351, 0.221, 0.219].map(ratio => at(ratio).sure)).toEqual(['may', 'likely', 'likely', 'surely'])
    expect([1.343, 1.345, 1.739, 1.741].map(ratio => at(ratio).sure)).toEqual(['may', 'likely', 'likely', 'surely'])
    // A bound near nothing counts as a twentieth.
    expect(placeInSpan('liquid', 0, spans).sure).toBe('likely')
  })
})

describe('the spans of a family', () => {
  const of = (family: string, form: 'soft' | 'slab' | 'balls' = 'soft', preparation = 'as-bought') => spansOf({ family, choices: { form, preparation } })
  it('are those of its form, of a purée, of balls, or of semolina', () => {
    expect(of('gram-flour', 'slab').liquid).toMatchObject({ from: 0.8, to: 1.8 })
    expect(of('gram-flour').liquid).toMatchObject({ from: 1.5, to: 3 })
    expect(of('gram-flour', 'balls').fat).toMatchObject({ from: 0.6, to: 0.95 })
    expect(of('vegetable', 'balls')).toBe(of('vegetable'))
    expect(of('lentil', 'soft', 'cooked-puree').liquid).toMatchObject({ from: 0, to: 4, estimate: true })
    expect(of('not-known')).toBe(of('semolina'))
    expect(spansOf({ family: 'fruit' })).toBe(of('fruit'))
  })

  it('change style at a fifth, a half and three quarters where nothing better is known', () => {
    expect(of('lentil').fat.steps).toEqual([0.72, 0.9, 1.05].map(step => expect.closeTo(step, 9) as number))
    expect(of('semolina').fat.steps).toEqual([0.5, 0.8, 1.05])
  })

  it('judge no liquid where none is poured', () => {
    expect(judgedRoles({ choices: { liquid: 'none' } })).toEqual(['fat', 'sugar'])
    expect(judgedRoles({})).toEqual(['fat', 'sugar', 'liquid'])
  })
})
