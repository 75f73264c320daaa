import type { Belief } from '../../materials/belief/belief'
import type { Lab } from '../../materials/colour/lab'
import type { Composition } from '../../materials/composition/composition'
import type { Ingredient } from '../../materials/composition/ingredient'
import type { FireKind } from '../../materials/fire/fireKinds'
import type { FlameMark } from '../../materials/fire/flameMark'
import type { FlameTurn } from './flameTurn'
import type { Dish } from '../../formulation/dish/dish'
import type { Forecast } from './forecast'
import type { Vessel } from '../../materials/vessel/vessel'

/** One ingredient of a plan, weighed out. */
export interface PlanAmount {
  /** Id within the dish. */
  readonly id: string
  /** Id in the ingredient table. */
  readonly ingredient: string
  readonly massG: number
  readonly composition: Composition
  /** Water that soaking or cooking has put into it, g. */
  readonly soakedG?: number | undefined
  /** Where it is a fat: from when it smokes, °C. */
  readonly smokeC?: number | undefined
  /** Colour of the raw base, where it is known. */
  readonly look?: Lab | undefined
  /** The whole row, where it is one of the household's own: the plan is read where nobody else knows it. */
  readonly own?: Ingredient | undefined
}

/** A vessel of the household taken for this cook. */
export interface PlanVessel {
  readonly id: string
  readonly name: string
  readonly vessel: Vessel
  readonly coated: boolean
  /** True where its weight is a guess. */
  readonly massGuessed: boolean
}

/** A fire of the household taken for this cook; its marks rise in power. */
export interface PlanFire {
  readonly id: string
  readonly name: string
  readonly marks: readonly FlameMark[]
  /** What kind of fire it is; missing in plans of older versions. */
  readonly kind?: FireKind | undefined
  /** How long it takes to follow its mark, s; 0 for gas. */
  readonly lagS?: number | undefined
}

/** Everything decided before the fire is lit. It never changes once the cook exists. */
export interface CookPlan {
  readonly id: string
  readonly dish: Dish
  readonly amounts: readonly PlanAmount[]
  /** By the dish's vessel ids. */
  readonly vessels: Readonly<Record<string, PlanVessel>>
  readonly fires: Readonly<Record<string, PlanFire>>
  /** Flame mark by stage id. */
  readonly flames: Readonly<Record<string, string>>
  /** Turns of the flame in the last roast, from a flame plan; its first mark is in `flames`. */
  readonly turns?: readonly FlameTurn[] | undefined
  /** The household's cup these amounts were read in. */
  readonly cup: { readonly id: string, readonly name: string, readonly volumeMl: number }
  readonly people: number
  readonly belief: Belief
  readonly seed: number
  readonly modelVersion: string
  readonly airC: number
  readonly altitudeM: number
  /** What the kitchen thermometer reads too much, K; missing counts as nothing. */
  readonly thermometerK?: number | undefined
  /** ms since 1970. */
  readonly plannedAt: number
  /** What was forecast before the fire was lit. */
  readonly forecast: Forecast | null
}
