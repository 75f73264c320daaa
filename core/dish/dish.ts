/** What is done in a stage; the sentence for it lives in `words/`. */
export const DOINGS = ['fry', 'roast', 'heat', 'pour', 'cook-down', 'enrich', 'rest'] as const
export type Doing = (typeof DOINGS)[number]

/** How strong a flame a stage asks for, whatever the household calls its marks. */
export const FLAMES = ['off', 'low', 'middle', 'high'] as const
export type Flame = (typeof FLAMES)[number]

/** One ingredient of a dish, as weight relative to the base. */
export interface DishIngredient {
  readonly id: string
  /** Id in the ingredient table. */
  readonly ingredient: string
  /** Grams for each gram of base. */
  readonly perBase: number
}

/** A vessel a dish needs. */
export interface DishVessel {
  readonly id: string
  readonly kind: 'pan' | 'pot'
}

/** When a stage is over: at a sign, or after minutes. */
export type Until = { readonly sign: string } | { readonly minutes: number }

/** One edge of one stage. */
export interface Boundary {
  readonly stage: string
  readonly edge: 'start' | 'end'
}

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
  readonly from?: string
  /** The boundary of the main line at which this stage has to be ready. */
  readonly meets?: Boundary
}

/** A dish as data. Versions are immutable: a change makes a new version. */
export interface Dish {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly otherNames: readonly string[]
  readonly family: string
  /** Id of the ingredient that the others are relative to. */
  readonly base: string
  readonly ingredients: readonly DishIngredient[]
  readonly vessels: readonly DishVessel[]
  readonly stages: readonly Stage[]
  /** The boundary that stands at the crown of the arch. */
  readonly keystone: Boundary
  /** Weight of one person's share of the finished sweet, g. */
  readonly portionG: number
  /** Base for which the usual minutes hold, g, and the minutes by stage. */
  readonly usual: { readonly baseG: number, readonly minutes: Readonly<Record<string, number>> }
  /** Share of the liquid in the pan that is still there when it is done, and its standard deviation. */
  readonly kept: { readonly share: number, readonly spread: number }
}
