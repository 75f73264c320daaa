import { FORMS, type Form } from './forms'

/** When the sugar goes in. */
export const SUGAR_WAYS = ['in-liquid', 'after-swelling', 'off-fire', 'syrup', 'into-reduced'] as const
export type SugarWay = (typeof SUGAR_WAYS)[number]

/** When the fat goes in. */
export const FAT_WAYS = ['at-start', 'half-and-half', 'little-by-little', 'dry-first'] as const
export type FatWay = (typeof FAT_WAYS)[number]

/** How far the base is roasted. */
export const ROASTS = ['none', 'aroma', 'pale', 'golden', 'deep-golden', 'brown'] as const
export type Roast = (typeof ROASTS)[number]

/** What the base is wetted with. */
export const LIQUIDS = ['none', 'water', 'milk', 'water-then-milk', 'juice'] as const
export type Liquid = (typeof LIQUIDS)[number]

/** How the liquid meets the base: poured on it, mixed with it cold, or boiling as the base is rained into it. */
export const POURS = ['at-once', 'in-parts', 'slurry', 'rained'] as const
export type Pour = (typeof POURS)[number]

/** When the nuts are fried. */
export const NUT_WAYS = ['first', 'into-roast', 'last'] as const
export type NutWay = (typeof NUT_WAYS)[number]

/** Open pan or pressure pan. */
export const COOKINGS = ['open', 'pressure'] as const
export type Cooking = (typeof COOKINGS)[number]

/** How it is finished. */
export const FINISHES = ['covered', 'stirred'] as const
export type Finish = (typeof FINISHES)[number]

/** Whether it may be tasted before it is offered. */
export const TASTINGS = ['tasted', 'not-tasted'] as const
export type Tasting = (typeof TASTINGS)[number]

/** What is done to the base before the fire. */
export const PREPARATIONS = ['as-bought', 'raw-paste', 'fine-paste', 'dry-ground', 'cooked-puree', 'grated'] as const
export type Preparation = (typeof PREPARATIONS)[number]

/** The school of a dish: every question on which cooks disagree, answered. */
export interface Choices {
  readonly form: Form
  readonly preparation: Preparation
  readonly roast: Roast
  readonly fat: FatWay
  readonly liquid: Liquid
  readonly pour: Pour
  readonly sugar: SugarWay
  readonly nuts: NutWay
  readonly cooking: Cooking
  readonly finish: Finish
  readonly tasting: Tasting
  /** Got ready in lots, the first cooking while the next is grated. */
  readonly lots: boolean
}

/** Values of every choice, in the order they are asked. */
export const CHOICE_VALUES = {
  form: FORMS, preparation: PREPARATIONS, roast: ROASTS, fat: FAT_WAYS, liquid: LIQUIDS, pour: POURS, sugar: SUGAR_WAYS,
  nuts: NUT_WAYS, cooking: COOKINGS, finish: FINISHES, tasting: TASTINGS, lots: [false, true],
} as const satisfies { readonly [Key in keyof Choices]: readonly Choices[Key][] }
