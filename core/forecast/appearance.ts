import type { Lab } from '../colour/lab'
import { labOnPath } from '../colour/labOnPath'
import type { Family } from '../family/family'
import { HELD, SOLIDS, VAPOUR, WATER } from './layout'
import type { TracePoint } from './trace'

/** Melted butterfat with nuts in it, before the base goes in (estimate). */
const FAT_COLOUR: Lab = { lightness: 87, a: 1, b: 30 }

/**
 * The colour a content is forecast to have: the browning path in fat, lifted a little when the base swells and darkened
 * again as the mass grows dense. Wetting changes the surface at once and is no browning.
 *
 * @param family path and wet changes
 * @param point one moment of a run
 * @param poured true once the liquid is in
 * @returns colour in CIELAB
 */
export function appearance(family: Family, point: TracePoint, poured: boolean): Lab {
  const { state } = point
  if (!(state[SOLIDS] > 0)) return FAT_COLOUR
  if (!poured) return labOnPath(family.path, point.lightness)
  const free = state[WATER] > 0 ? 1 - state[HELD] / state[WATER] : 0
  const dense = Math.min(1, state[VAPOUR] / Math.max(1, 0.15 * (state[WATER] + state[VAPOUR])))
  const shift = family.wetLift + (1 - Math.min(1, free)) * dense * family.doneDarkening
  return labOnPath(family.path, point.lightness + shift)
}
