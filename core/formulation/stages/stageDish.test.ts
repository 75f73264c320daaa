import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import type { Stage } from '../dish/dish'
import { stageDish } from './stageDish'

/** A stage in a line: what is done where, on which flame, until when, by how many hands, and all that is said of it. */
function lineOf(stage: Stage): string {
  const adds = stage.adds.map(({ ingredient, share }) => `${ingredient}${share === 1 ? '' : ` ${Math.round(share * 100)}%`}`).join(' + ')
  const list = (name: string, codes: readonly string[] | undefined): string => (codes?.length ? `${name} ${codes.join(' ')}` : '')
  return [
    `${stage.id}: ${stage.does} in ${stage.vessel}`, stage.flame, stage.lid ? 'lid' : '',
    'sign' in stage.until ? stage.until.sign : `${stage.until.minutes} min`, `${stage.hands ?? 1} hand`,
    adds && `+ ${adds}`, list('-', stage.takesOut), stage.from ? `from ${stage.from}` : '', stage.meets ? `for ${stage.meets.stage}` : '',
    list('watch', stage.watch), list('caution', stage.cautions), list('expect', stage.expect),
  ].filter(Boolean).join(', ')
}

/** Dishes of every school of the book, stage by stage, as the craft has them done (craft, sections 3 to 6). */
const LAID: Readonly<Record<string, readonly string[]>> = {
  'sweet-water-semolina': [
    'nuts: fry in pan, middle, nuts-golden, 1 hand, + ghee 50% + cashew, - cashew, watch turn-nuts, caution hot-fat, expect darkens-on',
    'roast: roast in pan, low, pale, 1 hand, + semolina, watch stir-always aroma-first, caution hot-fat, expect wet-sand',
    'sweet-water: heat in pot, high, lid, boil, 0 hand, + water + sugar, for pour, caution scald',
    'pour: pour in pan, off, 1 min, 1 hand, from pot, watch face-back, caution pour, expect foams',
    'take-up: cook-down in pan, middle, taken-up, 1 hand, watch flame-back soft-within, caution spitting, expect looks-too-thin',
    'enrich: enrich in pan, middle, leaves-sides, 1 hand, + ghee 50% + cashew + cardamom, watch stir-always, caution hot-sweet',
    'rest: rest in pan, off, lid, 5 min, 0 hand, caution hot-sweet',
  ],
  'one-thread-gram': [
    'roast: roast in pan, low, golden, 1 hand, + ghee 90% + gram-flour, watch stir-always aroma-first, caution hot-fat, expect stiff-then-flows',
    'syrup: boil-syrup in pot, high, strength, 0.5 hand, + water + sugar, for pour, watch strength no-grains-on-the-wall, caution syrup',
    'pour: pour in pan, off, 1 min, 1 hand, from pot, watch face-back, caution pour, expect foams',
    'take-up: cook-down in pan, middle, taken-up, 1 hand, watch flame-back soft-within, caution spitting, expect looks-too-thin',
    'enrich: enrich in pan, middle, one-mass, 1 hand, + cardamom, watch stir-always, caution hot-sweet',
    'nuts-last: fry in small-pan, middle, nuts-golden, 0.5 hand, + ghee 10% + pistachio, for rest, watch turn-nuts, caution hot-fat allergen, expect darkens-on',
    'rest: rest in pan, off, 1 min, 0 hand, caution hot-sweet',
    'free-share: shape in table, off, 1 min, 1 hand, watch free-first, caution allergen',
    'nuts-in: shape in table, off, 1 min, 1 hand',
    'spread: shape in table, off, 4 min, 1 hand, watch greased-tray score-warm, caution hot-sweet',
    'set: set in table, off, 120 min, 0 hand, expect soft-middle',
  ],
  'marble-gram-balls': [
    'roast: roast in pan, low, golden, 1 hand, + ghee + gram-flour + cashew, watch stir-always aroma-first, caution hot-fat, expect stiff-then-flows',
    'cool: cool in pan, off, hand-warm, 0.5 hand, watch stir-as-it-cools, caution hot-sweet, expect darkens-on',
    'rub-in: sweeten in pan, off, 5 min, 1 hand, + sugar-powdered + cardamom, watch rub-in, expect looks-dry',
    'roll: shape in table, off, 20 min, 1 hand, watch greased-hands, caution hot-sweet, expect firms-as-it-cools',
  ],
  'long-spoon-mung': [
    'soak: prepare in table, off, 240 min, 0 hand, watch soak-cool',
    'drain: prepare in table, off, 15 min, 0 hand, watch drain-well',
    'grind: prepare in table, off, 10 min, 1 hand, watch no-water-no-whole, caution grinder',
    'nuts: fry in pan, middle, nuts-golden, 1 hand, + ghee 40% + almond, - almond, watch turn-nuts, caution hot-fat, expect darkens-on',
    'paste: roast in pan, low, crumbly, 1 hand, + helper + lentil, watch break-lumps stir-always, caution hot-fat spitting, expect lumps-at-first',
    'roast: roast in pan, low, golden, 1 hand, watch stir-always aroma-first, caution hot-fat',
    'hot-milk: heat in pot, high, boil, 0 hand, + milk + water, for pour, watch milk-catches, caution scald',
    'pour: pour in pan, off, 1 min, 1 hand, from pot, watch face-back, caution pour, expect foams',
    'take-up: cook-down in pan, middle, taken-up, 1 hand, watch flame-back no-hard-centre, caution spitting, expect looks-too-thin',
    'sweeten: sweeten in pan, middle, tightened, 1 hand, + sugar, watch no-hard-centre stir-always, caution hot-sweet, expect runs-again',
    'enrich: enrich in pan, middle, 3 min, 1 hand, + ghee 20%, watch stir-always, caution hot-sweet, expect fat-drawn-in',
    'enrich-2: enrich in pan, middle, 3 min, 1 hand, + ghee 20%, watch stir-always, caution hot-sweet, expect fat-drawn-in',
    'enrich-3: enrich in pan, middle, leaves-sides, 1 hand, + ghee 20% + khoya + almond + cardamom, watch stir-always, caution hot-sweet',
    'rest: rest in pan, off, lid, 5 min, 0 hand, caution hot-sweet',
  ],
  'well-head-semolina': [
    'roast-dry: roast in roasting-pan, low, aroma, 1 hand, + semolina, watch dry-burns-fast stir-always',
    'hot-water: heat in pan, high, lid, boil, 0 hand, + water + banana, for rain, caution scald',
    'rain: pour in pan, middle, 1 min, 1 hand, from pan, watch by-handfuls stir-always, caution splashes, expect looks-too-thin',
    'swell: cook-down in pan, low, lid, taken-up, 0.5 hand, watch under-the-lid no-hard-centre, caution spitting, expect looks-too-thin',
    'sweeten: sweeten in pan, middle, tightened, 1 hand, + sugar, watch no-hard-centre stir-always, caution hot-sweet, expect runs-again',
    'enrich: enrich in pan, middle, 3 min, 1 hand, + ghee 30%, watch stir-always, caution hot-sweet, expect fat-drawn-in',
    'enrich-2: enrich in pan, middle, 3 min, 1 hand, + ghee 30%, watch stir-always, caution hot-sweet, expect fat-drawn-in',
    'enrich-3: enrich in pan, middle, leaves-sides, 1 hand, + ghee 30% + cardamom, watch stir-always, caution hot-sweet',
    'nuts-last: fry in small-pan, middle, nuts-golden, 0.5 hand, + ghee 10% + cashew, for rest, watch turn-nuts, caution hot-fat allergen, expect darkens-on',
    'rest: rest in pan, off, lid, 10 min, 0 hand, caution hot-sweet',
    'free-share: shape in table, off, 1 min, 1 hand, watch free-first, caution allergen',
    'nuts-in: shape in table, off, 1 min, 1 hand',
  ],
  'winter-market-carrot': [
    'grate: prepare in table, off, 8 min, 1 hand, watch grate-coarse',
    'nuts: fry in pan, middle, nuts-golden, 1 hand, + ghee 50% + cashew, - cashew, watch turn-nuts, caution hot-fat, expect darkens-on',
    'soften: cook-down in pan, middle, 8 min, 0.5 hand, + vegetable 50%, watch next-lot, caution spitting, expect volume-falls-first',
    'soften-2: cook-down in pan, middle, halved, 1 hand, + vegetable 50%, watch scrape-base, caution spitting, expect volume-falls-first',
    'milk: cook-down in pan, middle, milk-taken-up, 1 hand, + milk, watch milk-catches, caution spitting, expect looks-too-thin milk-grains',
    'sweeten: sweeten in pan, middle, tightened, 1 hand, + sugar, watch stir-always, caution hot-sweet spitting, expect runs-again',
    'enrich: enrich in pan, middle, leaves-sides, 1 hand, + ghee 50% + khoya + cashew + cardamom, watch stir-always, caution hot-sweet',
    'rest: rest in pan, off, lid, 5 min, 0 hand, caution hot-sweet',
  ],
  'cellar-beetroot': [
    'grate: prepare in table, off, 15 min, 1 hand, watch grate-coarse',
    'press: press in pressure-pan, middle, lid, 6 min, 0 hand, + vegetable + milk, watch count-releases half-full, caution pressure',
    'wait: wait in pressure-pan, off, lid, opened, 0 hand, watch opens-itself, caution pressure',
    'milk: cook-down in pan, high, milk-taken-up, 1 hand, + ghee 90%, watch tip-the-pan-over milk-catches, caution spitting, expect looks-too-thin milk-grains',
    'sweeten: sweeten in pan, middle, tightened, 1 hand, + sugar, watch stir-always, caution hot-sweet spitting, expect runs-again',
    'enrich: enrich in pan, middle, leaves-sides, 1 hand, + milk-powder + cardamom, watch stir-always, caution hot-sweet',
    'nuts-last: fry in small-pan, middle, nuts-golden, 0.5 hand, + ghee 10% + cashew, for rest, watch turn-nuts, caution hot-fat allergen, expect darkens-on',
    'rest: rest in pan, off, lid, 5 min, 0 hand, caution hot-sweet',
    'free-share: shape in table, off, 1 min, 1 hand, watch free-first, caution allergen',
    'nuts-in: shape in table, off, 1 min, 1 hand',
  ],
  'window-pane-wheat': [
    'steep: prepare in table, off, 10 min, 0 hand, watch steep-warm',
    'mix: prepare in table, off, 5 min, 1 hand, watch no-lumps stand-and-strain',
    'thicken: cook-down in pan, middle, thickened, 1 hand, + wheat-flour + water 82% + ghee 36%, watch stir-always scrape-base, caution spitting, expect thickens-at-once',
    'syrup: boil-syrup in pot, high, strength, 0.5 hand, + water 18% + sugar, for sweeten, watch strength no-grains-on-the-wall, caution syrup',
    'sweeten: sweeten in pan, middle, tightened, 1 hand, from pot, watch stir-always, caution syrup pour, expect runs-again',
    'enrich: enrich in pan, middle, 3 min, 1 hand, + ghee 18%, watch stir-always, caution hot-sweet, expect fat-drawn-in',
    'enrich-2: enrich in pan, middle, 3 min, 1 hand, + ghee 18%, watch stir-always, caution hot-sweet, expect fat-drawn-in',
    'enrich-3: enrich in pan, middle, one-mass, 1 hand, + ghee 18% + saffron, watch stir-always, caution hot-sweet',
    'nuts-last: fry in small-pan, middle, nuts-golden, 0.5 hand, + ghee 10% + cashew, for rest, watch turn-nuts, caution hot-fat allergen, expect darkens-on',
    'rest: rest in pan, off, 5 min, 0 hand, caution hot-sweet',
    'free-share: shape in table, off, 1 min, 1 hand, watch free-first, caution allergen',
    'nuts-in: shape in table, off, 1 min, 1 hand',
    'spread: shape in table, off, 4 min, 1 hand, watch greased-tray score-warm, caution hot-sweet',
    'set: set in table, off, 120 min, 0 hand, expect soft-middle',
  ],
  'mill-lane-jaggery-semolina': [
    'melt: melt in pot, low, melted, 0.5 hand, watch strain, caution hot-sweet',
    'roast: roast in pan, low, golden, 1 hand, + sesame-oil + semolina + peanut, watch stir-always aroma-first, caution hot-fat, expect wet-sand',
    'sweet-water: heat in pot, high, lid, boil, 0 hand, + water + jaggery, for pour, caution scald',
    'pour: pour in pan, off, 1 min, 1 hand, from pot, watch face-back, caution pour, expect foams',
    'take-up: cook-down in pan, middle, lid, taken-up, 0.5 hand, watch flame-back soft-within, caution spitting, expect looks-too-thin',
    'enrich: enrich in pan, middle, leaves-sides, 1 hand, + dry-ginger, watch stir-always, caution hot-sweet',
    'rest: rest in pan, off, lid, 10 min, 0 hand, caution hot-sweet',
  ],
  'slow-farina': [
    'nuts: fry in pan, middle, nuts-golden, 1 hand, + ghee 40% + almond, - almond, watch turn-nuts, caution hot-fat, expect darkens-on',
    'roast: roast in pan, low, pale, 1 hand, + semolina, watch stir-always aroma-first, caution hot-fat, expect wet-sand',
    'hot-water: heat in pot, high, lid, boil, 0 hand, + water, for pour, caution scald',
    'hot-milk: heat in second-pot, middle, boil, 0 hand, + milk, for milk, watch milk-catches, caution scald',
    'pour: pour in pan, off, 1 min, 1 hand, from pot, watch face-back, caution pour, expect foams',
    'take-up: cook-down in pan, middle, taken-up, 1 hand, watch flame-back no-hard-centre, caution spitting, expect looks-too-thin',
    'milk: pour in pan, middle, milk-taken-up, 1 hand, from second-pot, watch milk-catches stir-always, caution pour spitting, expect looks-too-thin',
    'sweeten: sweeten in pan, middle, tightened, 1 hand, + sugar, watch no-hard-centre stir-always, caution hot-sweet, expect runs-again',
    'enrich: enrich in pan, middle, 3 min, 1 hand, + ghee 20%, watch stir-always, caution hot-sweet, expect fat-drawn-in',
    'enrich-2: enrich in pan, middle, 3 min, 1 hand, + ghee 20%, watch stir-always, caution hot-sweet, expect fat-drawn-in',
    'enrich-3: enrich in pan, middle, leaves-sides, 1 hand, + ghee 20% + almond + nutmeg, watch stir-always, caution hot-sweet',
    'rest: rest in pan, off, lid, 5 min, 0 hand, caution hot-sweet',
  ],
}

describe('a dish laid out in stages', () => {
  it.each(Object.entries(LAID))('%s', (id, lines) => {
    expect(stageDish(STARTER_DISHES.find(one => one.id === id)!).stages.map(lineOf)).toEqual(lines)
  })
})
