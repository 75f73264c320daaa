import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { marked, starterPlan } from '../../../test/support/plans'
import { mainLine } from '../../formulation/dish/mainLine'
import { forecastCook } from '../../process/forecast/forecastCook'
import { actionsOf } from '../guidance/actions'
import { cueOf, dueSide } from '../guidance/cue'
import { flamesNow } from '../../record/replay/flamesNow'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'

const begun = (plan: CookPlan, upTo: number) => [
  marked(1, 0, 'cook.started'),
  ...mainLine(plan.dish)
    .slice(1, upTo + 1)
    .map((stage, i) => marked(i + 2, 300 * (i + 1), 'stage.began', { stage: stage.id })),
]

describe('a cook of any school', () => {
  it.each(STARTER_DISHES.map(dish => dish.id))(
    '%s can be led from the first to the last stage by what is offered first or last',
    id => {
      const plan = starterPlan(id)
      const line = mainLine(plan.dish)
      const done = [marked(1, 0, 'cook.started')]
      for (let step = 0; step < line.length; step++) {
        const cook = replay(plan, done)
        expect(line[cook.stage]!.id).toBe(line[step]!.id)
        const actions = actionsOf(plan, cook, null, 300 * step)
        expect(actions.length).toBeGreaterThan(0)
        expect(actions.length).toBeLessThanOrEqual(3)
        const onward = actions.find(
          action => action.marks?.kind === 'stage.began' || action.marks?.kind === 'cook.finished',
        )!
        done.push(marked(done.length + 1, 300 * (step + 1), onward.marks!.kind, { ...onward.marks!.payload }))
      }
      expect(replay(plan, done).finishedS).toBe(300 * line.length)
    },
  )

  it('asks for a colour only where a colour is waited for', () => {
    const mung = starterPlan('long-spoon-mung')
    const codes = (plan: CookPlan, stage: number) =>
      actionsOf(plan, replay(plan, begun(plan, stage)), null, 300 * stage).map(action => action.code)
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
    const at = (step: string) =>
      cueOf(plan, replay(plan, [...begun(plan, 1), marked(50, 700, 'looks.like', { step })]), null, 710).code
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
    expect(
      dueSide(
        plan,
        replay(plan, [...begun(plan, 0), marked(9, 5, 'vessel.lit', { vessel: 'pot' })]),
        forecast,
        water.lightS! + 1,
      ),
    ).toBeNull()
  })

  describe('where grain is rained into the boil', () => {
    const plan = starterPlan('well-head-semolina')
    const lit = [marked(1, 0, 'cook.started'), marked(2, 100, 'vessel.lit', { vessel: 'pan' })]
    const rained = [
      ...lit,
      marked(6, 420, 'sign.seen', { sign: 'boil', vessel: 'pan' }),
      marked(7, 480, 'sign.seen', { sign: 'aroma' }),
      marked(8, 500, 'stage.began', { stage: 'rain' }),
    ]

    it('the roast ends out of its pan, and nothing is said of pouring over hot fat', () => {
      const roasted = replay(plan, rained.slice(0, 4))
      expect(cueOf(plan, roasted, null, 490)).toMatchObject({ code: 'rain-now', caution: null })
      expect(cueOf(plan, replay(plan, rained), null, 510)).toMatchObject({ code: 'raining', caution: 'splashes' })
      expect(actionsOf(plan, replay(plan, rained), null, 510).map(one => one.code)).toContain('begin.swell')
    })

    it('the deep pan is beside until then and the main one after, and the roasting pan is left without a flame', () => {
      const [before, after] = [flamesNow(plan, replay(plan, rained.slice(0, 4))), flamesNow(plan, replay(plan, rained))]
      expect([before.pan!.mark, before['roasting-pan']!.mark]).toEqual([
        plan.flames['hot-water'],
        plan.flames['roast-dry'],
      ])
      expect([after.pan!.mark, after['roasting-pan']!.mark]).toEqual([plan.flames.rain, 'off'])
    })

    it('a flame turned under the deep pan reaches its liquid before, the mass after, and one under a pan that was left nothing', () => {
      const ends = (...more: ReturnType<typeof marked>[]) =>
        forecastCook(plan, [...rained, ...more], 600, 128).stages.at(-1)!.middle
      const strongest = plan.fires.pan!.marks.at(-1)!.id
      const [plain, hotter, elsewhere] = [
        ends(),
        ends(marked(9, 560, 'flame.changed', { vessel: 'pan', mark: strongest })),
        ends(marked(9, 560, 'flame.changed', { vessel: 'roasting-pan', mark: strongest })),
      ]
      expect(hotter).toBeLessThan(plain)
      expect(elsewhere).toBe(plain)
    })

    it('a cold liquid that was rained into takes longer to swell it than one at the boil', () => {
      const late = [lit[0]!, marked(2, 440, 'vessel.lit', { vessel: 'pan' }), ...rained.slice(3)]
      const swollen = (marks: typeof rained) => forecastCook(plan, marks, 505, 128).signs['taken-up']!.middle
      // Of the 320 s at the flame that boiled it, it has had 60: the rest comes from the flame of the rain.
      const watts = (stage: string): number => plan.fires.pan!.marks.find(one => one.id === plan.flames[stage])!.watts
      expect(swollen(late) - swollen(rained)).toBeCloseTo((320 - 60) * watts('hot-water') / watts('rain'), -2)
    })

    it('a pan weighed while its liquid stood beside says nothing of the mass', () => {
      const known = { ...plan, vessels: { ...plan.vessels, pan: { ...plan.vessels.pan!, massGuessed: false } } }
      const now = forecastCook(known, rained, 700, 128)
      const grossG = Math.round(plan.vessels.pan!.vessel.massG + now.panNow!.contentG.middle * 0.985)
      const weighed = (timeS: number) => {
        const at = timeS < 420 ? 2 : 5
        return forecastCook(
          known,
          [
            ...rained.slice(0, at),
            marked(timeS < 420 ? 4 : 9, timeS, 'weighed', { vessel: 'pan', grossG }),
            ...rained.slice(at),
          ],
          700,
          128,
        ).panNow!.contentG.middle
      }
      expect(weighed(300) / now.panNow!.contentG.middle).toBeCloseTo(1, 2)
      expect(weighed(690)).toBeLessThan(now.panNow!.contentG.middle - 2)
    })

    it('what goes in by the handful takes its time by its weight', () => {
      const rains = (baseG: number): number => {
        const of = starterPlan('well-head-semolina', { baseG })
        const { stages } = forecastCook(of, [], 0, 128)
        return stages[2]!.middle - stages[1]!.middle
      }
      expect(rains(500) / rains(250)).toBeCloseTo(2, 0)
    })
  })
})
