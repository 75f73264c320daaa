import { formOf } from '../dish/forms'
import type { DishCard, Stage } from '../dish/dish'
import { milkWatches } from '../dish/splitsMilk'
import { roastStages } from './roastStages'
import {
  adding,
  doneSign,
  enrichStages,
  fatPlan,
  type FatPlan,
  FRUIT_PORTION,
  fryFirst,
  fryLast,
  idsOf,
  type Laid,
  pulpsIn,
  stage,
} from './shape'
import type { StageId } from '../dish/stageRole'

/**
 * Roasted, then wetted: semolina, broken wheat, vermicelli, flours, lentils as paste or flour. Turns at the pour; the
 * other way round, where the grain is rained into its boiling liquid in the deep pan, as the grain goes in.
 *
 * @param card the dish; its choices have no trouble
 * @returns stages at the fire
 */
export function grainStages(card: DishCard): Laid {
  const fat = rains(card) ? rainedFat(card) : fatPlan(card)
  const roasted = [...fryFirst(card, fat), ...roastStages(card, fat)]
  return {
    stages: [
      ...(rains(card) ? roasted.map(one => ({ ...one, vessel: 'roasting-pan' })) : roasted),
      ...besideStages(card),
      ...wetStages(card),
      ...sweetenStages(card),
      ...enrichStages(card, fat, doneSign(card)),
      ...fryLast(card, fat),
      rest(card),
    ],
    keystone: { stage: turn(card), edge: 'start' },
  }
}

const rains = (card: DishCard): boolean => card.choices.pour === 'rained'
const turn = (card: DishCard): string => (rains(card) ? 'rain' : 'pour')

/** Share of the fat at a time that goes into a mass that was rained: in stages, after the sugar. */
const RAINED_PORTIONS = 3

/** Where the grain was roasted dry all of the fat comes at the end. */
function rainedFat(card: DishCard): FatPlan {
  const fat = fatPlan(card)
  if (!fat.dry) return fat
  return { ...fat, first: 0, late: Array.from({ length: RAINED_PORTIONS }, () => fat.first / RAINED_PORTIONS) }
}

/** Id of the other vessel's stage: it says what is in it. */
function besideId(card: DishCard): StageId {
  const { sugar, liquid } = card.choices
  if (sugar === 'syrup') return 'syrup'
  const name = liquid === 'milk' || liquid === 'juice' ? liquid : 'water'
  return sugar === 'in-liquid' ? `sweet-${name}` : `hot-${name}`
}

/** A lentil swells in its milk first: sugar before that would leave it hard, so its syrup comes last. */
function syrupComesLast(card: DishCard): boolean {
  return card.family === 'lentil' && card.choices.sugar === 'syrup' && idsOf(card, 'milk').length > 0
}

/** The milk that is poured, and the syrup that is boiled beside it for after. */
function milkThenSyrup(card: DishCard): Stage[] {
  return [
    stage('hot-milk', 'heat', 'pot', {
      adds: adding(idsOf(card, 'milk')),
      flame: 'middle',
      until: { sign: 'boil' },
      hands: 0,
      meets: { stage: 'pour', edge: 'start' },
      watch: ['milk-catches'],
      cautions: ['scald'],
    }),
    stage('syrup', 'boil-syrup', 'second-pot', {
      adds: adding(idsOf(card, 'water', 'juice', 'sugar', 'jaggery')),
      flame: 'high',
      until: { sign: 'strength' },
      hands: 0.5,
      meets: { stage: 'sweeten', edge: 'start' },
      watch: ['strength', 'no-grains-on-the-wall'],
      cautions: ['syrup'],
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
  const beside = stage(besideId(card), syrup ? 'boil-syrup' : 'heat', rains(card) ? 'pan' : 'pot', {
    adds: [
      ...adding([...first, ...sweet, ...condensed]),
      ...(rains(card) ? adding([...idsOf(card, 'fruit'), ...pulpsIn(card)]) : []),
    ],
    flame: 'high',
    lid: !syrup && liquid !== 'milk',
    until: { sign: syrup ? 'strength' : 'boil' },
    hands: syrup ? 0.5 : 0,
    meets: { stage: turn(card), edge: 'start' },
    watch: syrup ? ['strength', 'no-grains-on-the-wall'] : liquid === 'milk' ? ['milk-catches'] : [],
    cautions: syrup ? ['syrup'] : ['scald'],
  })
  if (!takesMilkLater(card)) return [beside]
  return [
    beside,
    stage('hot-milk', 'heat', 'second-pot', {
      adds: adding(idsOf(card, 'milk')),
      flame: 'middle',
      until: { sign: 'boil' },
      hands: 0,
      meets: { stage: 'milk', edge: 'start' },
      watch: ['milk-catches'],
      cautions: ['scald'],
    }),
  ]
}

/** Milk that does not go in with the first liquid. */
function takesMilkLater(card: DishCard): boolean {
  const { sugar, liquid } = card.choices
  return !syrupComesLast(card) && (liquid === 'water-then-milk' || sugar === 'syrup') && idsOf(card, 'milk').length > 0
}

function wetStages(card: DishCard): Stage[] {
  const { choices, family } = card
  const covered = choices.finish === 'covered' || family === 'broken-wheat' || rains(card)
  return [
    rains(card)
      ? stage('rain', 'pour', 'pan', {
          from: 'pan',
          watch: ['by-handfuls', 'stir-always'],
          cautions: ['splashes'],
          expect: ['looks-too-thin'],
        })
      : stage('pour', 'pour', 'pan', {
          from: 'pot',
          flame: 'off',
          until: { minutes: choices.pour === 'in-parts' ? 2 : 1 },
          watch: choices.pour === 'in-parts' ? ['in-parts', 'face-back'] : ['face-back'],
          cautions: ['pour'],
          expect: ['foams'],
        }),
    stage(rains(card) ? 'swell' : 'take-up', 'cook-down', 'pan', {
      ...(rains(card)
        ? { flame: 'low' as const }
        : { adds: [...adding(pulpsIn(card)), ...adding(idsOf(card, 'fruit'), FRUIT_PORTION)] }),
      lid: covered,
      until: { sign: 'taken-up' },
      hands: covered ? 0.5 : 1,
      watch: [
        family === 'vermicelli' ? 'fork-loosen' : rains(card) ? 'under-the-lid' : 'flame-back',
        choices.sugar === 'after-swelling' || syrupComesLast(card) ? 'no-hard-centre' : 'soft-within',
      ],
      cautions: ['spitting'],
      expect: ['looks-too-thin'],
    }),
    ...(takesMilkLater(card)
      ? [
          stage('milk', 'pour', 'pan', {
            from: 'second-pot',
            until: { sign: 'milk-taken-up' },
            watch: ['milk-catches', 'stir-always', ...milkWatches(card, 'milk')],
            cautions: ['pour', 'spitting'],
            expect: ['looks-too-thin'],
          }),
        ]
      : []),
  ]
}

function sweetenStages(card: DishCard): Stage[] {
  if (syrupComesLast(card)) {
    return [
      stage('sweeten', 'sweeten', 'pan', {
        from: 'second-pot',
        until: { sign: 'tightened' },
        watch: ['no-hard-centre', 'stir-always'],
        cautions: ['syrup', 'pour'],
        expect: ['runs-again'],
      }),
    ]
  }
  if (card.choices.sugar !== 'after-swelling') return []
  return [
    stage('sweeten', 'sweeten', 'pan', {
      adds: adding(idsOf(card, 'sugar', 'jaggery', 'condensed')),
      until: { sign: 'tightened' },
      watch: ['no-hard-centre', 'stir-always', ...milkWatches(card, 'sugar')],
      cautions: ['hot-sweet'],
      expect: ['runs-again'],
    }),
  ]
}

function rest(card: DishCard): Stage {
  const slab = formOf(card).shapedBy !== 'spoon'
  return stage('rest', 'rest', 'pan', {
    flame: 'off',
    lid: !slab,
    until: { minutes: slab ? 1 : card.choices.finish === 'covered' ? 10 : 5 },
    hands: 0,
    cautions: ['hot-sweet'],
  })
}
