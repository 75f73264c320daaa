import { formOf } from '../dish/forms'
import type { DishCard, Stage, Until } from '../dish/dish'
import { milkWatches } from '../dish/splitsMilk'
import {
  adding,
  basesIn,
  doneSign,
  enrichStages,
  fatPlan,
  type FatPlan,
  friedFirst,
  FRUIT_PORTION,
  fryFirst,
  fryLast,
  idsOf,
  type Laid,
  stage,
  type StageMore,
} from './shape'

/**
 * Cooked down from its own water: vegetables, fruit, lentil purée, coconut and nuts. Turns as the milk goes in, or the
 * sugar where there is none.
 *
 * @param card the dish; its choices have no trouble
 * @returns stages at the fire
 */
export function reducedStages(card: DishCard): Laid {
  const fat = fatPlan(card)
  const milk = milkStages(card)
  const sweeten = sweetenStages(card)
  const turn = milk[0] ?? sweeten[0]
  return {
    stages: [
      ...pressStages(card),
      ...fryFirst(card, fat),
      ...syrupFirst(card),
      ...softenStages(card, fat),
      ...milk,
      ...sweeten,
      ...fatLater(card, fat),
      ...enrichStages(card, fat, doneSign(card)),
      ...fryLast(card, fat),
      stage('rest', 'rest', 'pan', {
        flame: 'off',
        lid: formOf(card).shapedBy === 'spoon',
        until: { minutes: formOf(card).shapedBy === 'spoon' ? 5 : 1 },
        hands: 0,
        cautions: ['hot-sweet'],
      }),
    ],
    keystone: { stage: turn?.id ?? 'soften', edge: 'start' },
  }
}

const isPuree = (card: DishCard): boolean => card.choices.preparation === 'cooked-puree'
const pressed = (card: DishCard): boolean => card.choices.cooking === 'pressure' && !isPuree(card)

/** Pressed in its own first liquid, never dry: in its milk, or in its water where milk comes after. */
function pressStages(card: DishCard): Stage[] {
  if (!pressed(card)) return []
  return [
    stage('press', 'press', 'pressure-pan', {
      adds: adding([...basesIn(card), ...pressLiquids(card)]),
      lid: true,
      until: { minutes: 6 },
      hands: 0,
      watch: ['count-releases', 'half-full'],
      cautions: ['pressure'],
    }),
    stage('wait', 'wait', 'pressure-pan', {
      flame: 'off',
      lid: true,
      until: { sign: 'opened' },
      hands: 0,
      watch: ['opens-itself'],
      cautions: ['pressure'],
    }),
  ]
}

/** What stands under the lid with it. */
function pressLiquids(card: DishCard): string[] {
  if (milkComesAfter(card)) return idsOf(card, 'water', 'juice')
  return idsOf(card, 'milk', 'juice', ...(card.choices.sugar === 'syrup' ? [] : ['water' as const]))
}

/** Pressed in water, dried off, and the milk only then. A syrup's water is the syrup's. */
function milkComesAfter({ choices }: DishCard): boolean {
  return choices.liquid === 'water-then-milk' && choices.sugar !== 'syrup'
}

/** Coconut and nuts boiled in syrup: the syrup is made in the pan itself. */
function syrupFirst(card: DishCard): Stage[] {
  if (card.choices.sugar !== 'syrup') return []
  return [
    stage('syrup', 'boil-syrup', 'pan', {
      adds: adding(idsOf(card, 'water', 'sugar', 'jaggery')),
      until: { sign: 'strength' },
      watch: ['strength', 'no-grains-on-the-wall'],
      cautions: ['syrup'],
    }),
  ]
}

function softenStages(card: DishCard, fat: FatPlan): Stage[] {
  const { choices, family } = card
  const fats = adding(idsOf(card, 'fat'), friedFirst(card) || fat.dry ? 0 : fat.first)
  // A purée brings the water it was cooked in.
  const helpers = adding(
    idsOf(card, 'helper', ...(isPuree(card) && choices.liquid === 'none' ? ['water' as const] : [])),
  )
  const nuts = [
    ...(choices.nuts === 'into-roast' ? adding(idsOf(card, 'nuts')) : []),
    ...adding(idsOf(card, 'fruit'), FRUIT_PORTION),
  ]
  // Where no milk goes in after it, all of its water has to leave here.
  const dries = isPuree(card) || pressed(card) || family === 'coconut-nut' || milkStages(card).length === 0
  const until: Until = { sign: dries ? 'dry' : 'halved' }
  const common: StageMore = { cautions: ['spitting'], expect: dries ? ['sticks-then-leaves'] : ['volume-falls-first'] }
  if (pressed(card) && !milkComesAfter(card)) return []
  if (pressed(card)) {
    return [
      stage('soften', 'cook-down', 'pan', {
        ...common,
        adds: [...fats, ...helpers, ...nuts],
        until,
        flame: 'high',
        watch: ['stir-always', 'tip-the-pan-over'],
      }),
    ]
  }
  if (!choices.lots)
    return [
      stage('soften', 'cook-down', 'pan', {
        ...common,
        adds: [...fats, ...helpers, ...adding(basesIn(card)), ...nuts],
        until,
        watch: ['scrape-base'],
      }),
    ]
  return [
    stage('soften', 'cook-down', 'pan', {
      ...common,
      adds: [...fats, ...helpers, ...adding(basesIn(card), 0.5)],
      until: { minutes: 8 },
      hands: 0.5,
      watch: ['next-lot'],
    }),
    stage('soften-2', 'cook-down', 'pan', {
      ...common,
      adds: [...adding(basesIn(card), 0.5), ...nuts],
      until,
      watch: ['scrape-base'],
    }),
  ]
}

function milkStages(card: DishCard): Stage[] {
  const liquids = idsOf(card, 'milk', 'juice', ...(card.choices.sugar === 'syrup' ? [] : ['water' as const]))
  if (card.choices.liquid === 'none' || liquids.length === 0) return []
  const sweet = card.choices.sugar === 'in-liquid' ? adding(idsOf(card, 'sugar', 'jaggery', 'condensed')) : []
  const milk = card.choices.liquid !== 'juice' && idsOf(card, 'milk').length > 0
  if (pressed(card) && !milkComesAfter(card)) return [downAgain(card, milk, sweet)]
  const later = pressed(card) ? idsOf(card, 'milk') : liquids
  return [
    stage(milk ? 'milk' : 'liquid', 'cook-down', 'pan', {
      adds: [...adding(later), ...sweet],
      until: { sign: 'milk-taken-up' },
      watch: milk ? ['milk-catches', ...milkWatches(card, 'milk')] : ['scrape-base'],
      cautions: ['spitting'],
      expect: ['looks-too-thin', ...(milk ? ['milk-grains' as const] : [])],
    }),
  ]
}

/** The liquid it was pressed in, cooked down in the open pan: on a high flame until it thickens. */
function downAgain(card: DishCard, milk: boolean, sweet: Stage['adds']): Stage {
  const fat = fatPlan(card)
  const adds = [
    ...adding(idsOf(card, 'fat'), friedFirst(card) || fat.dry ? 0 : fat.first),
    ...adding(idsOf(card, 'helper')),
    ...sweet,
    ...(card.choices.nuts === 'into-roast' ? adding(idsOf(card, 'nuts')) : []),
    ...adding(idsOf(card, 'fruit'), FRUIT_PORTION),
  ]
  return stage(milk ? 'milk' : 'liquid', 'cook-down', 'pan', {
    adds,
    flame: 'high',
    until: { sign: 'milk-taken-up' },
    watch: ['tip-the-pan-over', milk ? 'milk-catches' : 'scrape-base'],
    cautions: ['spitting'],
    expect: ['looks-too-thin', ...(milk ? ['milk-grains' as const] : [])],
  })
}

function sweetenStages(card: DishCard): Stage[] {
  if (card.choices.sugar === 'in-liquid' || card.choices.sugar === 'syrup') return []
  return [
    stage('sweeten', 'sweeten', 'pan', {
      adds: adding(idsOf(card, 'sugar', 'jaggery', 'condensed')),
      until: { sign: 'tightened' },
      watch: ['stir-always', ...milkWatches(card, 'sugar')],
      cautions: ['hot-sweet', 'spitting'],
      expect: ['runs-again'],
    }),
  ]
}

/** Dried first, fat after: it browns in the fat at the end. */
function fatLater(card: DishCard, fat: FatPlan): Stage[] {
  if (!fat.dry) return []
  return [
    stage('fat-in', 'roast', 'pan', {
      adds: adding(idsOf(card, 'fat'), fat.first),
      until: { sign: 'fat-shows' },
      watch: ['stir-always'],
      cautions: ['hot-sweet'],
      expect: ['fat-drawn-in'],
    }),
  ]
}
