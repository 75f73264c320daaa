import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { examplePlan, marked, starterPlan } from '../../../test/support/plans'
import { actionsOf } from '../../cook/guidance/actions'
import { cueOf } from '../../cook/guidance/cue'
import { flamesNow } from './flamesNow'
import type { Observation } from '../marks/observation'
import { orderObservations } from '../marks/orderObservations'
import { replay } from './replay'
import { forecastCook } from '../../process/forecast/forecastCook'

const plan = examplePlan()
const story: Observation[] = [
  marked(1, 0, 'cook.started'),
  marked(2, 300, 'stage.began', { stage: 'roast' }),
  marked(3, 420, 'vessel.lit', { vessel: 'pot' }),
  marked(4, 600, 'sign.seen', { sign: 'aroma' }),
  marked(5, 610, 'flame.changed', { vessel: 'pan', mark: 'm2' }),
  marked(6, 760, 'looks.like', { step: 'pale' }),
  marked(7, 780, 'stage.began', { stage: 'pour' }),
]

describe('order and time of observations', () => {
  it('do not depend on the order of arrival', () => {
    const told = replay(plan, story)
    fc.assert(fc.property(fc.shuffledSubarray(story, { minLength: story.length }), (shuffled) => {
      expect(replay(plan, shuffled)).toEqual(told)
    }))
  })

  it('count the same observation once', () => {
    expect(replay(plan, [...story, ...story])).toEqual(replay(plan, story))
  })

  it('correct a device whose clock is minutes off', () => {
    const wrong = 7 * 60_000
    const phone: Observation = {
      ...marked(1, 600, 'sign.seen', { sign: 'aroma' }, 'phone'),
      deviceTime: 1_795_000_000_000 + 600_000 - wrong,
      sentAt: 1_795_000_000_000 + 640_000 - wrong,
      receivedAt: 1_795_000_000_000 + 640_000,
    }
    const cook = replay(plan, [...story.slice(0, 3), phone])
    expect(cook.signs[0]!.timeS).toBeCloseTo(600)
  })

  it('keep each device\'s own order whatever its clock does', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -100_000, max: 100_000 }), { minLength: 2, maxLength: 20 }), jumps => {
        const observations = jumps.map((jump, i): Observation => ({
          ...marked(i + 1, i, 'note', { text: String(i) }),
          deviceTime: 1_795_000_000_000 + jump,
        }))
        const timed = orderObservations([...observations].reverse())
        expect(timed.map(one => one.observation.number)).toEqual(jumps.map((_, i) => i + 1))
      }),
    )
  })
})

describe('a replayed cook', () => {
  it('stands where its observations put it', () => {
    const cook = replay(plan, story)
    expect(cook.stage).toBe(2)
    expect(cook.stageStarts).toEqual([0, 300, 780, null, null, null])
    expect(cook.lit).toEqual({ pot: 420 })
    expect(cook.signs.map(one => one.what)).toEqual(['aroma'])
    expect(cook.looks.map(one => one.what)).toEqual(['pale'])
  })

  it('keeps what it does not know, shows it as unknown and passes it over', () => {
    const odd = [
      ...story,
      marked(8, 790, 'oven.door', { open: true }),
      marked(9, 791, 'stage.began', { stage: 'no-such' }),
      marked(10, 792, 'weighed', { grossG: 'heavy' }),
    ]
    const cook = replay(plan, odd)
    expect(cook.moments.filter(moment => !moment.known).map(moment => moment.kind)).toEqual([
      'oven.door',
      'stage.began',
      'weighed',
    ])
    expect({ ...cook, moments: [] }).toEqual({ ...replay(plan, story), moments: [] })
  })

  it('takes back, and takes the taking back back', () => {
    const back = marked(8, 800, 'withdrawn', { replaces: 'tablet-7' })
    expect(replay(plan, [...story, back]).stage).toBe(1)
    const again = marked(9, 805, 'withdrawn', { replaces: 'tablet-8' })
    expect(replay(plan, [...story, back, again]).stage).toBe(2)
  })

  it('corrects time, kind and payload, and a correction of a correction', () => {
    const earlier = marked(8, 800, 'corrected', { replaces: 'tablet-4', shiftS: -30 })
    expect(replay(plan, [...story, earlier]).signs[0]!.timeS).toBeCloseTo(570)
    const more = marked(9, 810, 'corrected', { replaces: 'tablet-8', shiftS: -30 })
    expect(replay(plan, [...story, earlier, more]).signs[0]!.timeS).toBeCloseTo(540)
    const other = marked(8, 800, 'corrected', { replaces: 'tablet-6', payload: { step: 'golden' } })
    expect(replay(plan, [...story, other]).looks[0]!.what).toBe('golden')
    const dropped = marked(10, 815, 'withdrawn', { replaces: 'tablet-8' })
    expect(replay(plan, [...story, earlier, dropped]).signs[0]!.timeS).toBeCloseTo(600)
  })

  it('has nothing before the fire is lit', () => {
    const cook = replay(plan, [marked(1, 5, 'note', { text: 'soaked nothing' })])
    expect(cook.stage).toBe(-1)
    expect(cook.startedMs).toBeNull()
  })

  it('is never broken by any payload', () => {
    const kinds = fc.constantFrom(
      'stage.began',
      'sign.seen',
      'looks.like',
      'flame.changed',
      'lid.changed',
      'vessel.lit',
      'off.fire',
      'weighed',
      'temperature',
      'note',
      'outcome',
      'corrected',
      'withdrawn',
      'strange',
    )
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            kinds,
            fc.dictionary(
              fc.constantFrom(
                'stage',
                'sign',
                'step',
                'mark',
                'vessel',
                'lid',
                'grossG',
                'replaces',
                'shiftS',
                'payload',
                'faults',
              ),
              fc.jsonValue(),
            ),
          ),
          { maxLength: 12 },
        ),
        list => {
          const cook = replay(plan, [
            story[0]!,
            ...list.map(([kind, payload], i) => marked(i + 2, i * 10, kind, payload as Record<string, unknown>)),
          ])
          expect(cook.stage).toBeGreaterThanOrEqual(-1)
        },
      ),
      { numRuns: 300, examples: [[[['corrected', { replaces: { toString: '' } }]]]] },
    )
  })
})

describe('flame and lid', () => {
  it('stand as the stage asks until they are changed', () => {
    const asked = flamesNow(plan, replay(plan, story.slice(0, 4)))
    expect(asked.pan).toEqual({ mark: plan.flames.roast, lid: false })
    expect(asked.pot!.mark).toBe(plan.flames['sweet-water'])
    expect(flamesNow(plan, replay(plan, story.slice(0, 5))).pan!.mark).toBe('m2')
    expect(flamesNow(plan, replay(plan, story)).pan!.mark).toBe('off')
  })

  it('stand where the main line is: the pressure pan first, then the pan', () => {
    const beet = starterPlan('cellar-beetroot')
    const told = [
      marked(0, 0, 'cook.started'),
      marked(1, 5, 'stage.began', { stage: 'press' }),
      marked(2, 900, 'stage.began', { stage: 'wait' }),
      marked(3, 1500, 'stage.began', { stage: 'milk' }),
    ]
    const at = (count: number) => {
      const { 'pressure-pan': pressure, pan } = flamesNow(beet, replay(beet, told.slice(0, count)))
      return [pressure!.mark === 'off', pan!.mark === 'off']
    }
    expect([2, 3, 4].map(at)).toEqual([[false, true], [true, true], [true, false]])
  })
})

describe('cue and actions', () => {
  const at = (count: number, nowS: number) => {
    const cook = replay(plan, story.slice(0, count))
    const forecast = forecastCook(plan, story.slice(0, count), nowS, 80)
    return { cue: cueOf(plan, cook, forecast, nowS), actions: actionsOf(plan, cook, forecast, nowS), cook, forecast }
  }

  it('say what to do at each stage, with the caution where a hand could be burned', () => {
    expect(at(0, 0).cue.code).toBe('not-lit')
    expect(at(1, 1).cue).toMatchObject({ code: 'fry', caution: 'hot-fat' })
    expect(at(3, 430).cue.next!.sign).toBe('aroma')
    expect(at(6, 770).cue).toMatchObject({ code: 'pour-now', caution: 'pour' })
    expect(at(5, 700).cue).toMatchObject({ code: 'pour-soon', caution: 'pour' })
    expect(at(7, 790).cue).toMatchObject({ code: 'pouring', caution: 'pour' })
  })

  it('call the other vessel when it is due and put it first', () => {
    const cook = replay(plan, story.slice(0, 2))
    const forecast = forecastCook(plan, story.slice(0, 2), 301, 80)
    const dueS = forecast.sides[0]!.lightS! + 1
    expect(cueOf(plan, cook, forecast, dueS).code).toBe('light-other')
    expect(actionsOf(plan, cook, forecast, dueS)[0]!.marks).toEqual({ kind: 'vessel.lit', payload: { vessel: 'pot' } })
  })

  it('never show more than three actions and always a way on', () => {
    for (let count = 0; count <= story.length; count++) {
      const cook = replay(plan, story.slice(0, count))
      const nowS = 100 * count
      for (const forecast of [null, forecastCook(plan, story.slice(0, count), nowS, 40)]) {
        const actions = actionsOf(plan, cook, forecast, nowS)
        expect(actions.length).toBeGreaterThan(0)
        expect(actions.length).toBeLessThanOrEqual(3)
        expect(actions.some(action => action.role === 'done')).toBe(true)
      }
    }
  })
})
