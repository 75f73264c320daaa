import { recordOf } from '../../records'
import { itemAt, numberAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import type { MemberValues } from '../belief/memberValues'
import { COLOUR_STEPS, TIMED_SIGNS, type SignId } from '../../formulation/signs/signIds'
import { vapourPressureAt } from '../../materials/water/vapourPressureAt'
import { contentMl } from './contentMl'
import {
  AROMA,
  BROWNING,
  FLECKS,
  HELD,
  INVERT,
  NUTS,
  NUT_BROWNING,
  SOLIDS,
  SUGAR,
  TEMP,
  WATER,
  WETTED,
  type VesselState,
} from './layout'
import type { Program } from './program'
import { darkeningDose } from './roastLightness'
import { waterActivity } from './waterActivity'
import { waterRoomG } from './waterRoomG'

/** Everything a cook can see or smell that the forecast times, in the order the ensemble keeps it. */
export const SIGNS: readonly SignId[] = TIMED_SIGNS

/** Signs by name, as indices into `SIGNS`. */
export const SIGN: Readonly<Record<SignId, number>> = recordOf(SIGNS, sign => SIGNS.indexOf(sign))

/** Signs of a roast: they can show in any stage that roasts. */
export const ROAST_SIGNS: readonly number[] = [SIGN.aroma, ...COLOUR_STEPS.map(step => SIGN[step])]

/** Share of the pan's water that still runs free when a wet sign shows (estimates, in the order in which they come). */
const FREE_AT: Partial<Record<SignId, number>> = {
  'taken-up': 0.12, 'milk-taken-up': 0.12, 'dry': 0.12, 'tightened': 0.07, 'fat-shows': 0.045, 'leaves-sides': 0.02,
}
/**
 * The same of fresh tissue, over what it keeps in the end: its juice is still in it when no puddle is left (estimates).
 */
const FRESH_FREE_AT: typeof FREE_AT = {
  ...FREE_AT,
  'dry': 0.35,
  'milk-taken-up': 0.25,
  'tightened': 0.1,
  'fat-shows': 0.06,
}
/** One mass: the water has fallen below what the dish keeps by this share of it (estimate). */
const BELOW_KEPT = constant('belowKept')
/** A pinch of it rolls and does not stick: it has fallen further below (estimate). */
const BELOW_ROLLS = constant('belowRolls')
/** Water over dry solids at which a paste falls to crumbs, and at which a flour in fat flows (estimates). */
const CRUMBLY = constant('crumbly')
const FLOWING = constant('flowing')
/**
 * Share of its room that a slurry has taken up when it has thickened, and of its raw volume that is half (estimate,
 * definition).
 */
const THICKENED = constant('thickened')
const HALF = 0.5
/** °C: a mass that can be rolled (estimate). */
const HAND_WARM_C = constant('handWarm')
/** Share of the air's pressure at which bubbles break and a cook calls it the boil: two kelvin below it (estimate). */
const NEAR_BOIL = constant('nearBoil')
const NOT_YET = -1e9

/** What a run knows beside the state when it looks for signs. */
export interface SignView {
  readonly program: Program
  readonly member: MemberValues
  /** Volume of the content when its stage began, ml. */
  stageMl: number
  /** Darkening dose at which each colour step shows in this member, in the order of `COLOUR_STEPS`. */
  readonly stepDoses: Float64Array
}

const FIRST_STEP = SIGN[COLOUR_STEPS[0]]
const LAST_STEP = SIGN[itemAt(COLOUR_STEPS, COLOUR_STEPS.length - 1)]
const {
  aroma: SMELL,
  crumbly: CRUMBS,
  loosened: LOOSE,
  thickened: THICK,
  halved: HALVED,
  dry: DRY,
  boil: BOIL,
  strength: STRENGTH,
  opened: OPENED,
  flecks: SPECKS,
} = SIGN
const NUTS_GOLDEN = SIGN['nuts-golden']
const ONE_MASS = SIGN['one-mass']
const ROLLS = SIGN.rolls
const WARM = SIGN['hand-warm']
const freeAt = (table: typeof FREE_AT): Float64Array => Float64Array.from(SIGNS, sign => table[sign] ?? -1)
const GRAIN_FREE = freeAt(FREE_AT)
const FRESH_FREE = freeAt(FRESH_FREE_AT)

/**
 * How far a sign of a vessel is from showing: below zero before, zero as it shows, above after.
 *
 * @param sign index into `SIGNS`
 * @param state the numbers of one vessel
 * @param view program, member, the stage's first volume, and doses of the colour steps
 * @returns a level in the sign's own unit (darkening dose, s, K, share of the water)
 */
export function signLevel(sign: number, state: VesselState, view: SignView): number {
  if (!(state[SOLIDS] > 0) || sign === NUTS_GOLDEN) return bareLevel(sign, state, view)
  if (sign >= FIRST_STEP && sign <= LAST_STEP) {
    return state[BROWNING] > 0
      ? darkeningDose(state, view.member) - numberAt(view.stepDoses, sign - FIRST_STEP)
      : NOT_YET
  }
  if (sign === SPECKS) return state[FLECKS] - numberAt(view.stepDoses, LAST_STEP - FIRST_STEP)
  if (sign === SMELL) return state[AROMA] - view.member.aromaDose
  return solidLevel(sign, state, view)
}

/** Signs that need no base in the vessel. */
function bareLevel(sign: number, state: VesselState, view: SignView): number {
  const { program, member } = view
  switch (sign) {
    case NUTS_GOLDEN: return state[NUTS] > 0 ? state[NUT_BROWNING] - member.nutDose : NOT_YET
    case BOIL: return boilLevel(state, program.vessels[0].airPressure)
    case STRENGTH: return strengthLevel(state, view)
    case WARM: return HAND_WARM_C - state[TEMP]
    case OPENED: return -boilLevel(state, program.vessels[0].airPressure)
    default: return NOT_YET
  }
}

/** How far the vapour's pressure is above that of a content at the boil, Pa. */
function boilLevel(state: VesselState, airPressure: number): number {
  return state[WATER] > 0
    ? waterActivity(state) * vapourPressureAt(state[TEMP]) - NEAR_BOIL * airPressure
    : NOT_YET
}

function solidLevel(sign: number, state: VesselState, view: SignView): number {
  const { program, member } = view
  switch (sign) {
    case CRUMBS:
      return CRUMBLY * member.wetEye - state[WATER] / state[SOLIDS]
    case LOOSE:
      return FLOWING * member.wetEye - state[WATER] / state[SOLIDS]
    case THICK:
      return state[HELD] - THICKENED * waterRoomG(state, program.family, member)
    case HALVED:
      return Math.max(HALF * view.stageMl - contentMl(state, program.family), 1e3 * wetLevel(DRY, state, view))
    default:
      return numberAt(GRAIN_FREE, sign) >= 0 || sign === ONE_MASS || sign === ROLLS
        ? wetLevel(sign, state, view)
        : bareLevel(sign, state, view)
  }
}

/** Strength of a syrup by weight: what sugar there is over all of it. */
function strengthLevel(state: VesselState, { program, member }: SignView): number {
  const sugar = state[SUGAR] + state[INVERT]
  if (!(sugar > 0)) return NOT_YET
  return (1 / program.syrupShare - 1) * member.strength - state[WATER] / sugar
}

/** Fresh tissue is judged by what it keeps in the end: raw, it holds all of its water and is not done. */
function wetLevel(sign: number, state: VesselState, { program, member }: SignView): number {
  const wetted = state[WETTED]
  if (state[TEMP] < 60) return NOT_YET
  const { family } = program
  const water = Math.max(1e-3, state[WATER])
  const kept = family.fresh ? wetted * member.kept : waterRoomG(state, family, member)
  if (sign === ONE_MASS || sign === ROLLS)
    return ((1 - (sign === ROLLS ? BELOW_ROLLS : BELOW_KEPT) * member.wetEye) * kept) / water - 1
  if (!(wetted > 0)) return NOT_YET
  const held = family.fresh ? kept : state[HELD]
  return numberAt((family.fresh ? FRESH_FREE : GRAIN_FREE), sign) * member.wetEye - 1 + held / water
}

/**
 * The darkening doses at which a member's eye calls the colour steps.
 *
 * @param program colours of the base
 * @param member its eye
 * @param into one number for each of `COLOUR_STEPS`, changed in place
 */
export function fillStepDoses(program: Program, member: MemberValues, into: Float64Array): void {
  const { rawLightness, stepLightness } = program.colours
  const { finalLightness } = program.family
  for (let k = 0; k < COLOUR_STEPS.length; k++) {
    const share =
      (stepLightness[itemAt(COLOUR_STEPS, k)] + member.eye - finalLightness) / (rawLightness - finalLightness)
    // A step that this eye calls on the raw base shows as soon as there is any browning.
    into[k] = share > 0 ? Math.max(1e-6, -Math.log(share)) : Number.POSITIVE_INFINITY
  }
}
