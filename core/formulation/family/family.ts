import type { Lab } from '../../materials/colour/lab'
import type { ColourStep } from '../signs/signIds'

export { COLOUR_STEPS, type ColourStep } from '../signs/signIds'

/** Base families by id, in the order they are offered. */
export const FAMILY_IDS = [
  'semolina',
  'broken-wheat',
  'vermicelli',
  'wheat-flour',
  'other-flour',
  'gram-flour',
  'lentil',
  'vegetable',
  'fruit',
  'coconut-nut',
] as const
export type FamilyId = (typeof FAMILY_IDS)[number]

/**
 * How a base cooks: grain that swells whole, flour that thickens, produce that is grated and cooked down, coconut and
 * nuts.
 */
export type BaseKind = 'grain' | 'flour' | 'produce' | 'nut'

/** One base family as a row of numbers; no law is written per dish. */
export interface Family {
  readonly id: FamilyId
  readonly kind: BaseKind
  /** L* of the raw base wetted with fat, before any browning. */
  readonly rawLightness: number
  /** L* that endless browning would reach. */
  readonly finalLightness: number
  /** Browning path in CIELAB, falling lightness. */
  readonly path: readonly Lab[]
  /** L* at which each colour step begins, falling. */
  readonly stepLightness: Readonly<Record<ColourStep, number>>
  /** Change of L* when the roasted base has taken up its liquid and stands wet and swollen. */
  readonly wetLift: number
  /** Change of L* from just swollen to done, as the mass grows dense and glossy. */
  readonly doneDarkening: number
  /** Radius of a grain in mm. */
  readonly grainRadiusMm: number
  /** Most water the swollen base can hold, g per g of dry solids. */
  readonly mostWaterPerSolids: number
  /** True where grains scratch a coated pan. */
  readonly scratches: boolean
  /** True where the base is fresh: proportions are to its prepared raw weight, and its own water is cooked off. */
  readonly fresh: boolean
  /** True where acid and long cooking ask for steel or a lined pan. */
  readonly acid: boolean
  /** Share of air between dry grains or raw pieces, and once they have swollen shut or softened. */
  readonly rawAir: number
  readonly softAir: number
  /** Most fat the mass holds without running out, g per g of dry solids. */
  readonly mostFatPerSolids: number
  /** True where the browning path was set down for this family and not drawn from the colour of its base. */
  readonly ownPath: boolean
  /** Where these numbers come from. */
  readonly source: string
}
