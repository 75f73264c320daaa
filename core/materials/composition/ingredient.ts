import type { Lab } from '../colour/lab'
import type { Composition } from './composition'
import type { Nutrients } from './nutrients'

/** What an ingredient is to a cook: how it is handled, and what it counts as. */
export const KINDS = [
  'base',
  'produce',
  'coconut',
  'nuts',
  'fat',
  'sugar',
  'jaggery',
  'water',
  'milk',
  'juice',
  'milk-solids',
  'condensed',
  'spice',
  'steeped',
] as const
export type Kind = (typeof KINDS)[number]

/** Foods that carry an allergen, by the allergen's name. */
export const ALLERGENS = [
  'milk',
  'wheat',
  'barley',
  'cashew',
  'almond',
  'pistachio',
  'walnut',
  'peanut',
  'sesame',
  'soya',
  'oats',
  'coconut',
  'sulphites',
] as const
export type Allergen = (typeof ALLERGENS)[number]

/** Where a number of the table comes from. */
export type FigureOrigin = 'table' | 'recalled' | 'estimate' | 'weighed'

/** A thing that is counted: the weight of one as bought, g, by size. */
export interface Piece {
  readonly noun: string
  readonly plural: string
  readonly small: number
  readonly medium: number
  readonly large: number
}

/** What becomes of an ingredient while it is got ready, as shares of its weight. */
export interface Yields {
  /** What is left after peeling, stoning and trimming, 0 to 1. */
  readonly prepared: number
  /** Water taken up in soaking, as a share of the dry weight; 0 for what is not soaked. */
  readonly soakGain: number
  /** What is left after grinding and draining, 0 to 1. */
  readonly ground: number
}

/** One row of the ingredient table. */
export interface Ingredient {
  readonly id: string
  readonly name: string
  readonly otherNames: readonly string[]
  readonly kind: Kind
  /** Families whose base it can be. */
  readonly families: readonly string[]
  /** Poured, not packed, prepared as it is measured: g/ml. */
  readonly bulkDensity: number
  readonly piece: Piece | null
  readonly yields: Yields
  /** Parts of 100 g. */
  readonly nutrients: Nutrients
  /** Shares for the forecast. */
  readonly composition: Composition
  readonly coarse: boolean
  /** True for one of the household's own, that no other house knows. */
  readonly own?: true | undefined
  readonly allergens: readonly Allergen[]
  readonly colour: Lab
  /** Where it is a fat: from when it smokes, °C; as of unrefined oils where it is not said. */
  readonly smokeC?: number | undefined
  /** Packages it is sensibly bought in, g, rising. */
  readonly packagesG: readonly number[]
  /** Days it keeps well once opened or bought, in a cool cupboard or cold where it needs it (estimate). */
  readonly keepsDays: number
  /** Where density, composition and the rest come from. */
  readonly source: {
    readonly density: string
    readonly composition: string
    readonly densityOrigin: FigureOrigin
    readonly compositionOrigin: FigureOrigin
  }
}
