import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { marked, starterPlan } from '../../../test/support/plans'
import { mainLine } from '../../formulation/dish/mainLine'
import { stageDish } from '../../formulation/stages/stageDish'
import { SIGN_IDS } from '../../formulation/signs/signIds'
import { forecastCook } from '../../process/forecast/forecastCook'
import { cueOf } from '../guidance/cue'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { isTerm, SENSES, TERM_CODES, TERMS } from '../../formulation/signs/terms'
import { perceptionsOf } from './perceptionsOf'

const dishes = STARTER_DISHES.map(stageDish)
const codes = (id: string, stage: string) => {
  const dish = dishes.find(one => one.id === id)!
  return perceptionsOf(dish, mainLine(dish).find(one => one.id === stage)!).map(one => one.code)
}
const begun = (plan: CookPlan, upTo: number) => [
  marked(1, 0, 'cook.started'),
  ...mainLine(plan.dish)
    .slice(1, upTo + 1)
    .map((stage, i) => marked(i + 2, 300 * (i + 1), 'stage.began', { stage: stage.id })),
]

describe('what can be perceived', () => {
  it.each(dishes.map(dish => [dish.id, dish] as const))(
    '%s: at every stage that waits for a sign, the sign is known by something, come and not yet',
    (_, dish) => {
      for (const stage of mainLine(dish)) {
        const offered = perceptionsOf(dish, stage)
        expect(
          offered.map(one => one.sense),
          stage.id,
        ).toEqual([...offered.map(one => one.sense)].sort((a, b) => SENSES.indexOf(a) - SENSES.indexOf(b)))
        expect(new Set(offered.map(one => one.code)).size).toBe(offered.length)
        if (!('sign' in stage.until) || stage.does === 'roast') continue
        const own = offered
          .filter(({ mark }) => 'sign' in mark.payload && mark.payload.sign === (stage.until as { sign: string }).sign)
          .map(one => one.mark.kind)
        expect(own, `${stage.id} ${stage.until.sign}`).toContain('sign.seen')
        expect(own, `${stage.id} ${stage.until.sign}`).toContain('not.yet')
      }
    },
  )

  it('speaks in the terms of the base: sand, custard and crumbs, stiff and flowing', () => {
    expect(codes('sweet-water-semolina', 'roast')).toEqual(expect.arrayContaining(['nutty', 'acrid', 'wet-sand']))
    expect(codes('brick-kiln-wheat', 'roast')).toEqual(
      expect.arrayContaining(['wheat-paste', 'custard', 'crumbs-in-fat']),
    )
    expect(codes('blue-door-gram', 'roast')).toEqual(expect.arrayContaining(['stiff', 'flows']))
    expect(codes('sweet-water-semolina', 'roast')).not.toContain('custard')
    expect(codes('long-spoon-mung', 'paste')).toEqual(expect.arrayContaining(['wet-lumps', 'falls-to-crumbs']))
    expect(codes('winter-market-carrot', 'milk')).toEqual(expect.arrayContaining(['milk-splits', 'catches']))
    expect(codes('cellar-beetroot', 'wait')).toEqual(['hisses', 'lid-gives'])
  })

  it('is offered somewhere, each of them, and what balls are judged by where the sugar is rubbed in', () => {
    const everywhere = new Set(
      dishes.flatMap(dish => mainLine(dish).flatMap(stage => perceptionsOf(dish, stage).map(one => one.code))),
    )
    expect(TERM_CODES.filter(code => !everywhere.has(code))).toEqual([])
    expect(codes('marble-gram-balls', 'rub-in')).toEqual(['slumps', 'holds-pressed', 'crumbles'])
  })

  it('names only signs that there are', () => {
    for (const code of TERM_CODES) {
      const { sign, says } = TERMS[code]
      expect(sign === null).toBe(says === null)
      if (sign !== null) expect(SIGN_IDS).toContain(sign)
    }
    expect([isTerm('nutty'), isTerm('toString'), isTerm(4)]).toEqual([true, false, false])
  })
})

describe('a perception that was marked', () => {
  const plan = starterPlan('sweet-water-semolina')

  it('is kept with the cook, and one that is not known here is passed over', () => {
    const cook = replay(plan, [
      ...begun(plan, 1),
      marked(40, 500, 'perceived', { as: 'wet-sand' }),
      marked(41, 510, 'perceived', { as: 'from-a-newer-version' }),
    ])
    expect(cook.perceived.map(one => [one.what, one.timeS])).toEqual([['wet-sand', 500]])
    expect(cook.moments.filter(one => !one.known).map(one => one.payload.as)).toEqual(['from-a-newer-version'])
  })

  it('narrows as the sign it stands for does, and a raw smell puts the pour later', () => {
    const window = (...more: readonly ReturnType<typeof marked>[]) =>
      forecastCook(plan, [...begun(plan, 1), ...more], 560, 150).stages[2]!
    const [nutty] = perceptionsOf(plan.dish, mainLine(plan.dish)[1]!).filter(one => one.code === 'nutty')
    expect(window(marked(40, 555, nutty!.mark.kind, nutty!.mark.payload))).toEqual(
      window(marked(40, 555, 'sign.seen', { sign: 'aroma' })),
    )
    expect(window(marked(40, 555, 'not.yet', { sign: 'aroma', as: 'raw-smell' })).middle).toBeGreaterThan(
      window(marked(40, 555, 'sign.seen', { sign: 'aroma' })).middle,
    )
  })

  it('turns the cue: the flame back once the spitting has stopped, no sugar while a grain has a hard centre', () => {
    const cue = (upTo: number, ...marks: readonly [string, Record<string, unknown>][]) => {
      const began = 300 * upTo
      return cueOf(
        plan,
        replay(plan, [
          ...begun(plan, upTo),
          ...marks.map(([kind, payload], i) => marked(40 + i, began + 10 + i, kind, payload)),
        ]),
        null,
        began + 30,
      ).code
    }
    const [pour, takeUp] = ['pour', 'take-up'].map(id => mainLine(plan.dish).findIndex(stage => stage.id === id))
    expect(cue(pour!)).toBe('pouring')
    expect(cue(pour!, ['perceived', { as: 'spitting-stopped' }])).toBe('flame-back')
    expect(cue(pour!, ['perceived', { as: 'spitting-stopped' }], ['perceived', { as: 'erupts' }])).toBe('pouring')
    expect(cue(takeUp!, ['perceived', { as: 'hard-centre' }], ['sign.seen', { sign: 'taken-up' }])).toBe('still-hard')
    expect(
      cue(
        takeUp!,
        ['perceived', { as: 'hard-centre' }],
        ['sign.seen', { sign: 'taken-up' }],
        ['perceived', { as: 'soft-through' }],
      ),
    ).not.toBe('still-hard')
  })

  it('stops a roast at an acrid smell as at a burnt colour', () => {
    const roast = mainLine(plan.dish).findIndex(stage => stage.does === 'roast')
    const [acrid] = perceptionsOf(plan.dish, mainLine(plan.dish)[roast]!).filter(one => one.code === 'acrid')
    const cue = (...more: readonly ReturnType<typeof marked>[]) =>
      cueOf(plan, replay(plan, [...begun(plan, roast), ...more]), null, 300 * roast + 90).code
    expect(cue()).not.toBe('burnt')
    expect(cue(marked(40, 300 * roast + 60, acrid!.mark.kind, acrid!.mark.payload))).toBe('burnt')
  })

  it('does not call the flame back while liquid is still to be poured in parts', () => {
    const parts = starterPlan('brick-kiln-wheat', {
      dish: stageDish({
        ...STARTER_DISHES.find(one => one.id === 'brick-kiln-wheat')!,
        choices: { ...STARTER_DISHES.find(one => one.id === 'brick-kiln-wheat')!.choices, pour: 'in-parts' },
      }),
    })
    const pour = mainLine(parts.dish).findIndex(stage => stage.id === 'pour')
    const cue = (...more: readonly ReturnType<typeof marked>[]) =>
      cueOf(parts, replay(parts, [...begun(parts, pour), ...more]), null, 300 * pour + 30).code
    const stopped = marked(40, 300 * pour + 10, 'perceived', { as: 'spitting-stopped' })
    expect(cue(stopped)).toBe('pouring')
    expect(cue(stopped, marked(41, 300 * pour + 20, 'uptake.seen', { pace: 'no-more' }))).toBe('flame-back')
  })
})

/** What each stage is judged by, in the terms of its base (craft, sections 2, 5 and 6). */
const JUDGED_BY: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'sweet-water-semolina': {
    'nuts': 'nuts-pale nuts-turned',
    'roast': 'raw-smell nutty acrid dark-flecks wet-sand',
    'pour': 'lumps erupts spitting-stopped',
    'take-up': 'puddle no-puddle has-grown leaves-sides hard-centre soft-through',
    'enrich': 'sticks-still leaves-sides crumb-when-parted fat-at-edge glossy',
    'rest': '',
  },
  'lantern-vermicelli': {
    'nuts': 'nuts-pale nuts-turned',
    'roast': 'raw-smell nutty acrid dark-flecks brittle',
    'pour': 'erupts spitting-stopped',
    'take-up': 'puddle no-puddle has-grown leaves-sides hard-centre soft-through',
    'sweeten': 'runs-again glossy tight-again',
    'enrich': 'sticks-still leaves-sides fat-at-edge glossy',
    'rest': '',
  },
  'long-spoon-mung': {
    'nuts': 'nuts-pale nuts-turned',
    'paste': 'nutty acrid wet-lumps falls-to-crumbs lumps no-paste-felt',
    'roast': 'raw-smell nutty acrid dark-flecks',
    'pour': 'lumps erupts spitting-stopped',
    'take-up': 'puddle no-puddle has-grown leaves-sides hard-centre soft-through',
    'sweeten': 'runs-again glossy tight-again',
    'enrich': 'leaves-sides fat-at-edge glossy',
    'enrich-2': 'leaves-sides fat-at-edge glossy',
    'enrich-3': 'sticks-still leaves-sides crumb-when-parted fat-at-edge glossy',
    'rest': '',
  },
  'well-head-semolina': {
    'roast-dry': 'raw-smell nutty acrid dark-flecks',
    'rain': 'lumps erupts spitting-stopped',
    'swell': 'puddle no-puddle has-grown leaves-sides lumps hard-centre soft-through',
    'sweeten': 'runs-again glossy tight-again',
    'enrich': 'leaves-sides fat-at-edge glossy',
    'enrich-2': 'leaves-sides fat-at-edge glossy',
    'enrich-3': 'sticks-still leaves-sides crumb-when-parted fat-at-edge glossy',
    'rest': '',
  },
  'winter-market-carrot': {
    'nuts': 'nuts-pale nuts-turned',
    'soften': 'raw-smell-gone pasty tender',
    'soften-2': 'raw-smell-gone still-heaped half-the-volume pasty tender',
    'milk': 'catches milk-runs milk-gone pasty milk-grainy milk-splits',
    'sweeten': 'runs-again glossy tight-again',
    'enrich': 'sticks-still leaves-sides fat-at-edge glossy',
    'rest': '',
  },
  'diamond-cashew': {
    'syrup': 'syrup-thin syrup-right grains-on-wall',
    'soften': 'raw-smell-gone juice-stands no-juice bubbles-still fries tender',
    'enrich': 'leaves-base leaves-sides fat-at-edge glossy soft-to-stir moves-as-one pinch-rolls',
    'rest': '',
  },
  'marble-gram-balls': {
    'roast': 'raw-smell nutty acrid dark-flecks flows stiff',
    'cool': 'steams-still hand-warm',
    'rub-in': 'slumps holds-pressed crumbles',
  },
  'rain-day-mung': {
    'nuts': 'nuts-pale nuts-turned',
    'soften': 'raw-smell-gone juice-stands no-juice bubbles-still fries tender',
    'sweeten': 'runs-again glossy tight-again',
    'enrich': 'sticks-still leaves-sides crumb-when-parted fat-at-edge glossy',
    'rest': '',
  },
  'cart-wheel-pumpkin': {
    'soften': 'raw-smell-gone juice-stands no-juice pasty bubbles-still fries tender',
    'sweeten': 'runs-again glossy tight-again',
    'fat-in': 'raw-smell nutty acrid no-fat-yet fat-at-edge dark-flecks pasty',
    'enrich': 'sticks-still leaves-sides fat-at-edge glossy',
    'rest': '',
  },
  'window-pane-wheat': {
    'thicken': 'thin-still lumps thick-now',
    'sweeten': 'runs-again glossy tight-again',
    'enrich': 'leaves-sides fat-at-edge glossy',
    'enrich-2': 'leaves-sides fat-at-edge glossy',
    'enrich-3': 'leaves-base leaves-sides fat-at-edge glossy soft-to-stir moves-as-one pinch-rolls',
    'rest': '',
  },
}

describe('what a stage is judged by', () => {
  it.each(Object.entries(JUDGED_BY).flatMap(([id, stages]) => Object.entries(stages).map(([stage, judged]) => [id, stage, judged] as const)))(
    '%s: %s', (id, stage, judged) => expect(codes(id, stage).join(' ')).toBe(judged),
  )

  it('is marked as the sign it is, as one that has not come, or as itself', () => {
    const marks = (id: string, stage: string) => {
      const dish = dishes.find(one => one.id === id)!
      return perceptionsOf(dish, mainLine(dish).find(one => one.id === stage)!).map(({ code, mark }) => [code, mark.kind, 'sign' in mark.payload ? mark.payload.sign : null])
    }
    expect(marks('sweet-water-semolina', 'take-up')).toEqual([
      ['puddle', 'not.yet', 'taken-up'], ['no-puddle', 'sign.seen', 'taken-up'], ['has-grown', 'perceived', null],
      ['leaves-sides', 'sign.seen', 'leaves-sides'], ['hard-centre', 'perceived', null], ['soft-through', 'perceived', null],
    ])
  })
})
