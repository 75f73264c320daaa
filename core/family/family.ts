import type { Lab } from '../colour/lab'

/** Names of the roast's colour steps, from light to dark. */
export const COLOUR_STEPS = ['pale', 'golden', 'deep-golden', 'brown', 'burnt'] as const
export type ColourStep = (typeof COLOUR_STEPS)[number]

/** One base family as a row of numbers; no law is written per dish. */
export interface Family {
  readonly id: string
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
  /** Where these numbers come from. */
  readonly source: string
}
