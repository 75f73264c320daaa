import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../book/ingredients'
import { COLOUR_STEPS } from '../core/formulation/signs/signIds'
import { FAULT_CAUSES } from '../core/cook/faults/causes'
import { FEATURES } from '../core/cook/faults/features'
import { GIVEN_TO, LIKED_FOR, LIKINGS } from '../core/record/marks/afterFire'
import { PLACES } from '../core/record/marks/place'
import { SEASONS } from '../contracts/batchQuery'
import { ALLERGEN_WORDS, daysText, GIVEN_WORDS, LIKED_WORDS, likingText, PLACE_WORDS } from './after'
import { differenceText, turnedText, type CompareWords } from './compare'
import { changeText, clueText, editText, CAUSE_WORDS } from './causes'
import { SEASON_WORDS, TREND_WORDS } from './ledger'

describe('words for what comes after the fire', () => {
  it('are there for every place, gift, liking, allergen, season and cause', () => {
    for (const place of PLACES) expect(PLACE_WORDS[place]).toBeTruthy()
    for (const to of GIVEN_TO) expect(GIVEN_WORDS[to]).toBeTruthy()
    for (const of of LIKED_FOR)
      for (const liking of LIKINGS)
        expect(likingText(of, liking)).toBe(liking === 'right' ? 'right' : LIKED_WORDS[of][liking])
    for (const allergen of new Set(INGREDIENTS.flatMap(row => row.allergens)))
      expect(ALLERGEN_WORDS[allergen], allergen).toBeTruthy()
    for (const season of SEASONS) expect(SEASON_WORDS[season]).toBeTruthy()
    for (const cause of FAULT_CAUSES) expect(CAUSE_WORDS[cause].next, cause).toMatch(/\.$/)
    for (const figure of Object.values(TREND_WORDS)) expect(figure.more).not.toBe(figure.less)
  })

  it.each([
    [[0, 0], 'two hours at most'],
    [[1, 1], 'a day'],
    [[4, 4], '4 days'],
    [[0, 1], 'hours, a day at most'],
    [[0, 2], 'hours, 2 days at most'],
    [[2, 3], '2–3 days'],
  ] as const)('days from %j are %s', (days, text) => {
    expect(daysText(days)).toBe(text)
  })
})

describe('differences in words', () => {
  const say: CompareWords = { grams: massG => `${massG} g`, ingredient: id => id }
  const text = (one: Parameters<typeof differenceText>[0]): string => differenceText(one, 'poured', say)

  it.each([
    [{ of: 'flame', marks: -1 }, 'flame one mark lower'],
    [{ of: 'flame', marks: 2 }, 'flame two marks higher'],
    [{ of: 'ingredient', ingredient: 'ghee', byG: -20 }, 'ghee 20 g less to the same base'],
    [{ of: 'base', byG: 50 }, '50 g more of the base'],
    [{ of: 'turn', byS: 70 }, 'poured 1:10 later'],
    [{ of: 'after-turn', byS: -90 }, '1:30 shorter after that'],
    [{ of: 'end', byS: -60 }, 'off the fire 1:00 earlier'],
    [{ of: 'weight', byG: -46, weighed: true }, '46 g lighter at the end from the same base'],
    [{ of: 'weight', byG: 10, weighed: false }, '10 g heavier at the end from the same base, by the forecast'],
    [{ of: 'pan', is: 'Thin pan', was: 'Iron pan' }, 'in the thin pan, not the iron pan'],
    [{ of: 'fire', is: 'Left', was: 'Right' }, 'on the left, not the right'],
    [{ of: 'room', byK: 6.4 }, 'room 6 K warmer'],
    [{ of: 'dish', version: 2, than: 1 }, 'version 2 of the dish, not 1'],
    [{ of: 'added', times: 1 }, 'more went in on the way'],
    [{ of: 'repaired', times: 1 }, 'put right on the way'],
    [{ of: 'forgotten', times: 1 }, 'something forgotten'],
    [{ of: 'unstirred', times: 2 }, 'left unstirred'],
  ] as const)('%j', (one, words) => {
    expect(text(one)).toBe(words)
  })

  it('tell the darker roast from the lighter', () => {
    const [pale, , dark] = COLOUR_STEPS
    expect(text({ of: 'colour', is: dark, was: pale })).toMatch(/^roasted darker: .+, not /)
    expect(text({ of: 'colour', is: pale, was: dark })).toMatch(/^roasted lighter: .+, not /)
  })

  it('call the turn what the hand does there', () => {
    expect(turnedText('pour')).toBe('poured')
    expect(turnedText('unheard-of')).toBe('turned')
  })
})

describe('evidence in words', () => {
  it('is told for every feature on both sides, and no side says the other', () => {
    for (const of of FEATURES) {
      const [low, high] = [clueText({ of, value: -2.4, weight: 1 }), clueText({ of, value: 2.4, weight: 1 })]
      expect(low, of).not.toBe(high)
      expect(`${low}${high}`).not.toMatch(/undefined|NaN/)
    }
  })

  it('says how far, and that a small deviation against a cause is only a small one', () => {
    expect(clueText({ of: 'weight', value: 2.4, weight: 1 })).toBe('it weighed far more than forecast')
    expect(clueText({ of: 'weight', value: 0.7, weight: 1 })).toBe('it weighed a little more than forecast')
    expect(clueText({ of: 'weight', value: 0.7, weight: -1 }, true)).toBe('it weighed only a little more than forecast')
    expect(clueText({ of: 'unstirred', value: 1.5, weight: 1 })).toBe('left unstirred for about 90 s')
  })

  it('says a change of the dish as its button does', () => {
    expect(editText({ kind: 'amount', role: 'liquid', times: 0.92 })).toBe('liquid 8 % less')
    expect(editText({ kind: 'amount', role: 'fat', times: 1.1 })).toBe('fat 10 % more')
    expect(editText({ kind: 'minutes', stages: ['roast'], times: 0.8 })).toBe('20 % fewer usual minutes there')
    expect(editText({ kind: 'choice', key: 'pour', value: 'in-parts' })).toMatch(/: \S/)
  })

  it('says whether the last change worked', () => {
    const result = (since: number, again: number) =>
      changeText({ change: { dish: 'd', version: 2, fault: 'runny', cause: 'too-wet' }, at: 0, since, again })
    expect(result(0, 0)).toContain('not cooked since')
    expect(result(1, 0)).toMatch(/^Cooked once since, never .* again: it worked\.$/)
    expect(result(4, 1)).toMatch(/again once\.$/)
    expect(result(4, 2)).toContain('it did not work')
  })
})
