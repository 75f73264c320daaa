import type { DishCard } from '../dish/dish'
import {
  adding,
  basesIn,
  fatPlan,
  friedFirst,
  fryFirst,
  idsOf,
  roastUntil,
  stage,
  type Laid,
  type StageMore,
} from './shape'
import type { ExpectCode } from '../dish/stageCodes'

/**
 * Roasted in fat, cooled, sweetened with powdered sugar off the fire and rolled. Turns as it leaves the fire.
 *
 * @param card the dish; its choices have no trouble
 * @returns stages at the fire
 */
export function ballStages(card: DishCard): Laid {
  const { choices } = card
  const fat = fatPlan(card)
  const fats = adding(idsOf(card, 'fat'), friedFirst(card) ? 0 : fat.first)
  const looks: readonly ExpectCode[] = card.family === 'gram-flour' ? ['stiff-then-flows'] : ['custard-then-crumbs']
  const late = fat.late.reduce((sum, share) => sum + share, 0)
  const roast: StageMore = { flame: 'low', watch: ['stir-always', 'aroma-first'], expect: looks }
  const nuts = idsOf(card, 'nuts')
  return {
    stages: [
      ...fryFirst(card, fat),
      ...(fat.dry
        ? [
            stage('roast-dry', 'roast', 'pan', {
              ...roast,
              adds: adding(basesIn(card)),
              until: { sign: 'aroma' },
              watch: ['dry-burns-fast', 'stir-always'],
            }),
          ]
        : []),
      stage('roast', 'roast', 'pan', {
        ...roast,
        adds: [
          ...fats,
          ...adding(idsOf(card, 'helper')),
          ...(fat.dry ? [] : adding(basesIn(card))),
          ...(choices.nuts === 'into-roast' ? adding(nuts) : []),
        ],
        until: roastUntil(card),
        cautions: ['hot-fat'],
      }),
      ...(late > 0
        ? [
            stage('enrich', 'enrich', 'pan', {
              adds: adding(idsOf(card, 'fat'), late),
              until: { minutes: 4 },
              watch: ['stir-always'],
              cautions: ['hot-fat'],
            }),
          ]
        : []),
      stage('cool', 'cool', 'pan', {
        flame: 'off',
        until: { sign: 'hand-warm' },
        hands: 0.5,
        watch: ['stir-as-it-cools'],
        cautions: ['hot-sweet'],
        expect: ['darkens-on'],
      }),
      stage('rub-in', 'sweeten', 'pan', {
        flame: 'off',
        adds: [
          ...adding(idsOf(card, 'sugar', 'milk-solids', 'spice', 'steeped')),
          ...(choices.nuts === 'into-roast' ? [] : adding(nuts)),
          ...(fat.lastNuts > 0 ? adding(idsOf(card, 'fat'), fat.lastNuts) : []),
        ],
        until: { minutes: 5 },
        watch: ['rub-in'],
        expect: ['looks-dry'],
      }),
    ],
    keystone: { stage: 'cool', edge: 'start' },
  }
}
