import { describe, expect, it } from 'vitest'
import { between, handForecast, storyTo as byHand, type More } from '../../../test/support/handForecast'
import { marked, starterPlan } from '../../../test/support/plans'
import { lateCueText, lateText, lateWayText } from '../../../words/late'
import { mainLine } from '../../formulation/dish/mainLine'
import { forecastCook } from '../../process/forecast/forecastCook'
import { cueOf } from './cue'
import { lateOf } from './lateOf'
import type { Forecast } from '../../record/plan/forecast'
import type { Observation } from '../../record/marks/observation'
import { replay } from '../../record/replay/replay'

const ONE_OF_EACH = [
  'first-offering-semolina',
  'window-pane-wheat',
  'marble-gram-balls',
  'one-thread-gram',
  'ember-sweet-potato',
  'diamond-cashew',
]
const MEMBERS = 12
/** How far it is looked from one look to the next, as a factor. */
const FURTHER = 1.7

/** A cook that goes on from stage to stage at the middle of its windows, to the start of one of them. */
function storyTo(
  id: string,
  stage: number,
): { readonly plan: ReturnType<typeof starterPlan>, readonly story: Observation[], readonly began: number } {
  const plan = starterPlan(id)
  const line = mainLine(plan.dish)
  const first = forecastCook(plan, [], 0, MEMBERS)
  const starts = first.stages.map(window => Math.round(window.middle))
  const story = line
    .slice(0, stage + 1)
    .map((one, k) =>
      k === 0 ? marked(1, 0, 'cook.started') : marked(k + 1, starts[k]!, 'stage.began', { stage: one.id }),
    )
  return { plan, story, began: stage === 0 ? 0 : starts[stage]! }
}

describe.each(ONE_OF_EACH)('a cook of %s', (id) => {
  const line = mainLine(starterPlan(id).dish)
  it.each(line.map((stage, k) => [stage.id, k] as const).filter(([name]) => name !== 'rest'))(
    'is told at once that %s is late, more urgently with time, and what can still be done',
    (_, k) => {
      const { plan, story, began } = storyTo(id, k)
      const at = (nowS: number) => {
        const forecast = forecastCook(plan, story, nowS, MEMBERS)
        const cook = replay(plan, story)
        return {
          late: lateOf(plan, cook, forecast, nowS).find(one => one.stage === line[k]!.id) ?? null,
          cue: cueOf(plan, cook, forecast, nowS),
          forecast,
        }
      }
      const first = at(began + 1)
      expect(first.late).toBeNull()
      const stage = line[k]!
      let levels: number[] = []
      for (
        let nowS = began + 30, step = 30;
        nowS < began + 6 * 3600 && levels.at(-1) !== 3;
        nowS += step, step *= FURTHER
      ) {
        const { late, cue } = at(nowS)
        if (!late) {
          expect(levels, `${nowS}`).toEqual([])
          continue
        }
        // It is past its window as that now stands, and not before.
        if (late.window) expect(nowS).toBeGreaterThan(late.window.late)
        levels = [...levels, late.level]
        expect(cue.code === 'late' || cue.code === 'asked' || late.level === 1, `${cue.code} at ${nowS}`).toBe(true)
        expect(lateCueText(late, stage).length).toBeLessThan(34)
        expect(lateText(late)).toMatch(/past its window|over its time/)
        expect(lateWayText(stage).length).toBeGreaterThan(20)
      }
      expect(levels.at(-1), `${levels}`).toBe(3)
      expect(levels).toEqual([...levels].sort((p, q) => p - q))
    },
    180_000,
  )
})

describe('what is late', () => {
  const { plan, story } = storyTo('sweet-water-semolina', 1)
  const cueAt = (nowS: number, more: Observation[] = []) => {
    const all = [...story, ...more]
    return cueOf(plan, replay(plan, all), forecastCook(plan, all, nowS, 60), nowS)
  }

  it('comes before the pot that was never put on: a roast that burns does not wait for it', () => {
    expect(cueAt(1300)).toMatchObject({ code: 'late', late: { stage: 'roast' } })
  })

  it('is the pot itself while the roast has time', () => {
    const pot = plan.dish.stages.find(stage => stage.meets)!
    const { sides } = forecastCook(plan, story, 300, 60)
    expect(cueAt(sides[0]!.lightS! + 60)).toMatchObject({
      code: 'light-other',
      vessel: pot.vessel,
      late: { stage: pot.id },
    })
  })

  it('is a colour that was seen and not acted upon', () => {
    const seen = marked(9, 500, 'looks.like', { step: 'pale' })
    const lit = marked(8, 300, 'vessel.lit', { vessel: 'pot' })
    expect(cueAt(505, [lit, seen]).code).toBe('pour-now')
    expect(cueAt(640, [lit, seen])).toMatchObject({ code: 'late', late: { stage: 'roast', window: null } })
  })

  it('is nothing before the start and after the end', () => {
    expect(lateOf(plan, replay(plan, []), forecastCook(plan, [], 0, MEMBERS), 5000)).toEqual([])
    const over = [...story, marked(20, 900, 'cook.finished')]
    expect(lateOf(plan, replay(plan, over), forecastCook(plan, over, 900, MEMBERS), 5000)).toEqual([])
  })
})

describe('how late, to the second', () => {
  const sweet = starterPlan('sweet-water-semolina')
  const lateIn = (plan: typeof sweet, stage: string, nowS: number, more: More = [], given: Partial<Forecast> = {}) =>
    lateOf(plan, replay(plan, byHand(plan, stage, more)), handForecast(given), nowS)
  const levelsAt = (times: readonly number[], at: (nowS: number) => ReturnType<typeof lateOf>) =>
    times.map(nowS => at(nowS)[0]?.level ?? 0)

  it('a window that has passed: well past by a quarter of its width, too far by three quarters', () => {
    const signs = { 'taken-up': between(400, 800) }
    const at = (nowS: number) => lateIn(sweet, 'take-up', nowS, [], { signs })
    expect(levelsAt([800, 801, 900, 901, 1100, 1101], at)).toEqual([0, 1, 1, 2, 2, 3])
    expect(at(830)).toEqual([{ stage: 'take-up', level: 1, sinceS: 800, byS: 30, window: signs['taken-up'] }])
  })

  it('a narrow window bears half a minute and a minute and a half; what roasts on half of that', () => {
    const narrow = between(700, 720)
    expect(levelsAt([750, 751, 810, 811], nowS => lateIn(sweet, 'take-up', nowS, [], { signs: { 'taken-up': narrow } })))
      .toEqual([1, 2, 2, 3])
    expect(levelsAt([735, 736, 765, 766], nowS => lateIn(sweet, 'roast', nowS, [], { signs: { pale: narrow } })))
      .toEqual([1, 2, 2, 3])
    expect(levelsAt([735, 736], nowS => lateIn(sweet, 'nuts', nowS, [], { signs: { 'nuts-golden': narrow } })))
      .toEqual([1, 2])
  })

  it('a sign that was marked and not acted upon: twenty seconds after it, or after the stage began', () => {
    const sign = (timeS: number) => [timeS, 'sign.seen', { sign: 'taken-up' }] as const
    expect(lateIn(sweet, 'take-up', 370, [sign(350)])).toEqual([])
    expect(lateIn(sweet, 'take-up', 371, [sign(350)]))
      .toEqual([{ stage: 'take-up', level: 1, sinceS: 370, byS: 1, window: null }])
    expect(lateIn(sweet, 'take-up', 330, [sign(290)])).toMatchObject([{ sinceS: 320, byS: 10 }])
    // A darker colour shows it as well; the first of them counts.
    const looks = (timeS: number, step: string) => [timeS, 'looks.like', { step }] as const
    expect(lateIn(sweet, 'roast', 190, [looks(150, 'golden'), looks(180, 'brown')])).toMatchObject([{ sinceS: 170, byS: 20 }])
    expect(lateIn(sweet, 'roast', 190, [looks(130, 'raw'), looks(150, 'pale')])).toMatchObject([{ sinceS: 170 }])
  })

  it('minutes bear ten seconds; a press counts from its first release, or from when it must have come to pressure', () => {
    const carrot = starterPlan('winter-market-carrot')
    expect(lateIn(carrot, 'soften', 590)).toEqual([])
    expect(lateIn(carrot, 'soften', 591)).toMatchObject([{ stage: 'soften', sinceS: 590, window: null }])
    const press = starterPlan('cellar-beetroot')
    expect(lateIn(press, 'press', 1270)).toEqual([])
    expect(lateIn(press, 'press', 1271)).toMatchObject([{ sinceS: 1270, byS: 1 }])
    const heard: More = [[200, 'release.heard', {}], [300, 'release.heard', {}]]
    expect(lateIn(press, 'press', 571, heard)).toMatchObject([{ sinceS: 570, byS: 1 }])
  })

  it('a pour that goes on is asked for after four minutes, unless its end is still to come', () => {
    expect(lateIn(sweet, 'pour', 440)).toEqual([])
    expect(lateIn(sweet, 'pour', 441)).toMatchObject([{ stage: 'pour', sinceS: 440, byS: 1, window: null }])
    const stages = [0, 1, 2].map(() => between(0, 0))
    expect(lateIn(sweet, 'pour', 449, [], { stages: [...stages, between(400, 450)] })).toEqual([])
    expect(lateIn(sweet, 'pour', 450, [], { stages: [...stages, between(400, 450)] })).toMatchObject([{ sinceS: 440, byS: 10 }])
  })

  it('a rest is never late, nor is anything before its sign is forecast', () => {
    expect(lateIn(sweet, 'rest', 90_000)).toEqual([])
    expect(lateIn(sweet, 'take-up', 90_000)).toEqual([])
  })

  it('what stands beside: half a minute after it was to be lit, or past its own window, until it is ready or met', () => {
    const side = { vessel: 'pot', meets: 2, needs: between(1, 2), lightS: 300, boils: null }
    const lit: More = [[150, 'vessel.lit', { vessel: 'pot' }]]
    const boils = { sides: [{ ...side, lightS: null, boils: between(400, 440) }] }
    expect(lateIn(sweet, 'roast', 330, [], { sides: [side] })).toEqual([])
    expect(lateIn(sweet, 'roast', 331, [], { sides: [side] }))
      .toEqual([{ stage: 'sweet-water', level: 1, sinceS: 330, byS: 1, window: null }])
    expect(lateIn(sweet, 'pour', 231, [], { sides: [{ ...side, lightS: 100 }] })).toEqual([])
    expect(lateIn(sweet, 'roast', 331, [], { sides: [{ ...side, lightS: null }] })).toEqual([])
    expect(lateIn(sweet, 'roast', 440, lit, boils)).toEqual([])
    expect(lateIn(sweet, 'roast', 441, lit, boils)).toMatchObject([{ stage: 'sweet-water', level: 1, window: boils.sides[0]!.boils }])
    expect(lateIn(sweet, 'roast', 441, [...lit, [420, 'sign.seen', { sign: 'boil', vessel: 'pot' }]], boils)).toEqual([])
  })

  it('the pan comes before what stands beside, and of those the most urgent', () => {
    const two = starterPlan('slow-farina')
    const side = { meets: 9, needs: between(1, 2), lightS: null, boils: null }
    const sides = [
      { ...side, vessel: 'pot', boils: between(100, 580) },
      { ...side, vessel: 'second-pot', boils: between(100, 140) },
    ]
    const lit: More = [[20, 'vessel.lit', { vessel: 'pot' }], [21, 'vessel.lit', { vessel: 'second-pot' }]]
    expect(lateIn(two, 'roast', 600, lit, { sides, signs: { pale: between(500, 599) } }).map(one => [one.stage, one.level]))
      .toEqual([['roast', 1], ['hot-milk', 3], ['hot-water', 1]])
  })
})
