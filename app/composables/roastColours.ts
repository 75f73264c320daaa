import { labOnPath } from '../../core/materials/colour/labOnPath'
import { labToHex } from '../../core/materials/colour/labToHex'
import { COLOUR_STEPS, type ColourStep } from '../../core/formulation/signs/signIds'
import { coloursOf } from '../../core/process/program/coloursOf'
import type { CookPlan } from '../../core/record/plan/plan'

/** One step of a roast as this food shows it: its colour where it begins and where the next one begins, `#rrggbb`. */
export interface RoastColour {
  readonly step: ColourStep
  readonly from: string
  readonly to: string
  readonly lightness: number
}

/** How far into a step its first colour is taken, L*. */
const INTO = 2

/**
 * The strip of a food's own forecast colours, step by step.
 *
 * @param plan family and base
 * @returns the steps from light to dark
 */
export function roastColours(plan: Pick<CookPlan, 'dish' | 'amounts'>): RoastColour[] {
  const { path, stepLightness } = coloursOf(plan)
  const last = path[path.length - 1]?.lightness ?? 20
  return COLOUR_STEPS.map((step, i) => {
    const next = COLOUR_STEPS[i + 1]
    const lightness = stepLightness[step]
    return {
      step,
      lightness,
      from: labToHex(labOnPath(path, lightness - INTO)),
      to: labToHex(labOnPath(path, next ? stepLightness[next] : last)),
    }
  })
}

/**
 * The step that a lightness stands in.
 *
 * @param colours from `roastColours`
 * @param lightness L*
 * @returns the step, or null where the base is still raw
 */
export function stepAt(colours: readonly RoastColour[], lightness: number): ColourStep | null {
  return [...colours].reverse().find(one => lightness <= one.lightness)?.step ?? null
}
