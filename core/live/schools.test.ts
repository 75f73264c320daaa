import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../book/dishes'
import { marked, starterPlan } from '../../test/support/plans'
import { mainLine } from '../dish/mainLine'
import { forecastCook } from '../forecast/forecastCook'
import { actionsOf } from './actions'
import { cueOf, dueSide } from './cue'
import type { CookPlan } from './plan'
import { replay } from './replay'

const begun = (plan: CookPlan, upTo: number) => [marked(1, 0, 'cook.started'), ...mainLine(plan.dish).slice(1, upTo + 1).map((stage, i) => marked(i + 2, 300 * (i + 1), 'stage.began', { stage: stage.id }))]

describe('a cook of any school', () => {
  it.each(STARTER_DISHES.map(dish => dish.id))('%s can be led from the first to the last stage by what is offered first or last', (id) => {
    const plan = starterPlan(id)
    const line = mainLine(plan.dish)
    const done = [marked(1, 0, 'cook.started')]
    for (let step = 0; step < line.length; step++) {
      const cook = replay(plan, done)
      expect(line[cook.stage]!.id).toBe(line[step]!.id)
      const actions = actionsOf(plan, cook, null, 300 * step)
      expect(actions.length).toBeGreaterThan(0)
      expect(actions.length).toBeLessThanOrEqual(3)
      const onward = actions.find(action => action.marks?.kind === 'stage.began' || action.marks?.kind === 'cook.finished')!
      done.push(marked(done.length + 1, 300 * (step + 1), onward.marks!.kind, { ...onward.marks!.payload }))
    }
    expect(replay(plan, done).finishedS).toBe(300 * line.length)
  })

  it('asks for a colour only where a colour is waited for', () => {
    const mung = starterPlan('long-spoon-mung')
    const codes = (plan: CookPlan, stage: number) => actionsOf(plan, replay(plan, begun(plan, stage)), null, 300 * stage).map(action => action.code)
    expect(codes(mung, 1)).toContain('sign.crumbly')
    expect(codes(mung, 1)).not.toContain('looks')
    expect(codes(mung, 2)).toContain('looks')
    expect(codes(starterPlan('red-soil-millet'), 1)).toEqual(['sign.aroma', 'begin.pour'])
  })

  it('cautions at hot fat, the pour, pressure and syrup', () => {
    const caution = (id: string, stage: number) => {
      const plan = starterPlan(id)
      return cueOf(plan, replay(plan, begun(plan, stage)), null, 300 * stage).caution
    }
    expect(caution('marble-gram-balls', 0)).toBe('hot-fat')
    expect(caution('brick-kiln-wheat', 1)).toBe('pour')
    expect(caution('cellar-beetroot', 0)).toBe('pressure')
    expect(caution('diamond-cashew', 0)).toBe('syrup')
  })

  it('goes on from a colour darker than was asked for, and stops at a burnt one', () => {
    const plan = starterPlan('sweet-water-semolina')
    const at = (step: string) => cueOf(plan, replay(plan, [...begun(plan, 1), marked(50, 700, 'looks.like', { step })]), null, 710).code
    expect([at('pale'), at('golden'), at('burnt')]).toEqual(['pour-now', 'pour-now', 'burnt'])
  })

  it('calls the second lot once the first has had its minutes', () => {
    const carrot = starterPlan('winter-market-carrot')
    expect(cueOf(carrot, replay(carrot, begun(carrot, 1)), null, 300 + 100).code).toBe('work')
    expect(cueOf(carrot, replay(carrot, begun(carrot, 1)), null, 300 + 490).code).toBe('next')
  })

  it('says to go on once the sign is seen, and once the minutes are over', () => {
    const carrot = starterPlan('winter-market-carrot')
    const milk = mainLine(carrot.dish).findIndex(stage => stage.id === 'milk')
    const seen = [...begun(carrot, milk), marked(50, 300 * milk + 60, 'sign.seen', { sign: 'milk-taken-up' })]
    expect(cueOf(carrot, replay(carrot, seen), null, 300 * milk + 70).code).toBe('next')
    expect(cueOf(carrot, replay(carrot, begun(carrot, milk)), null, 300 * milk + 70).code).toBe('work')
    const beetroot = starterPlan('cellar-beetroot')
    expect(cueOf(beetroot, replay(beetroot, begun(beetroot, 0)), null, 100).code).toBe('work')
    expect(cueOf(beetroot, replay(beetroot, begun(beetroot, 0)), null, 361).code).toBe('next')
  })

  it('calls the other vessel in time to meet its stage', () => {
    const plan = starterPlan('two-liquids-wheat')
    const cook = replay(plan, begun(plan, 0))
    const forecast = forecastCook(plan, begun(plan, 0), 1, 200)
    const water = forecast.sides.find(side => side.vessel === 'pot')!
    const milk = forecast.sides.find(side => side.vessel === 'second-pot')!
    expect(milk.lightS!).toBeGreaterThan(water.lightS!)
    expect(dueSide(plan, cook, forecast, water.lightS! + 1)).toBe('pot')
    expect(dueSide(plan, replay(plan, [...begun(plan, 0), marked(9, 5, 'vessel.lit', { vessel: 'pot' })]), forecast, water.lightS! + 1)).toBeNull()
  })
})
