import { keysOf } from '../../records'
import { constant } from '../../materials/constants/constants'
import { DENSITY } from '../../materials/composition/partDensity'
import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import type { PanContents } from '../../materials/composition/panContents'

/** A layer cooling in a tray, SI units. */
export interface Slab {
  readonly depthM: number
  readonly startC: number
  readonly airC: number
  /** W/(m·K) */
  readonly conductivity: number
  /** J/(m³·K) */
  readonly volumeHeat: number
  /** Film coefficients of the open face and of the tray's base, W/(m²·K). */
  readonly topW: number
  readonly baseW: number
}

/**
 * Conductivity of the parts by volume, W/(m·K): Choi and Okos 1986 near 50 °C (recalled, unchecked); nuts by
 * composition.
 */
const CONDUCTIVITY = {
  water: constant('conductivityWater'),
  solids: constant('conductivitySolids'),
  sugar: constant('conductivitySolids'),
  fat: constant('conductivityFat'),
  nuts: constant('conductivityFat'),
}
const TOP_W = constant('slabTop')
const BASE_W = constant('slabBase')

/**
 * A finished mass spread in a tray, as its cooling is worked out.
 *
 * @param contents masses, g
 * @param depthMm of the layer, 2 to 150 mm
 * @param startC as it is spread, °C
 * @param airC of the place it stands in, °C
 * @returns the layer
 */
export function slabOf(contents: PanContents, depthMm: number, startC: number, airC: number): Slab {
  const parts = {
    water: contents.waterG,
    solids: contents.solidsG,
    fat: contents.fatG,
    sugar: contents.sugarG,
    nuts: contents.nutsG,
  }
  const names = keysOf(parts)
  const ml = (name: keyof typeof parts): number => parts[name] / DENSITY[name]
  const volume = Math.max(1e-9, names.reduce((sum, name) => sum + ml(name), 0))
  return {
    depthM: depthMm / 1000, startC, airC,
    conductivity: names.reduce((sum, name) => sum + ml(name) / volume * CONDUCTIVITY[name], 0),
    volumeHeat: 1e6 * names.reduce((sum, name) => sum + parts[name] * SPECIFIC_HEAT[name], 0) / volume,
    topW: TOP_W, baseW: BASE_W,
  }
}
