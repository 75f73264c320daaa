import { describe, expect, it } from 'vitest'
import { between, handForecast, storyTo, type More } from '../../../test/support/handForecast'
import { marked, starterPlan } from '../../../test/support/plans'
import type { Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import type { Forecast } from '../../record/plan/forecast'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { cueOf, dueSide } from './cue'

/** The cue of a cook that has come to a stage, with marks beside, at a second of it. */
const cueIn = (plan: CookPlan, stage: string, nowS: number, more: More = [], given: Partial<Forecast> = {}) =>
  cueOf(plan, replay(plan, storyTo(plan, stage, more)), handForecast(given), nowS)
/** A plan with some of its stages told otherwise. */
const withStage = (plan: CookPlan, id: string, told: Partial<Stage>): CookPlan =>
  ({ ...plan, dish: { ...plan.dish, stages: plan.dish.stages.map(one => (one.id === id ? { ...one, ...told } : one)) } })
const seen = (timeS: number, sign: string) => [timeS, 'sign.seen', { sign }] as const

/** Nuts 0, roast 100 (to pale), pour 200 of the pot, take up 300, enrich 400, rest 500. */
const plan = starterPlan('sweet-water-semolina')
/** A window of the next stage of the roast that is far away. */
const far = { stages: [between(0, 0), between(90, 110), between(900, 1000)] }

describe('the cue before and after the fire', () => {
  it('asks to light it, and says nothing else', () => {
    expect(cueOf(plan, replay(plan, []), null, 0))
      .toEqual({ code: 'not-lit', next: null, caution: null, heat: null, vessel: null })
  })

  it('says that it is done, with two hours where something perishes', () => {
    const done = (of: CookPlan) => cueOf(of, replay(of, [...storyTo(of, 'rest'), marked(60, 900, 'cook.finished')]), null, 950)
    const perishes = withStage(plan, 'rest', { cautions: ['two-hours'] })
    const not = { ...plan, dish: { ...plan.dish, stages: plan.dish.stages.map(one => ({ ...one, cautions: [] })) } }
    expect(done(perishes)).toEqual({ code: 'finished', next: null, caution: 'two-hours', heat: null, vessel: null })
    expect(done(not).caution).toBeNull()
  })
})

describe('the cue of nuts in fat', () => {
  const signs = { 'nuts-golden': between(40, 60) }
  it('fries until they are golden, then takes out what comes out', () => {
    expect(cueIn(plan, 'nuts', 30, [], { signs }))
      .toEqual({ code: 'fry', caution: 'hot-fat', heat: null, vessel: null, next: { sign: 'nuts-golden', window: signs['nuts-golden'] } })
    expect(cueIn(plan, 'nuts', 52, [seen(50, 'nuts-golden')], { signs })).toMatchObject({ code: 'take-out', next: null })
    expect(cueIn(withStage(plan, 'nuts', { takesOut: [] }), 'nuts', 52, [seen(50, 'nuts-golden')]).code).toBe('next')
  })
})

describe('the cue of a roast', () => {
  it('is watched from a minute before its window, with the pour before it comes', () => {
    expect(cueIn(plan, 'roast', 839, [], far)).toMatchObject({ code: 'roast', caution: 'hot-fat' })
    expect(cueIn(plan, 'roast', 840, [], far)).toMatchObject({ code: 'pour-soon', caution: 'pour' })
    const again = starterPlan('spare-hand-semolina')
    const next = { stages: [between(0, 0), between(900, 1000)] }
    expect(cueIn(again, 'roast-dry', 839, [], next).code).toBe('roast')
    expect(cueIn(again, 'roast-dry', 840, [], next).code).toBe('watch')
  })

  it('pours once its colour was seen, or a darker one; rains in where the grain goes to what boils', () => {
    expect(cueIn(plan, 'roast', 300, [[299, 'looks.like', { step: 'pale' }]], far))
      .toMatchObject({ code: 'pour-now', caution: 'pour' })
    expect(cueIn(plan, 'roast', 300, [[299, 'looks.like', { step: 'golden' }]], far).code).toBe('pour-now')
    expect(cueIn(starterPlan('brick-kiln-wheat'), 'roast', 300, [[299, 'looks.like', { step: 'golden' }]]).code).toBe('roast')
    expect(cueIn(starterPlan('well-head-semolina'), 'roast-dry', 300, [seen(299, 'aroma')]).code).toBe('rain-now')
    expect(cueIn(starterPlan('spare-hand-semolina'), 'roast-dry', 300, [seen(299, 'aroma')]).code).toBe('next')
  })

  it('is burnt by its smell and by its flecks, whatever else was seen', () => {
    for (const sign of ['burnt', 'flecks'])
      expect(cueIn(plan, 'roast', 300, [seen(280, sign), [299, 'looks.like', { step: 'pale' }]]).code).toBe('burnt')
  })

  it('is turned down from a minute before the forecast says', () => {
    expect(cueIn(plan, 'roast', 439, [], { turnDownS: 500 }).code).toBe('roast')
    expect(cueIn(plan, 'roast', 440, [], { turnDownS: 500 }).code).toBe('turn-down')
    expect(cueIn(plan, 'roast', 4400, [], { turnDownS: null }).code).toBe('roast')
  })

  it('waits for the aroma, then for the colour, then for nothing', () => {
    const signs = { aroma: between(700, 800), pale: between(900, 1000), crumbly: between(200, 300) }
    const next = (more: More) => cueIn(plan, 'roast', 150, more, { signs }).next
    expect(next([])).toEqual({ sign: 'aroma', window: signs.aroma })
    expect(next([seen(140, 'aroma')])).toEqual({ sign: 'pale', window: signs.pale })
    expect(next([[140, 'looks.like', { step: 'pale' }]])).toEqual({ sign: 'aroma', window: signs.aroma })
    expect(next([seen(140, 'aroma'), [145, 'looks.like', { step: 'pale' }]])).toBeNull()
    // A paste has no smell of its own to wait for.
    expect(cueIn(starterPlan('long-spoon-mung'), 'paste', 150, [], { signs }).next!.sign).toBe('crumbly')
  })
})

describe('the cue of a pour', () => {
  const uptake = (timeS: number, pace: string) => [timeS, 'uptake.seen', { pace }] as const
  const heard = (timeS: number, what: string) => [timeS, 'perceived', { as: what }] as const
  const parts = starterPlan('first-offering-semolina')
  it('goes on as it is taken up, and stops where it is not any more', () => {
    const code = (...more: More) => cueIn(parts, 'pour', 150, more).code
    expect(code()).toBe('pouring')
    expect(code(uptake(120, 'quickly'))).toBe('pour-on')
    expect(code(uptake(120, 'quickly'), uptake(130, 'slowly'))).toBe('pour-less')
    expect(code(uptake(120, 'slowly'), uptake(130, 'no-more'))).toBe('pour-stop')
    // What was seen before the pour began says nothing of it.
    expect(code(uptake(99, 'quickly'))).toBe('pouring')
    expect(code(uptake(100, 'quickly'))).toBe('pour-on')
  })

  it('puts the flame back once all is in and it spits no more', () => {
    expect(cueIn(plan, 'pour', 250, [heard(240, 'spitting-stopped')]).code).toBe('flame-back')
    expect(cueIn(plan, 'pour', 250, [heard(240, 'spitting-stopped'), heard(245, 'erupts')]).code).toBe('pouring')
    expect(cueIn(plan, 'pour', 250, [heard(199, 'spitting-stopped')]).code).toBe('pouring')
    expect(cueIn(parts, 'pour', 150, [heard(140, 'spitting-stopped')]).code).toBe('pouring')
    expect(cueIn(parts, 'pour', 150, [uptake(130, 'no-more'), heard(140, 'spitting-stopped')]).code).toBe('flame-back')
    expect(cueIn(parts, 'pour', 150, [uptake(130, 'slowly'), heard(140, 'spitting-stopped')]).code).toBe('pour-less')
  })

  it('goes on to the next stage at its sign; a rain at its minutes as well', () => {
    const milk = starterPlan('two-liquids-wheat')
    expect(cueIn(milk, 'milk', 320, [seen(310, 'milk-taken-up')])).toMatchObject({ code: 'next', caution: 'pour' })
    const rain = starterPlan('well-head-semolina')
    expect(cueIn(rain, 'rain', 159)).toMatchObject({ code: 'raining', caution: 'splashes' })
    expect(cueIn(rain, 'rain', 160).code).toBe('next')
    expect(cueIn(withStage(rain, 'rain', { until: { sign: 'boil' } }), 'rain', 110, [seen(105, 'boil')]).code).toBe('next')
  })
})

describe('the cue of what cooks wet', () => {
  it('is taken up, or works under its own name, and says what comes after it', () => {
    expect(cueIn(plan, 'take-up', 310)).toMatchObject({ code: 'cook-down', caution: 'spitting' })
    expect(cueIn(plan, 'take-up', 350, [seen(340, 'taken-up')]).code).toBe('enrich-soon')
    const sweetened = starterPlan('first-offering-semolina')
    expect(cueIn(sweetened, 'take-up', 250, [seen(240, 'taken-up')]).code).toBe('next')
    expect(cueIn(starterPlan('well-head-semolina'), 'swell', 210).code).toBe('work')
    const toRest = { ...plan, dish: { ...plan.dish, stages: plan.dish.stages.filter(one => one.id !== 'enrich') } }
    expect(cueIn(toRest, 'take-up', 350, [seen(340, 'taken-up')]).code).toBe('off-now')
  })

  it('is over after its minutes where it waits for those', () => {
    const carrot = starterPlan('winter-market-carrot')
    expect(cueIn(carrot, 'soften', 100 + 8 * 60 - 1).code).toBe('work')
    expect(cueIn(carrot, 'soften', 100 + 8 * 60).code).toBe('next')
    const press = starterPlan('cellar-beetroot')
    expect(cueIn(press, 'press', 359)).toMatchObject({ code: 'work', caution: 'pressure' })
    expect(cueIn(press, 'press', 360).code).toBe('next')
    expect(cueIn(plan, 'take-up', 90_000, [[350, 'checked', { what: 'going-on' }]]).code).toBe('cook-down')
  })

  it('goes on while a grain is hard within, until one is soft through', () => {
    const felt = (timeS: number, what: string) => [timeS, 'perceived', { as: what }] as const
    const up = seen(340, 'taken-up')
    expect(cueIn(plan, 'take-up', 350, [up, felt(345, 'hard-centre')]).code).toBe('still-hard')
    expect(cueIn(plan, 'take-up', 350, [up, felt(345, 'hard-centre'), felt(348, 'soft-through')]).code).toBe('enrich-soon')
    expect(cueIn(plan, 'take-up', 350, [up, felt(299, 'hard-centre')]).code).toBe('enrich-soon')
  })

  it('is taken off at the sign of its last portion of fat; the others go by their minutes', () => {
    expect(cueIn(plan, 'enrich', 410)).toMatchObject({ code: 'enrich', caution: 'hot-sweet' })
    expect(cueIn(plan, 'enrich', 420, [seen(415, 'leaves-sides')])).toMatchObject({ code: 'off-now', caution: 'hot-sweet' })
    const portions = starterPlan('slow-farina')
    const [first, last] = mainLine(portions.dish).flatMap((one, k) => (one.does === 'enrich' ? [{ id: one.id, at: k * 100 }] : []))
      .filter((_, i, all) => i === 0 || i === all.length - 1)
    expect(cueIn(portions, first!.id, first!.at + 179).code).toBe('enrich')
    expect(cueIn(portions, first!.id, first!.at + 180).code).toBe('next')
    const timed = withStage(portions, last!.id, { until: { minutes: 1 } })
    expect(cueIn(timed, last!.id, last!.at + 65).code).toBe('enrich')
  })

  it('sweetens until it has tightened', () => {
    const sweet = starterPlan('first-offering-semolina')
    const cautions = { cautions: ['not-of-this-version', 'syrup', 'pour'] }
    expect(cueIn(withStage(sweet, 'sweeten', cautions), 'sweeten', 310)).toMatchObject({ code: 'work', caution: 'syrup' })
    expect(cueIn(sweet, 'sweeten', 310, [seen(305, 'tightened')]).code).toBe('next')
  })

  it('rests its minutes', () => {
    expect(cueIn(plan, 'rest', 799)).toMatchObject({ code: 'rest', caution: 'hot-sweet' })
    expect(cueIn(plan, 'rest', 800).code).toBe('rested')
    expect(cueIn(withStage(plan, 'rest', { until: { sign: 'hand-warm' } }), 'rest', 500).code).toBe('rested')
  })
})

describe('what is too hot', () => {
  const smokes = withStage(plan, 'roast', { cautions: ['hot-fat', 'smoke'] })
  it('is said before the start, and a minute before its stage', () => {
    const first = withStage(plan, 'nuts', { cautions: ['smoke'] })
    expect(cueOf(first, replay(first, []), null, 0).heat).toBe('smoke')
    const stages = [between(0, 0), between(300, 400)]
    expect(cueIn(smokes, 'nuts', 239, [], { stages }).heat).toBeNull()
    expect(cueIn(smokes, 'nuts', 240, [], { stages }).heat).toBe('smoke')
    expect(cueIn(smokes, 'roast', 150, [], far)).toMatchObject({ heat: 'smoke', caution: 'hot-fat' })
    // What comes after the next is not said yet, and what is over no more.
    const later = withStage(plan, 'pour', { cautions: ['scorch'] })
    expect(cueIn(later, 'nuts', 290, [], { stages: [...stages, between(301, 400)] }).heat).toBeNull()
    expect(cueIn(smokes, 'pour', 250).heat).toBeNull()
  })
})

describe('the other vessel', () => {
  const sides = (lightS: number | null) => ({ sides: [{ vessel: 'pot', meets: 2, needs: between(200, 300), lightS, boils: null }] })
  it('is called ten seconds before it is due, with what of the pan is dangerous', () => {
    expect(cueIn(plan, 'roast', 489, [], sides(500)).code).toBe('roast')
    const hot = withStage(plan, 'roast', { cautions: ['smoke', 'hot-fat'] })
    expect(cueIn(hot, 'roast', 490, [], sides(500)))
      .toMatchObject({ code: 'light-other', vessel: 'pot', caution: 'hot-fat', heat: 'smoke' })
    const press = withStage(plan, 'roast', { does: 'press', cautions: ['pressure'], until: { minutes: 60 } })
    expect(cueIn(press, 'roast', 490, [], sides(500))).toMatchObject({ code: 'light-other', caution: null })
  })

  it('is not due before the start, once it is lit, once it has met the pan, or where none is laid out', () => {
    const due = (stage: string | null, more: More, of: CookPlan = plan) => {
      return dueSide(of, replay(of, stage === null ? [] : storyTo(of, stage, more)), handForecast(sides(500)), 600)
    }
    expect(due('roast', [])).toBe('pot')
    expect(due(null, [])).toBeNull()
    expect(due('roast', [[480, 'vessel.lit', { vessel: 'pot' }]])).toBeNull()
    expect(due('pour', [])).toBeNull()
    expect(due('roast', [], { ...plan, dish: { ...plan.dish, stages: mainLine(plan.dish) } })).toBeNull()
    expect(dueSide(plan, replay(plan, storyTo(plan, 'roast')), handForecast(sides(null)), 6000)).toBeNull()
  })
})

describe('what is asked', () => {
  const asks = { stage: 'pour', atS: 300, sign: 'pale' } as const
  const doubts = { nowS: 400, doubts: { asks, surprise: null }, ...far }
  it('comes before everything else, with the caution of the moment', () => {
    const hot = withStage(plan, 'roast', { cautions: ['hot-fat'] })
    expect(cueIn(hot, 'roast', 420, [], doubts))
      .toEqual({ code: 'asked', next: null, caution: 'hot-fat', heat: null, vessel: null, asks })
    expect(cueIn(plan, 'rest', 900, [], { nowS: 890, doubts: { asks: { ...asks, stage: null }, surprise: null } }).code).toBe('asked')
  })

  it('is answered by any newer mark that stands, and by being elsewhere', () => {
    expect(cueIn(plan, 'roast', 420, [[410, 'checked', { what: 'going-on' }]], doubts).code).toBe('roast')
    expect(cueIn(plan, 'roast', 420, [[400, 'checked', { what: 'going-on' }]], doubts).code).toBe('asked')
    const back: More = [[410, 'checked', { what: 'going-on' }], [412, 'withdrawn', { replaces: 'tablet-3' }]]
    const all = replay(plan, storyTo(plan, 'roast', back))
    expect(all.moments.map(one => one.withdrawn)).toEqual([false, false, true])
    expect(cueIn(plan, 'roast', 420, back, doubts).code).toBe('asked')
    expect(cueIn(plan, 'pour', 420, [], doubts).code).toBe('pouring')
    expect(cueOf(plan, replay(plan, []), handForecast(doubts), 420).code).toBe('not-lit')
  })
})

describe('what is late', () => {
  const signs = { pale: between(200, 240) }
  it('comes before all but a question: a window that has passed, at once', () => {
    expect(cueIn(plan, 'roast', 240, [], { signs }).code).toBe('roast')
    expect(cueIn(plan, 'roast', 241, [], { signs })).toMatchObject({
      code: 'late', next: null, vessel: null, late: { stage: 'roast', level: 1, sinceS: 240, byS: 1 },
    })
  })

  it('leaves a sign that was just marked, or minutes that are just over, their own cue; a press is told at once', () => {
    const carrot = starterPlan('winter-market-carrot')
    expect(cueIn(carrot, 'soften', 100 + 480 + 11).code).toBe('next')
    expect(cueIn(carrot, 'soften', 100 + 480 + 10 + 31).code).toBe('late')
    const press = starterPlan('cellar-beetroot')
    expect(cueIn(press, 'press', 20 + 360 + 11, [[20, 'release.heard', {}]])).toMatchObject({ code: 'late', caution: 'pressure' })
  })

  it('is the other vessel: to be lit, or past its own window', () => {
    const side = { vessel: 'pot', meets: 2, needs: between(200, 300), lightS: 300, boils: null }
    expect(cueIn(plan, 'roast', 331, [], { sides: [side] }))
      .toMatchObject({ code: 'light-other', vessel: 'pot', late: { stage: 'sweet-water', window: null } })
    const boils = { ...side, lightS: null, boils: between(400, 500) }
    expect(cueIn(plan, 'roast', 501, [[200, 'vessel.lit', { vessel: 'pot' }]], { sides: [boils] }))
      .toMatchObject({ code: 'late', vessel: 'pot', late: { stage: 'sweet-water', window: boils.boils } })
  })
})
