import { FORMS } from './forms'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { INGREDIENTS } from '../../../book/ingredients'
import { STARTER_DISHES } from '../../../book/dishes'
import { DishCardSchema, DishSchema } from '../../../contracts/dish'
import { rowOf } from '../../../test/support/plans'
import { CoreError } from '../../error'
import { FAMILY_IDS } from '../family/family'
import { spansOf, STYLES } from './spans'
import { measuredAmounts } from '../proportions/measuredAmounts'
import { CHOICE_VALUES, FAT_WAYS, LIQUIDS, NUT_WAYS, SUGAR_WAYS, type Choices } from './choices'
import type { DishCard } from './dish'
import { mainLine } from './mainLine'
import { newDish } from './newDish'
import { stageDish } from '../stages/stageDish'
import { PREPARATIONS_OF, troublesOf, TROUBLES } from './troublesOf'
import { usualMinutes } from './usualMinutes'
import { withChoice } from './withChoice'

const starter = (id: string) => STARTER_DISHES.find(dish => dish.id === id)!
const ids = (id: string, changes: Partial<Choices> = {}): string[] => stageDish(withChoice(starter(id), changes, rowOf)).stages.map(stage => stage.id)
const anyChoices: fc.Arbitrary<Choices> = fc.record(Object.fromEntries(Object.entries(CHOICE_VALUES).map(([key, values]) => [key, fc.constantFrom(...values as readonly unknown[])])) as never)
const anyCard = fc.tuple(fc.constantFrom(...STARTER_DISHES), anyChoices).map(([dish, choices]) => withChoice({ ...dish, choices: { ...choices, liquid: dish.choices.liquid } }, { liquid: choices.liquid, sugar: choices.sugar }, rowOf))
/** Any dish that can be cooked: any choices, led by the first offer of each trouble. */
const cookable = anyCard.map(led).filter(card => troublesOf(card).length === 0)

function led(start: DishCard): DishCard {
  let card = start
  for (let step = 0; step < 12; step++) {
    const offer = troublesOf(card)[0]?.offers[0]
    if (!offer) return card
    card = withChoice(card, offer, rowOf)
  }
  return card
}

describe('the stages of a dish', () => {
  it('follow from its choices: the first starter dish', () => {
    expect(ids('sweet-water-semolina')).toEqual(['nuts', 'roast', 'sweet-water', 'pour', 'take-up', 'enrich', 'rest'])
  })

  it.each([
    ['sugar after swelling', 'sweet-water-semolina', { sugar: 'after-swelling' }, ['nuts', 'roast', 'hot-water', 'pour', 'take-up', 'sweeten', 'enrich', 'rest']],
    ['fat little by little', 'sweet-water-semolina', { fat: 'little-by-little' }, ['nuts', 'roast', 'sweet-water', 'pour', 'take-up', 'enrich', 'enrich-2', 'enrich-3', 'rest']],
    ['nuts last', 'sweet-water-semolina', { nuts: 'last' }, ['roast', 'sweet-water', 'pour', 'take-up', 'enrich', 'nuts-last', 'rest', 'free-share', 'nuts-in']],
    ['dry first', 'sweet-water-semolina', { fat: 'dry-first', nuts: 'into-roast' }, ['roast-dry', 'roast', 'sweet-water', 'pour', 'take-up', 'enrich', 'rest']],
    ['not tasted', 'sweet-water-semolina', { tasting: 'not-tasted' }, ['nuts', 'roast', 'sweet-water', 'pour', 'take-up', 'enrich', 'rest', 'set-apart']],
    ['a slurry', 'window-pane-wheat', {}, ['steep', 'mix', 'thicken', 'syrup', 'sweeten', 'enrich', 'enrich-2', 'enrich-3', 'nuts-last', 'rest', 'free-share', 'nuts-in', 'spread', 'set']],
    ['rained in', 'well-head-semolina', {}, ['roast-dry', 'hot-water', 'rain', 'swell', 'sweeten', 'enrich', 'enrich-2', 'enrich-3', 'nuts-last', 'rest', 'free-share', 'nuts-in']],
    ['rained in, roasted in its fat', 'first-offering-semolina', { pour: 'rained' }, ['roast', 'hot-water', 'rain', 'swell', 'sweeten', 'enrich', 'nuts-last', 'rest', 'free-share', 'nuts-in', 'set-apart']],
    ['balls', 'marble-gram-balls', {}, ['roast', 'cool', 'rub-in', 'roll']],
    ['open pan', 'cellar-beetroot', { cooking: 'open' }, ['grate', 'soften', 'milk', 'sweeten', 'enrich', 'nuts-last', 'rest', 'free-share', 'nuts-in']],
    ['pressure', 'cellar-beetroot', {}, ['grate', 'press', 'wait', 'milk', 'sweeten', 'enrich', 'nuts-last', 'rest', 'free-share', 'nuts-in']],
    ['raw paste', 'long-spoon-mung', {}, ['soak', 'drain', 'grind', 'nuts', 'paste', 'roast', 'hot-milk', 'pour', 'take-up', 'sweeten', 'enrich', 'enrich-2', 'enrich-3', 'rest']],
    ['dry ground', 'granary-chickpea', {}, ['wash-dry', 'roast-whole', 'cool-whole', 'grind', 'steep', 'roast', 'syrup', 'pour', 'take-up', 'enrich', 'nuts-last', 'rest', 'free-share', 'nuts-in']],
  ] as const)('%s', (_, id, changes, wanted) => {
    expect(ids(id, changes)).toEqual(wanted)
  })

  it('never place sugar before swelling in the school that forbids it', () => {
    fc.assert(fc.property(cookable.filter(card => card.choices.sugar === 'after-swelling'), (card) => {
      const dish = stageDish(card)
      const sweet = new Set(card.ingredients.filter(one => one.part === 'sugar' || one.part === 'jaggery' || one.part === 'condensed').map(one => one.id))
      const line = mainLine(dish)
      const swollen = line.findIndex(stage => 'sign' in stage.until && (stage.until.sign === 'taken-up' || stage.until.sign === 'thickened'))
      expect(swollen).toBeGreaterThanOrEqual(0)
      for (const stage of dish.stages) {
        if (!stage.adds.some(add => sweet.has(add.ingredient))) continue
        expect(stage.meets).toBeUndefined()
        expect(line.indexOf(stage)).toBeGreaterThan(swollen)
      }
    }), { numRuns: 600 })
  })

  it('put every ingredient in wholly, name vessels they have, and turn somewhere, whatever is chosen', () => {
    fc.assert(fc.property(cookable, (card) => {
      const dish = stageDish(card)
      expect(DishSchema.safeParse(dish).error?.issues ?? []).toEqual([])
      expect(new Set(dish.stages.map(stage => stage.id)).size).toBe(dish.stages.length)
      const liquidParts = new Set(['water', 'milk', 'juice'])
      for (const one of card.ingredients) {
        const put = dish.stages.flatMap(stage => stage.adds).filter(add => add.ingredient === one.id).reduce((sum, add) => sum + add.share, 0)
        const out = dish.stages.some(stage => stage.takesOut.includes(one.id))
        const handled = dish.stages.some(stage => stage.handles?.includes(one.id))
        const unused = card.choices.liquid === 'none' && one.part !== undefined && liquidParts.has(one.part)
        if (!unused && !(handled && put === 0)) expect(Math.round(put * 1e9) / 1e9, `${card.id} ${one.id} ${JSON.stringify(card.choices)}`).toBe(out ? 2 : 1)
      }
      for (const stage of dish.stages) {
        expect(stage.vessel === 'table' || dish.vessels.some(vessel => vessel.id === stage.vessel)).toBe(true)
        expect(usualMinutes(dish, stage)).toBeGreaterThan(0)
        if (stage.meets) expect(mainLine(dish).map(one => one.id)).toContain(stage.meets.stage)
      }
      expect(mainLine(dish).map(one => one.id)).toContain(dish.keystone.stage)
    }), { numRuns: 600 })
  })

  it('carry a caution wherever liquid meets hot fat, syrup is boiled or pressure builds', () => {
    for (const dish of STARTER_DISHES.map(stageDish)) {
      for (const stage of dish.stages) {
        if (stage.does === 'pour') expect(stage.cautions, `${dish.id} ${stage.id}`).toContain(stage.from === stage.vessel ? 'splashes' : 'pour')
        if (stage.does === 'boil-syrup') expect(stage.cautions).toContain('syrup')
        if (stage.does === 'press') expect(stage.cautions).toContain('pressure')
        if (stage.does === 'fry') expect(stage.cautions).toContain('hot-fat')
      }
    }
  })

  it('let a lentil swell in its milk before its syrup goes in', () => {
    const mung = starter('long-spoon-mung')
    const order = ids('long-spoon-mung', { sugar: 'syrup' })
    expect(mung.ingredients.some(one => one.part === 'milk')).toBe(true)
    expect(order.indexOf('sweeten')).toBeGreaterThan(order.indexOf('take-up'))
    const staged = stageDish(withChoice(mung, { sugar: 'syrup' }, rowOf))
    expect(staged.stages.find(one => one.id === 'pour')!.from).toBe(staged.stages.find(one => one.id === 'hot-milk')!.vessel)
    expect(staged.stages.find(one => one.id === 'sweeten')!.from).toBe(staged.stages.find(one => one.id === 'syrup')!.vessel)
  })

  it('rain the grain into the deep pan where its liquid boils, with all of its fruit', () => {
    const dish = stageDish(starter('well-head-semolina'))
    const of = (id: string) => dish.stages.find(one => one.id === id)!
    expect([of('roast-dry').vessel, of('hot-water').vessel, of('rain').vessel, of('rain').from]).toEqual(['roasting-pan', 'pan', 'pan', 'pan'])
    expect(of('hot-water').adds).toContainEqual({ ingredient: 'banana', share: 1 })
    expect(of('hot-water').meets).toEqual({ stage: 'rain', edge: 'start' })
    expect(dish.keystone.stage).toBe('rain')
    expect(of('roast-dry').adds.map(one => one.ingredient)).toEqual(['semolina'])
    expect([of('enrich'), of('enrich-2'), of('enrich-3')].map(one => one.adds[0]!.share)).toEqual([0.3, 0.3, 0.3].map(share => expect.closeTo(share, 9)))
  })

  it('say that the mass runs again when the sugar goes in', () => {
    expect(stageDish(starter('first-offering-semolina')).stages.find(stage => stage.id === 'sweeten')!.expect).toContain('runs-again')
  })
})

describe('a lentil with milk and syrup', () => {
  it('takes its milk up before the syrup', () => {
    let seen = 0
    for (const card of STARTER_DISHES.filter(one => one.family === 'lentil').map(one => withChoice(one, { sugar: 'syrup', liquid: 'milk' }, rowOf)).filter(one => troublesOf(one).length === 0)) {
      const dish = stageDish(card)
      const holds = (vessel: string | undefined, ingredient: string): boolean => dish.stages.some(side => side.vessel === vessel && side.adds.some(add => add.ingredient === ingredient))
      const line = mainLine(dish)
      const [milk, syrup] = [line.findIndex(stage => holds(stage.from, 'milk')), line.findIndex(stage => holds(stage.from, 'sugar') || holds(stage.from, 'jaggery'))]
      if (milk < 0) continue
      seen++
      expect(syrup, card.id).toBeGreaterThan(milk)
    }
    expect(seen).toBeGreaterThan(1)
  })
})

describe('a grain bitten', () => {
  it('is to have no hard centre before sugar goes in where sugar comes after it, and is soft to its middle where it was in the liquid', () => {
    let [before, within] = [0, 0]
    for (const card of STARTER_DISHES.flatMap(one => SUGAR_WAYS.map(sugar => withChoice(one, { sugar }, rowOf))).filter(card => troublesOf(card).length === 0)) {
      const dish = stageDish(card)
      const sugars = new Set(dish.ingredients.filter(one => one.part === 'sugar' || one.part === 'jaggery').map(one => one.id))
      const line = mainLine(dish)
      for (const [at, stage] of line.entries()) {
        const toCome = line.slice(at).some(one => one.adds.some(add => sugars.has(add.ingredient)) || (one.from !== undefined && dish.stages.some(side => side.vessel === one.from && side.adds.some(add => sugars.has(add.ingredient)))))
        if (stage.watch?.includes('no-hard-centre')) {
          before++
          expect(toCome, `${card.id} ${String(card.choices.sugar)} ${stage.id}`).toBe(true)
        }
        if (stage.watch?.includes('soft-within')) {
          within++
          expect(toCome, `${card.id} ${String(card.choices.sugar)} ${stage.id}`).toBe(false)
        }
      }
    }
    expect(Math.min(before, within)).toBeGreaterThan(3)
  })
})

describe('choices that cannot go together', () => {
  it.each([
    ['sweet-water-semolina', { sugar: 'off-fire' }, 'powder-needs-no-liquid'],
    ['sweet-water-semolina', { liquid: 'none' }, 'sugar-needs-liquid'],
    ['sweet-water-semolina', { cooking: 'pressure' }, 'grain-foams-under-pressure'],
    ['sweet-water-semolina', { fat: 'dry-first' }, 'nuts-need-fat-first'],
    ['sweet-water-semolina', { form: 'slab' }, 'slab-takes-syrup'],
    ['sweet-water-semolina', { sugar: 'into-reduced' }, 'nothing-is-reduced'],
    ['sweet-water-semolina', { lots: true }, 'only-grated-goes-in-lots'],
    ['sweet-water-semolina', { pour: 'slurry' }, 'slurry-is-not-roasted'],
    ['threshing-floor-wheat', { pour: 'slurry', roast: 'none' }, 'grain-sinks-in-slurry'],
    ['long-spoon-mung', { fat: 'dry-first', nuts: 'last' }, 'paste-cannot-roast-dry'],
    ['winter-market-carrot', { roast: 'golden' }, 'produce-is-not-a-roast'],
    ['winter-market-carrot', { sugar: 'after-swelling' }, 'no-grain-swells'],
    ['marble-gram-balls', { sugar: 'in-liquid' }, 'balls-take-powdered-sugar'],
    ['one-thread-gram', { finish: 'covered' }, 'slab-is-stirred'],
    ['mill-lane-jaggery-semolina', { sugar: 'off-fire' }, 'jaggery-is-no-powder'],
    ['blue-door-gram', { preparation: 'raw-paste' }, 'preparation-is-not-for-this'],
    ['blue-door-gram', { pour: 'rained' }, 'only-grain-is-rained'],
    ['sweet-water-semolina', { pour: 'rained' }, 'rained-is-sweetened-after'],
  ] as const)('%s with %j: %s', (id, changes, code) => {
    const card = { ...starter(id), choices: { ...starter(id).choices, ...changes } }
    expect(troublesOf(card).map(one => one.code)).toContain(code)
    expect(() => stageDish(card)).toThrow(CoreError)
  })

  it('are taken away by what is offered, for every trouble of every starter dish', () => {
    fc.assert(fc.property(fc.constantFrom(...STARTER_DISHES), fc.constantFrom(...SUGAR_WAYS), fc.constantFrom(...FAT_WAYS), fc.constantFrom(...LIQUIDS), fc.constantFrom(...NUT_WAYS), fc.constantFrom(...FORMS),
      (dish, sugar, fat, liquid, nuts, form) => {
        const card = withChoice(dish, { sugar, fat, liquid, nuts, form }, rowOf)
        for (const trouble of troublesOf(card)) {
          for (const offer of trouble.offers) {
            expect(troublesOf(withChoice(card, offer, rowOf)).map(one => one.code), `${dish.id} ${JSON.stringify({ sugar, fat, liquid, nuts, form, offer })}`).not.toContain(trouble.code)
          }
        }
      }), { numRuns: 800 })
  })

  it('can always be led to a dish that cooks by taking the first offer of each trouble', () => {
    fc.assert(fc.property(anyCard, (start) => {
      const card = led(start)
      if (troublesOf(card)[0]?.offers.length === 0) return
      expect(troublesOf(card), JSON.stringify({ id: start.id, from: start.choices, to: card.choices })).toEqual([])
    }), { numRuns: 400 })
  })
})

describe('the starter book', () => {
  it('has at least 28 dishes with ids of their own, each of them cookable', () => {
    expect(STARTER_DISHES.length).toBeGreaterThanOrEqual(28)
    expect(new Set(STARTER_DISHES.map(dish => dish.id)).size).toBe(STARTER_DISHES.length)
    for (const dish of STARTER_DISHES) {
      expect(DishCardSchema.safeParse(dish).error?.issues ?? [], dish.id).toEqual([])
      expect(troublesOf(dish), dish.id).toEqual([])
    }
  })

  it('uses every family, preparation and school between them', () => {
    const used = <K extends keyof Choices>(key: K): unknown[] => STARTER_DISHES.map(dish => dish.choices[key])
    expect(new Set(STARTER_DISHES.map(dish => dish.family))).toEqual(new Set(FAMILY_IDS))
    for (const key of ['form', 'preparation', 'fat', 'pour', 'sugar', 'nuts', 'cooking', 'finish', 'tasting', 'lots'] as const) {
      expect(new Set(used(key)), key).toEqual(new Set<unknown>(CHOICE_VALUES[key]))
    }
    for (const row of ['semolina-fine', 'semolina-medium', 'semolina-coarse', 'farina', 'vermicelli', 'vermicelli-roasted', 'ragi-flour', 'rice-flour']) {
      expect(STARTER_DISHES.some(dish => dish.ingredients.some(one => one.ingredient === row)), row).toBe(true)
    }
    for (const preparation of PREPARATIONS_OF.lentil!) expect(used('preparation')).toContain(preparation)
  })

  it('keeps its amounts inside the spans of the craft', () => {
    for (const dish of STARTER_DISHES) {
      for (const row of measuredAmounts(dish, 250, INGREDIENTS, { id: 'c', name: 'cup', volumeMl: 240 }, [])) expect(row.standing?.outside ?? null, `${dish.id} ${row.id}`).toBeNull()
    }
  })
})

describe('a new dish', () => {
  it.each(FAMILY_IDS.flatMap(family => STYLES.map(style => [family, style] as const)))('of %s, %s, can be cooked and stands in its style', (family, style) => {
    for (const form of FORMS) {
      const base = INGREDIENTS.find(row => row.families.includes(family))!
      const card = newDish({ id: 'new', name: 'New', family, form, style, base })
      if (form === 'balls' && family === 'lentil') expect(card.choices.preparation).toBe('dry-ground')
      expect(troublesOf(card), `${family} ${form}`).toEqual([])
      expect(DishCardSchema.safeParse(card).error?.issues ?? []).toEqual([])
      expect(stageDish(card).stages.length).toBeGreaterThan(2)
      const spans = spansOf(card)
      const fat = card.ingredients.find(one => one.part === 'fat')
      if (fat) expect(fat.perBase).toBeGreaterThanOrEqual(spans.fat.from)
    }
  })

  it('is refused a base of another family', () => {
    expect(() => newDish({ id: 'n', name: 'N', family: 'fruit', style: 'lean', base: rowOf('ragi-flour') })).toThrow(CoreError)
  })
})

describe('troubles', () => {
  it('have codes each of which some choice or some missing ingredient brings about', () => {
    const found = new Set<string>()
    const note = (card: DishCard): void => troublesOf(card).forEach(trouble => found.add(trouble.code))
    for (const dish of STARTER_DISHES) {
      for (const [key, values] of Object.entries(CHOICE_VALUES)) for (const value of values) note({ ...dish, choices: { ...dish.choices, [key]: value } })
      note({ ...dish, ingredients: dish.ingredients.filter(one => one.part !== 'water') })
      note({ ...dish, ingredients: dish.ingredients.filter(one => one.part !== 'sugar' && one.part !== 'jaggery') })
      note({ ...dish, choices: { ...dish.choices, pour: 'slurry', roast: 'none', sugar: 'in-liquid' } })
      note({ ...dish, ingredients: [...dish.ingredients, { id: 'sour', ingredient: 'pineapple', perBase: 1, part: 'fruit' }], choices: { ...dish.choices, liquid: 'milk' } })
      note({ ...dish, ingredients: dish.ingredients.map(one => (one.part === 'sugar' ? { ...one, part: 'jaggery' } : one)), choices: { ...dish.choices, liquid: 'milk', sugar: 'in-liquid' } })
    }
    expect([...TROUBLES].filter(code => !found.has(code))).toEqual([])
  })
})
