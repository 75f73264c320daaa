import type { DishCard, Stage, Until } from '../dish'
import { milkWatches } from '../splitsMilk'
import { adding, doneSign, enrichStages, fatPlan, type FatPlan, friedFirst, FRUIT_PORTION, fryFirst, fryLast, idsOf, type Laid, roastUntil, stage } from './shape'

/** How each family looks on its way, and is not wrong. */
const ROAST_LOOKS: Readonly<Record<string, readonly string[]>> = {
  'semolina': ['wet-sand'], 'wheat-flour': ['custard-then-crumbs'], 'other-flour': ['custard-then-crumbs'], 'gram-flour': ['stiff-then-flows'],
}

/**
 * Roasted, then wetted: semolina, broken wheat, vermicelli, flours, lentils as paste or flour. Turns at the pour.
 *
 * @param card the dish; its choices have no trouble
 * @returns stages at the fire
 */
export function grainStages(card: DishCard): Laid {
  const fat = fatPlan(card)
  return {
    stages: [
      ...fryFirst(card, fat), ...roastStages(card, fat), ...besideStages(card), ...wetStages(card), ...sweetenStages(card),
      ...enrichStages(card, fat, doneSign(card)), ...fryLast(card, fat), rest(card),
    ],
    keystone: { stage: 'pour', edge: 'start' },
  }
}

function roastStages(card: DishCard, fat: FatPlan): Stage[] {
  const { choices, base, family } = card
  const fats = adding(idsOf(card, 'fat'), friedFirst(card) ? 0 : fat.first)
  const helpers = adding(idsOf(card, 'helper'))
  const nuts = choices.nuts === 'into-roast' ? adding(idsOf(card, 'nuts')) : []
  const common = { flame: 'low' as const, watch: ['stir-always', 'aroma-first'], expect: ROAST_LOOKS[family] ?? [] }
  if (choices.preparation === 'raw-paste') {
    return [
      stage('paste', 'roast', 'pan', {
        ...common, adds: [...fats, ...helpers, ...adding([base])], until: { sign: 'crumbly' },
        watch: ['break-lumps', 'stir-always'], cautions: ['hot-fat', 'spitting'], expect: ['lumps-at-first'],
      }),
      stage('roast', 'roast', 'pan', { ...common, adds: nuts, until: roastUntil(card), cautions: ['hot-fat'], expect: [] }),
    ]
  }
  if (fat.dry) {
    return [
      stage('roast-dry', 'roast', 'pan', { ...common, adds: [...adding([base]), ...nuts], until: { sign: 'aroma' }, watch: ['dry-burns-fast', 'stir-always'], expect: [] }),
      stage('roast', 'roast', 'pan', { ...common, adds: [...fats, ...helpers], until: afterDry(card), cautions: ['hot-fat'] }),
    ]
  }
  return [stage('roast', 'roast', 'pan', { ...common, adds: [...fats, ...helpers, ...adding([base]), ...nuts], until: roastUntil(card), cautions: ['hot-fat'] })]
}

/** A base whose aroma has come dry is only warmed in its fat (estimate, minutes). */
function afterDry(card: DishCard): Until {
  return card.choices.roast === 'aroma' ? { minutes: 3 } : roastUntil(card)
}

/** Id of the other vessel's stage: it says what is in it. */
function besideId(card: DishCard): string {
  const { sugar, liquid } = card.choices
  if (sugar === 'syrup') return 'syrup'
  const name = liquid === 'water-then-milk' ? 'water' : liquid
  return sugar === 'in-liquid' ? `sweet-${name}` : `hot-${name}`
}

/** A lentil swells in its milk first: sugar before that would leave it hard, so its syrup comes last. */
function syrupComesLast(card: DishCard): boolean {
  return card.family === 'lentil' && card.choices.sugar === 'syrup' && idsOf(card, 'milk').length > 0
}

/** The milk that is poured, and the syrup that is boiled beside it for after. */
function milkThenSyrup(card: DishCard): Stage[] {
  return [
    stage('hot-milk', 'heat', 'pot', { adds: adding(idsOf(card, 'milk')), flame: 'middle', until: { sign: 'boil' }, hands: 0, meets: { stage: 'pour', edge: 'start' }, watch: ['milk-catches'], cautions: ['scald'] }),
    stage('syrup', 'boil-syrup', 'second-pot', {
      adds: adding(idsOf(card, 'water', 'juice', 'sugar', 'jaggery')), flame: 'high', until: { sign: 'strength' }, hands: 0.5,
      meets: { stage: 'sweeten', edge: 'start' }, watch: ['strength', 'no-grains-on-the-wall'], cautions: ['syrup'],
    }),
  ]
}

function besideStages(card: DishCard): Stage[] {
  if (syrupComesLast(card)) return milkThenSyrup(card)
  const { sugar, liquid } = card.choices
  const first = takesMilkLater(card) ? idsOf(card, 'water', 'juice') : idsOf(card, 'milk', 'water', 'juice')
  const sweet = sugar === 'in-liquid' || sugar === 'syrup' ? idsOf(card, 'sugar', 'jaggery') : []
  const condensed = sugar === 'in-liquid' ? idsOf(card, 'condensed') : []
  const syrup = sugar === 'syrup'
  const beside = stage(besideId(card), syrup ? 'boil-syrup' : 'heat', 'pot', {
    adds: adding([...first, ...sweet, ...condensed]), flame: 'high', lid: !syrup && liquid !== 'milk', until: { sign: syrup ? 'strength' : 'boil' }, hands: syrup ? 0.5 : 0,
    meets: { stage: 'pour', edge: 'start' }, watch: syrup ? ['strength', 'no-grains-on-the-wall'] : liquid === 'milk' ? ['milk-catches'] : [], cautions: syrup ? ['syrup'] : ['scald'],
  })
  if (!takesMilkLater(card)) return [beside]
  return [beside, stage('hot-milk', 'heat', 'second-pot', {
    adds: adding(idsOf(card, 'milk')), flame: 'middle', until: { sign: 'boil' }, hands: 0, meets: { stage: 'milk', edge: 'start' }, watch: ['milk-catches'], cautions: ['scald'],
  })]
}

/** Milk that does not go in with the first liquid. */
function takesMilkLater(card: DishCard): boolean {
  const { sugar, liquid } = card.choices
  return !syrupComesLast(card) && (liquid === 'water-then-milk' || sugar === 'syrup') && idsOf(card, 'milk').length > 0
}

function wetStages(card: DishCard): Stage[] {
  const { choices, family } = card
  const covered = choices.finish === 'covered' || family === 'broken-wheat'
  return [
    stage('pour', 'pour', 'pan', {
      from: 'pot', flame: 'off', until: { minutes: choices.pour === 'in-parts' ? 2 : 1 },
      watch: choices.pour === 'in-parts' ? ['in-parts', 'face-back'] : ['face-back'], cautions: ['pour'], expect: ['foams'],
    }),
    stage('take-up', 'cook-down', 'pan', {
      adds: adding(idsOf(card, 'fruit'), FRUIT_PORTION), lid: covered, until: { sign: 'taken-up' }, hands: covered ? 0.5 : 1,
      watch: [family === 'vermicelli' ? 'fork-loosen' : 'flame-back', choices.sugar === 'after-swelling' || syrupComesLast(card) ? 'no-hard-centre' : 'soft-within'], cautions: ['spitting'], expect: ['looks-too-thin'],
    }),
    ...(takesMilkLater(card)
      ? [stage('milk', 'pour', 'pan', {
          from: 'second-pot', until: { sign: 'milk-taken-up' }, watch: ['milk-catches', 'stir-always', ...milkWatches(card, 'milk')], cautions: ['pour', 'spitting'], expect: ['looks-too-thin'],
        })]
      : []),
  ]
}

function sweetenStages(card: DishCard): Stage[] {
  if (syrupComesLast(card)) {
    return [stage('sweeten', 'sweeten', 'pan', { from: 'second-pot', until: { sign: 'tightened' }, watch: ['no-hard-centre', 'stir-always'], cautions: ['syrup', 'pour'], expect: ['runs-again'] })]
  }
  if (card.choices.sugar !== 'after-swelling') return []
  return [stage('sweeten', 'sweeten', 'pan', {
    adds: adding(idsOf(card, 'sugar', 'jaggery', 'condensed')), until: { sign: 'tightened' },
    watch: ['no-hard-centre', 'stir-always', ...milkWatches(card, 'sugar')], cautions: ['hot-sweet'], expect: ['runs-again'],
  })]
}

function rest(card: DishCard): Stage {
  const slab = card.choices.form !== 'soft'
  return stage('rest', 'rest', 'pan', {
    flame: 'off', lid: !slab, until: { minutes: slab ? 1 : card.choices.finish === 'covered' ? 10 : 5 }, hands: 0, cautions: ['hot-sweet'],
  })
}
