import { describe, expect, it } from 'vitest'
import { between, handForecast } from '../../../test/support/handForecast'
import { marked, starterPlan } from '../../../test/support/plans'
import { usualMinutes } from '../../formulation/dish/usualMinutes'
import { replay } from '../../record/replay/replay'
import { fromFire } from './fromFire'
import { nextOfDay } from './nextOfDay'
import { stageSpans } from './stageSpans'

/** Nuts, roast, pour, take up, enrich, rest, and the pot beside. */
const plan = starterPlan('sweet-water-semolina')
const { dish } = plan
const window = (early: number, middle: number, late: number) => ({ early, middle, late })

describe('minutes of every stage', () => {
  const stages = [window(0, 0, 0), window(240, 300, 420), window(600, 840, 1140), window(660, 900, 1200)]
  const sides = [{ vessel: 'pot', meets: 2, needs: window(200, 301, 421), lightS: 0, boils: null }]
  const spans = stageSpans(dish, { stages, sides })

  it('are what an end has more than its start, as far as both are of one window', () => {
    expect(spans.nuts).toEqual([4, 5, 7])
    // Nine minutes; its end is sure to 240 and 300 s, of which its start has 60 and 120: 232 and 275 s are its own.
    expect(spans.roast).toEqual([Math.floor((540 - Math.sqrt(240 ** 2 - 60 ** 2)) / 60), 9, Math.ceil((540 + Math.sqrt(300 ** 2 - 120 ** 2)) / 60)])
    // No less than two fifths of the likely time.
    expect(stageSpans(dish, { stages: [window(0, 0, 0), window(10, 600, 700)], sides: [] }).nuts![0]).toBe(4)
    expect(spans['sweet-water']).toEqual([3, 5, 8])
  })

  it('are usual ones elsewhere: of the hands 0.8 to 1.35 of them, of what waits by itself to 1.5', () => {
    const rest = dish.stages.find(one => one.id === 'rest')!
    const usual = usualMinutes(dish, rest)
    expect(spans.rest).toEqual([Math.max(1, Math.round(usual * 0.8)), usual, Math.ceil(usual * (rest.hands === 0 ? 1.5 : 1.35))])
    // A pour waits for its minutes, whatever is forecast.
    expect(spans.pour).toEqual([1, 1, 2])
    const soak = starterPlan('long-spoon-mung').dish
    const minutes = usualMinutes(soak, soak.stages.find(one => one.id === 'soak')!)
    expect(stageSpans(soak, { stages: [], sides: [] }).soak).toEqual([Math.round(minutes * 0.8), minutes, Math.ceil(minutes * 1.5)])
  })
})

describe('the next step of a day', () => {
  const day = {
    meals: [{ id: 'm1', name: 'meal', at: 600, flexMin: 0 }, { id: 'm2', name: 'meal', at: 500, flexMin: 0 }],
    plan: { starts: { 'd1.roast': 480, 'd1.pour': 510, 'd2.wash': 460 }, late: { m1: 5 }, cost: 0, bound: 0, proven: true, room: 1, latest: {}, tries: null },
  } as unknown as Parameters<typeof nextOfDay>[0]
  const with_ = (doings: Parameters<typeof nextOfDay>[0]['doings']) => ({ ...day, doings })

  it('is the first that is not begun, or what goes on', () => {
    expect(nextOfDay(with_([]), 400)).toEqual({ dish: 'd2', activity: 'wash', at: 460, going: false })
    expect(nextOfDay(with_([{ step: 'd2.wash', begun: 459, ended: 470 }]), 470)).toEqual({ dish: 'd1', activity: 'roast', at: 480, going: false })
    expect(nextOfDay(with_([{ step: 'd1.roast', begun: 482, ended: null }]), 490)).toEqual({ dish: 'd1', activity: 'roast', at: 482, going: true })
    expect(nextOfDay(with_([{ step: 'd2.wash', begun: null, ended: null }]), 470)).toMatchObject({ activity: 'wash' })
  })

  it('is nothing without a plan, an hour after the last meal as it is late now, or once all is begun', () => {
    expect(nextOfDay({ ...with_([]), plan: null }, 400)).toBeNull()
    expect([665, 666].map(now => nextOfDay(with_([]), now) === null)).toEqual([false, true])
    expect(nextOfDay(with_(['d1.roast', 'd1.pour', 'd2.wash'].map(step => ({ step, begun: 400, ended: 410 }))), 500)).toBeNull()
  })
})

describe('what a cook at the fire says of the day', () => {
  const steps = ['nuts', 'roast', 'pour', 'take-up', 'sweet-water', 'grate']
  const minuteOf = (timeS: number): number => 100 + timeS / 60
  const stages = [between(0, 0), between(240, 360), between(840, 900), between(960, 1020), between(1500, 1560), between(1800, 2100), between(2160, 2400)]
  const read = (marks: readonly ReturnType<typeof marked>[], of: readonly string[] = steps) =>
    fromFire({ id: 'd1', steps: of }, plan, replay(plan, marks), handForecast({ stages }), minuteOf)
  const started = [marked(1, 0, 'cook.started'), marked(2, 300, 'stage.began', { stage: 'roast' })]

  it('is what is begun and ended, and how long the rest is forecast to take', () => {
    expect(read([])).toEqual({ doings: [], spans: {} })
    const { doings, spans } = read(started)
    expect(doings).toEqual([{ step: 'd1.nuts', begun: 100, ended: 105 }, { step: 'd1.roast', begun: 105, ended: null }])
    // From 300 s: its end is forecast at 840, 870 and 900 s.
    expect(spans['d1.roast']).toEqual([9, 10, 10])
    expect(spans['d1.nuts']).toBeUndefined()
    // Not begun: from the middle of its own beginning, and to the rest that follows what was joined to it.
    expect(spans['d1.pour']).toEqual([2, 2, 3])
    expect(spans['d1.take-up']).toEqual([14, 16, 19])
  })

  it('is the vessels beside, and what was done away from the fire', () => {
    const lit = [...started, marked(3, 360, 'vessel.lit', { vessel: 'pot' })]
    expect(read(lit).doings.at(-1)).toEqual({ step: 'd1.sweet-water', begun: 106, ended: null })
    expect(read([...lit, marked(4, 600, 'sign.seen', { sign: 'boil', vessel: 'pot' })]).doings.at(-1)).toEqual({ step: 'd1.sweet-water', begun: 106, ended: 110 })
    expect(read(lit, ['nuts', 'roast']).doings.map(one => one.step)).toEqual(['d1.nuts', 'd1.roast'])
  })
})
