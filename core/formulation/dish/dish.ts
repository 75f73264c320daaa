import type { Allergen } from '../../materials/composition/ingredient'
import type { Choices, Preparation } from './choices'
import type { SignId } from '../signs/signIds'

/** What is done in a stage; the sentence for it lives in `words/`. */
export const DOINGS = [
  'prepare',
  'fry',
  'roast',
  'heat',
  'melt',
  'boil-syrup',
  'press',
  'wait',
  'pour',
  'cook-down',
  'sweeten',
  'enrich',
  'cool',
  'rest',
  'set',
  'shape',
] as const
export type Doing = (typeof DOINGS)[number]

/** How strong a flame a stage asks for, whatever the household calls its marks. */
export const FLAMES = ['off', 'low', 'middle', 'high'] as const
export type Flame = (typeof FLAMES)[number]

/** What an ingredient does in a dish: this, not its name, decides when it goes in. */
export const PARTS = [
  'base',
  'helper',
  'fat',
  'sugar',
  'jaggery',
  'water',
  'milk',
  'juice',
  'milk-solids',
  'condensed',
  'fruit',
  'nuts',
  'spice',
  'steeped',
] as const
export type Part = (typeof PARTS)[number]

/** One ingredient of a dish, as weight relative to the base. */
export interface DishIngredient {
  readonly id: string
  /** Id in the ingredient table. */
  readonly ingredient: string
  /** Grams for each gram of base. */
  readonly perBase: number
  /** What it does in the dish; missing in dishes of the first format. */
  readonly part?: Part | undefined
  /** Of a base beside the first: the family it is of, and how it is got ready. */
  readonly asBase?: { readonly family: string, readonly preparation: Preparation } | undefined
}

/** A vessel a dish needs. */
export interface DishVessel {
  readonly id: string
  readonly kind: 'pan' | 'pot'
}

/** When a stage is over: at a sign, or after minutes. */
export type Until = { readonly sign: SignId } | { readonly minutes: number }

/** One edge of one stage. */
export interface Boundary {
  readonly stage: string
  readonly edge: 'start' | 'end'
}

/** Before the fire, at it, or after it. */
export type Phase = 'before' | 'fire' | 'after'

/** One step of a dish in one vessel. Stages with `meets` run beside the main line, in another vessel. */
export interface Stage {
  readonly id: string
  readonly vessel: string
  readonly does: Doing
  readonly adds: readonly { readonly ingredient: string, readonly share: number }[]
  readonly takesOut: readonly string[]
  readonly flame: Flame
  readonly lid: boolean
  readonly until: Until
  /** A pour: the vessel whose content comes over at the start of this stage. */
  readonly from?: string | undefined
  /** The boundary of the main line at which this stage has to be ready. */
  readonly meets?: Boundary | undefined
  /** Missing means at the fire. */
  readonly phase?: Phase | undefined
  /** How many hands it binds: 1 is all of a person, 0.5 half, 0 none. */
  readonly hands?: 0 | 0.5 | 1 | undefined
  /** What a share that is set apart in it is free of. */
  readonly freeOf?: readonly Allergen[] | undefined
  /** Ingredients that are got ready in it without going into a vessel of the fire. */
  readonly handles?: readonly string[] | undefined
  /** What to watch for, cautions, and what will look wrong and is not: codes of `words/`. */
  readonly watch?: readonly string[] | undefined
  readonly cautions?: readonly string[] | undefined
  readonly expect?: readonly string[] | undefined
}

/** What a dish says of itself whether its stages are laid out or not. */
interface DishHead {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly otherNames: readonly string[]
  readonly family: string
  /** Id of the ingredient that the others are relative to. */
  readonly base: string
  readonly ingredients: readonly DishIngredient[]
  /** Weight of one person's share of the finished sweet, g. */
  readonly portionG: number
  /** Base for which the usual minutes hold, g, and the minutes by stage. */
  readonly usual: { readonly baseG: number, readonly minutes: Readonly<Record<string, number>> }
  /** Share of the liquid in the pan that is still there when it is done, and its standard deviation. */
  readonly kept: { readonly share: number, readonly spread: number }
}

/** A dish as it is kept: ingredients and choices. Versions are immutable: a change makes a new version. */
export interface DishCard extends DishHead {
  readonly choices: Choices
  /** Where it comes from, such as a dish it was copied from; free text. */
  readonly note?: string | undefined
}

/** A dish with its stages laid out, as plans, forecasts and cooks read it. */
export interface Dish extends DishHead {
  readonly choices?: Choices | undefined
  readonly vessels: readonly DishVessel[]
  readonly stages: readonly Stage[]
  /** The boundary that stands at the crown of the arch. */
  readonly keystone: Boundary
}
