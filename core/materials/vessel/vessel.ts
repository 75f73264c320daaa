/** Materials a pan can be made of. */
export const MATERIALS = ['steel', 'aluminium', 'cast-iron', 'copper', 'clay'] as const
export type Material = (typeof MATERIALS)[number]

/** A vessel on a fire, taken as a cylinder. */
export interface Vessel {
  readonly innerDiameterMm: number
  readonly depthMm: number
  readonly massG: number
  readonly material: Material
}

/** Heat capacity of each material, J/(g·K), near 100 °C: handbook values (recalled, unchecked). */
export const MATERIAL_HEAT: Readonly<Record<Material, number>> = {
  'steel': 0.5,
  'aluminium': 0.9,
  'cast-iron': 0.46,
  'copper': 0.385,
  'clay': 0.85,
}
