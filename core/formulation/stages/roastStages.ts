import type { DishCard, Stage, Until } from '../dish/dish'
import { adding, basesIn, type FatPlan, friedFirst, idsOf, roastUntil, stage, type StageMore } from './shape'
import type { ExpectCode } from '../dish/stageCodes'

/** How each family looks on its way, and is not wrong. */
const ROAST_LOOKS: Readonly<Record<string, readonly ExpectCode[]>> = {
  'semolina': ['wet-sand'],
  'wheat-flour': ['custard-then-crumbs'],
  'other-flour': ['custard-then-crumbs'],
  'gram-flour': ['stiff-then-flows'],
}

/**
 * The roast of a grain, flour or lentil paste, dry or in its fat.
 *
 * @param card the dish
 * @param fat its fat by school
 * @returns one stage or two
 */
export function roastStages(card: DishCard, fat: FatPlan): Stage[] {
  const { choices, family } = card
  const fats = adding(idsOf(card, 'fat'), friedFirst(card) ? 0 : fat.first)
  const helpers = adding(idsOf(card, 'helper'))
  const nuts = choices.nuts === 'into-roast' ? adding(idsOf(card, 'nuts')) : []
  const common: StageMore = { flame: 'low', watch: ['stir-always', 'aroma-first'], expect: ROAST_LOOKS[family] ?? [] }
  if (choices.preparation === 'raw-paste') {
    return [
      stage('paste', 'roast', 'pan', {
        ...common,
        adds: [...fats, ...helpers, ...adding(basesIn(card))],
        until: { sign: 'crumbly' },
        watch: ['break-lumps', 'stir-always'],
        cautions: ['hot-fat', 'spitting'],
        expect: ['lumps-at-first'],
      }),
      stage('roast', 'roast', 'pan', {
        ...common,
        adds: nuts,
        until: roastUntil(card),
        cautions: ['hot-fat'],
        expect: [],
      }),
    ]
  }
  if (fat.dry && choices.pour === 'rained') {
    return [
      stage('roast-dry', 'roast', 'pan', {
        ...common,
        adds: [...adding(basesIn(card)), ...helpers, ...nuts],
        until: roastUntil(card),
        watch: ['dry-burns-fast', 'stir-always'],
        expect: [],
      }),
    ]
  }
  if (fat.dry) {
    return [
      stage('roast-dry', 'roast', 'pan', {
        ...common,
        adds: [...adding(basesIn(card)), ...nuts],
        until: { sign: 'aroma' },
        watch: ['dry-burns-fast', 'stir-always'],
        expect: [],
      }),
      stage('roast', 'roast', 'pan', {
        ...common,
        adds: [...fats, ...helpers],
        until: afterDry(card),
        cautions: ['hot-fat'],
      }),
    ]
  }
  return [
    stage('roast', 'roast', 'pan', {
      ...common,
      adds: [...fats, ...helpers, ...adding(basesIn(card)), ...nuts],
      until: roastUntil(card),
      cautions: ['hot-fat'],
    }),
  ]
}

/** A base whose aroma has come dry is only warmed in its fat (estimate, minutes). */
function afterDry(card: DishCard): Until {
  return card.choices.roast === 'aroma' ? { minutes: 3 } : roastUntil(card)
}
