import { itemAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import type { Lab } from '../../materials/colour/lab'
import { labOnPath } from '../../materials/colour/labOnPath'
import { HELD, SOLIDS, VAPOUR, WATER } from '../engine/layout'
import type { Program } from '../engine/program'
import type { TracePoint } from '../engine/trace'

/** Melted butterfat with nuts in it, before the base goes in; a syrup without a base (estimates). */
const FAT_COLOUR: Lab = { lightness: 87, a: 1, b: 30 }
/** Share of its water by whose loss a mass has grown as dense as it gets (estimate). */
const DENSE_LOSS = constant('denseLoss')
const DARKEST = 18

/**
 * The colour a content is forecast to have: the browning path in fat, lifted a little when the base swells and darkened
 * again as the mass grows dense. Wetting changes the surface at once and is no browning; milk lightens, jaggery
 * darkens.
 *
 * @param program colours, wet changes and tints
 * @param point one moment of a run
 * @returns colour in CIELAB
 */
export function appearance(program: Program, point: TracePoint): Lab {
  const { state } = point
  if (!(state[SOLIDS] > 0)) return FAT_COLOUR
  const { family, colours } = program
  const stage = itemAt(program.stages, Math.min(point.stage, program.stages.length - 1))
  const wetted = family.fresh || program.stages.some((one, k) => k <= point.stage && (one.from !== null || one.wet))
  if (!wetted) return labOnPath(colours.path, point.lightness)
  const free = state[WATER] > 0 ? 1 - state[HELD] / state[WATER] : 0
  const dense = Math.min(1, state[VAPOUR] / Math.max(1, DENSE_LOSS * (state[WATER] + state[VAPOUR])))
  const shift = family.wetLift + stage.tint + (1 - Math.min(1, free)) * dense * family.doneDarkening
  return labOnPath(colours.path, Math.max(DARKEST, point.lightness + shift))
}
