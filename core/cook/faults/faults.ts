import { formOf } from '../../formulation/dish/forms'
import { keysOf } from '../../records'
import type { Dish, DishCard } from '../../formulation/dish/dish'
import { takesMilk } from '../../formulation/dish/splitsMilk'
import { familyOf } from '../../formulation/family/families'
import type { TermCode } from '../../formulation/signs/terms'
import type { Forecast } from '../../record/plan/forecast'
import type { Bench } from '../remedies/bench'
import { ballsCrumble, ballsFlatten, greasy, sticking } from '../remedies/fat'
import type { Remedy } from '../remedies/remedy'
import { beforeTurn, lumpy, milkCatches, milkSplit, rawTaste, scorched } from '../remedies/roast'
import { slabHard, slabSoft, syrupFar, syrupWeak } from '../remedies/strength'
import { notSweet, tooSweet } from '../remedies/sweetness'
import { dry, gluey, hardGrain, pasty, runny } from '../remedies/wetness'
import type { FaultCause } from './causes'
import type { ExpectCode } from '../../formulation/dish/stageCodes'

/** What of a dish decides which faults it can have; without choices it is taken for a soft one of a plain liquid. */
export type FaultyDish = Pick<Dish, 'family' | 'ingredients' | 'choices'>

/** What cannot be brought back. */
export type Lost = 'burnt-stays' | 'split-stays' | 'pasty-stays' | 'raw-stays'

/** A fault: where it can be met, what it comes from, and what can be done. */
interface FaultRow {
  /** Whether it can be met in what is made here. */
  readonly applies: (dish: FaultyDish) => boolean
  /**
   * Whether it is named while it cooks, and whether of the finished sweet: there it may be another fault that is meant.
   */
  readonly atFire: boolean
  readonly atEnd: boolean | ((dish: FaultyDish) => boolean)
  /**
   * What it comes from, with how often, before anything is known of the batch (craft, section 6; the shares are
   * estimates).
   */
  readonly causes: Readonly<Partial<Record<FaultCause, number>>>
  /** What can be done about it at the fire, the surest first. */
  readonly remedies: (bench: Bench, forecast: Forecast | null) => readonly Remedy[]
  /** What a stage says will look so and is no fault: codes of its `expect`. */
  readonly expected?: readonly ExpectCode[]
  /** What cannot be brought back. */
  readonly lost?: (bench: Bench) => Lost | null
  /** Perceptions that may be its mark, where something can be done. */
  readonly terms?: readonly TermCode[]
}

type Choices = DishCard['choices']
const PLAIN: Pick<Choices, 'form' | 'sugar' | 'liquid'> = { form: 'soft', sugar: 'in-liquid', liquid: 'water' }
const choicesOf = (dish: FaultyDish): Pick<Choices, 'form' | 'sugar' | 'liquid'> => dish.choices ?? PLAIN
const always = (): boolean => true
const shaped = (by: 'spoon' | 'knife' | 'hands') => (dish: FaultyDish): boolean => formOf(dish).shapedBy === by
const ofSyrup = (dish: FaultyDish): boolean => choicesOf(dish).sugar === 'syrup'
const isRoasted = (dish: FaultyDish): boolean => !familyOf(dish.family).fresh
const isGrated = (dish: FaultyDish): boolean => familyOf(dish.family).kind === 'produce'
const swells = (dish: FaultyDish): boolean => familyOf(dish.family).kind === 'grain'
const splits = ({ ingredients, choices }: FaultyDish): boolean =>
  (choices ? takesMilk({ ingredients, choices }) : ingredients.some(one => one.part === 'milk'))
const hasMilk = (dish: FaultyDish): boolean =>
  dish.ingredients.some(one => one.part === 'milk' || one.part === 'milk-solids')
/** Once it is wet, nothing roasts it further. */
const rawStays = (bench: Bench): Lost | null => (beforeTurn(bench) ? null : 'raw-stays')

const ROWS = {
  'runny': {
    applies: always, atFire: true, atEnd: shaped('spoon'), remedies: runny, expected: ['runs-again', 'looks-too-thin'],
    causes: { 'off-early': 0.3, 'too-wet': 0.3, 'low-after-turn': 0.25, 'cold-liquid': 0.1, 'sugar-runs': 0.05 },
  },
  'dry': {
    applies: always, atFire: true, atEnd: true, remedies: dry, expected: ['looks-dry'],
    causes: { 'off-late': 0.45, 'too-dry': 0.45, 'kept-back': 0.1 },
  },
  'lumpy': {
    applies: isRoasted, atFire: true, atEnd: true, remedies: lumpy, expected: ['lumps-at-first'], terms: ['lumps'],
    causes: { 'poured-fast': 0.4, 'cold-liquid': 0.3, 'unstirred': 0.3 },
  },
  'gluey': {
    applies: dish => !shaped('hands')(dish), atFire: true, atEnd: true, remedies: gluey, lost: rawStays,
    causes: { 'roast-short': 0.35, 'too-wet': 0.25, 'low-after-turn': 0.25, 'off-early': 0.15 },
  },
  'hard-grain': {
    applies: swells, atFire: true, atEnd: true, remedies: hardGrain, terms: ['hard-centre'],
    causes: { 'sugar-early': 0.28, 'too-dry': 0.24, 'cold-liquid': 0.24, 'off-early': 0.18, 'kept-back': 0.06 },
  },
  'raw-taste': {
    applies: isRoasted, atFire: true, atEnd: true, remedies: rawTaste, lost: rawStays,
    causes: { 'roast-short': 0.7, 'flame-high': 0.3 },
  },
  'too-sweet': {
    applies: always, atFire: true, atEnd: true, remedies: tooSweet,
    causes: { 'more-sugar': 0.72, 'off-late': 0.18, 'produce-sweet': 0.1 },
  },
  'not-sweet': {
    applies: always, atFire: true, atEnd: true, remedies: notSweet,
    causes: { 'forgotten': 0.1, 'less-sugar': 0.64, 'too-wet': 0.16, 'produce-plain': 0.1 },
  },
  'greasy': {
    applies: always, atFire: true, atEnd: true, remedies: greasy, expected: ['fat-drawn-in', 'stiff-then-flows'],
    causes: { 'more-fat': 0.56, 'off-late': 0.24, 'too-dry': 0.1, 'fat-drawn-later': 0.1 },
  },
  'sticking': {
    applies: always, atFire: true, atEnd: false, remedies: sticking, expected: ['sticks-then-leaves'],
    causes: { 'too-early': 0.5, 'less-fat': 0.25, 'flame-high': 0.25 },
  },
  'burnt': {
    applies: always,
    atFire: true,
    atEnd: true,
    remedies: scorched,
    lost: () => 'burnt-stays',
    terms: ['acrid', 'dark-flecks'],
    causes: { 'flame-high': 0.4, 'roast-long': 0.3, 'unstirred': 0.2, 'thin-pan': 0.1 },
  },
  'syrup-weak': {
    applies: ofSyrup, atFire: true, atEnd: false, remedies: syrupWeak,
    causes: { 'too-early': 0.6, 'low-after-turn': 0.4 },
  },
  'syrup-far': {
    applies: ofSyrup, atFire: true, atEnd: false, remedies: syrupFar,
    causes: { 'off-late': 0.6, 'flame-high': 0.4 },
  },
  'slab-soft': {
    applies: shaped('knife'),
    atFire: true,
    atEnd: true,
    remedies: slabSoft,
    expected: ['soft-middle', 'firms-as-it-cools'],
    causes: { 'syrup-weak': 0.4, 'off-early': 0.3, 'too-wet': 0.2, 'more-fat': 0.1 },
  },
  'slab-hard': {
    applies: shaped('knife'), atFire: true, atEnd: true, remedies: slabHard,
    causes: { 'syrup-far': 0.5, 'off-late': 0.4, 'too-dry': 0.1 },
  },
  'grainy': {
    applies: ofSyrup, atFire: false, atEnd: true, remedies: () => [],
    causes: { 'syrup-far': 0.6, 'off-late': 0.3, 'unstirred': 0.1 },
  },
  'balls-crumble': {
    applies: shaped('hands'), atFire: true, atEnd: true, remedies: ballsCrumble, terms: ['crumbles'],
    causes: { 'less-fat': 0.4, 'rolled-cool': 0.35, 'roast-long': 0.25 },
  },
  'balls-flatten': {
    applies: shaped('hands'),
    atFire: true,
    atEnd: true,
    remedies: ballsFlatten,
    expected: ['firms-as-it-cools'],
    terms: ['slumps'],
    causes: { 'rolled-warm': 0.5, 'more-fat': 0.5 },
  },
  'milk-split': {
    applies: splits,
    atFire: true,
    atEnd: true,
    remedies: milkSplit,
    expected: ['milk-grains'],
    lost: () => 'split-stays',
    terms: ['milk-splits'],
    causes: { 'sour': 0.6, 'flame-high': 0.4 },
  },
  'milk-catches': {
    applies: hasMilk, atFire: true, atEnd: false, remedies: milkCatches, terms: ['catches'],
    causes: { 'flame-high': 0.5, 'unstirred': 0.3, 'thin-pan': 0.2 },
  },
  'pasty': {
    applies: isGrated, atFire: true, atEnd: false, remedies: pasty, lost: () => 'pasty-stays', terms: ['pasty'],
    causes: { 'grated-fine': 0.4, 'mashed': 0.3, 'too-wet': 0.3 },
  },
} as const satisfies Readonly<Record<string, FaultRow>>

/** A fault, as a code of `words/`. */
export type Fault = keyof typeof ROWS
/** A fault that the finished sweet can be said to have. */
export type EndFault = { [F in Fault]: (typeof ROWS)[F]['atEnd'] extends false ? never : F }[Fault]

/**
 * Every fault: where it can be met, what it comes from, and what can be done. A new one is a row here, and its words.
 */
export const FAULTS: Readonly<Record<Fault, FaultRow>> = ROWS

/** The codes of all faults, the usual ones first. */
export const FAULT_IDS = keysOf(ROWS)

/** Those that are named of the finished sweet. */
export const END_FAULTS = FAULT_IDS.filter((fault): fault is EndFault => FAULTS[fault].atEnd !== false)
