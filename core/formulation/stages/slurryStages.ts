import { formOf } from '../dish/forms'
import type { DishCard, Part, Stage } from '../dish/dish'
import { milkWatches } from '../dish/splitsMilk'
import {
  adding,
  basesIn,
  doneSign,
  enrichStages,
  fatPlan,
  friedFirst,
  FRUIT_PORTION,
  fryFirst,
  fryLast,
  idsOf,
  type Laid,
  pulpsIn,
  stage,
} from './shape'

/**
 * Mixed cold before the fire: a fine base and its liquid, thickened while stirred. Turns as it has thickened.
 *
 * @param card the dish; its choices have no trouble
 * @returns stages at the fire, and the mixing before it
 */
export function slurryStages(card: DishCard): Laid {
  const { choices } = card
  const fat = fatPlan(card)
  const liquids = idsOf(card, 'water', 'milk', 'juice')
  const sweet = idsOf(card, 'sugar', 'jaggery', 'condensed')
  const syrup = choices.sugar === 'syrup'
  const toSyrup = syrup ? syrupWaterShare(card) : 0
  const sweeten: Stage[] =
    choices.sugar === 'in-liquid'
      ? []
      : [
          stage('sweeten', 'sweeten', 'pan', {
            adds: syrup ? [] : adding(sweet),
            from: syrup ? 'pot' : undefined,
            until: { sign: 'tightened' },
            watch: ['stir-always', ...milkWatches(card, 'sugar')],
            cautions: syrup ? ['syrup', 'pour'] : ['hot-sweet'],
            expect: ['runs-again'],
          }),
        ]
  return {
    stages: [
      stage('mix', 'prepare', 'table', {
        phase: 'before',
        flame: 'off',
        until: { minutes: 5 },
        handles: [...basesIn(card), ...pulpsIn(card), ...liquids],
        watch: ['no-lumps', 'stand-and-strain'],
      }),
      ...fryFirst(card, fat),
      stage('thicken', 'cook-down', 'pan', {
        adds: [
          ...adding([...basesIn(card), ...pulpsIn(card)]),
          ...adding(idsOf(card, 'water'), 1 - toSyrup),
          ...adding(idsOf(card, 'milk', 'juice')),
          ...(choices.sugar === 'in-liquid' ? adding(sweet) : []),
          ...adding(idsOf(card, 'fat'), friedFirst(card) ? 0 : fat.first),
          ...adding(idsOf(card, 'helper')),
          ...adding(idsOf(card, 'fruit'), FRUIT_PORTION),
          ...(choices.nuts === 'into-roast' ? adding(idsOf(card, 'nuts')) : []),
        ],
        until: { sign: 'thickened' },
        watch: ['stir-always', 'scrape-base'],
        cautions: ['spitting'],
        expect: ['thickens-at-once'],
      }),
      ...(syrup
        ? [
            stage('syrup', 'boil-syrup', 'pot', {
              adds: [...adding(idsOf(card, 'water'), toSyrup), ...adding(sweet)],
              flame: 'high',
              until: { sign: 'strength' },
              hands: 0.5,
              meets: { stage: 'sweeten', edge: 'start' },
              watch: ['strength', 'no-grains-on-the-wall'],
              cautions: ['syrup'],
            }),
          ]
        : []),
      ...sweeten,
      ...enrichStages(card, fat, doneSign(card)),
      ...fryLast(card, fat),
      stage('rest', 'rest', 'pan', {
        flame: 'off',
        lid: formOf({ choices }).shapedBy === 'spoon',
        until: { minutes: 5 },
        hands: 0,
        cautions: ['hot-sweet'],
      }),
    ],
    keystone: { stage: 'thicken', edge: 'end' },
  }
}

/** Water that dissolves sugar for a syrup, g for each g (kitchen rule, estimate). */
const SYRUP_WATER = 0.5

/** Share of the water that goes to the syrup; the rest is what the base is mixed with. */
function syrupWaterShare(card: DishCard): number {
  const sum = (...parts: readonly Part[]): number =>
    card.ingredients
      .filter(one => one.part !== undefined && parts.includes(one.part))
      .reduce((all, one) => all + one.perBase, 0)
  const water = sum('water')
  return water > 0 ? Math.min(0.9, SYRUP_WATER * sum('sugar', 'jaggery') / water) : 0
}
