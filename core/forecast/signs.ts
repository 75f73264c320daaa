import type { MemberValues } from '../belief/memberValues'
import { COLOUR_STEPS, TIMED_SIGNS, type ColourStep, type SignId } from '../dish/signIds'
import { boilingTempC } from './boilingTempC'
import { contentMl } from './contentMl'
import { AROMA, BROWNING, HELD, INVERT, NUTS, NUT_BROWNING, SOLIDS, SUGAR, TEMP, WATER, WETTED } from './layout'
import type { Program } from './program'
import { roastLightness } from './roastLightness'
import { waterRoomG } from './waterRoomG'

/** Everything a cook can see or smell that the forecast times, in the order the ensemble keeps it. */
export const SIGNS: readonly SignId[] = TIMED_SIGNS

/** Signs by name, as indices into `SIGNS`. */
export const SIGN = Object.fromEntries(SIGNS.map((sign, i) => [sign, i])) as Readonly<Record<SignId, number>>

/** Signs of a roast: they can show in any stage that roasts. */
export const ROAST_SIGNS: readonly number[] = [SIGN.aroma, ...COLOUR_STEPS.map(step => SIGN[step])]

/** Share of the pan's water that still runs free when a wet sign shows (estimates, in the order in which they come). */
const FREE_AT: Partial<Record<SignId, number>> = {
  'taken-up': 0.12, 'milk-taken-up': 0.12, 'dry': 0.12, 'tightened': 0.07, 'fat-shows': 0.045, 'leaves-sides': 0.02,
}
/** The same of fresh tissue, over what it keeps in the end: its juice is still in it when no puddle is left (estimates). */
const FRESH_FREE_AT: typeof FREE_AT = { ...FREE_AT, 'dry': 0.35, 'milk-taken-up': 0.25, 'tightened': 0.1, 'fat-shows': 0.06 }
/** One mass: the water has fallen below what the dish keeps by this share of it (estimate). */
const BELOW_KEPT = 0.02
/** Water over dry solids at which a paste falls to crumbs, and at which a flour in fat flows (estimates). */
const CRUMBLY = 0.32
const FLOWING = 0.045
/** Share of its room that a slurry has taken up when it has thickened, and of its raw volume that is half (estimate, definition). */
const THICKENED = 0.8
const HALF = 0.5
/** °C: a mass that can be rolled, and how far above the boil a pressure pan still holds shut, K (estimates). */
const HAND_WARM_C = 42
const SHUT_K = 0.5
const BOIL_MARGIN_K = 0.5
const NOT_YET = -1e9

/** What a run knows beside the state when it looks for signs. */
export interface SignView {
  readonly program: Program
  readonly member: MemberValues
  /** Volume of the content when its stage began, ml. */
  stageMl: number
}

/**
 * How far a sign of a vessel is from showing: below zero before, zero as it shows, above after.
 *
 * @param sign index into `SIGNS`
 * @param state flat state
 * @param at where the vessel's numbers begin in it
 * @param view program, member and the stage's first volume
 * @returns a level in the sign's own unit (L*, s, K, share of the water)
 */
export function signLevel(sign: number, state: Float64Array, at: number, view: SignView): number {
  const { program, member } = view
  const id = SIGNS[sign]
  switch (id) {
    case 'nuts-golden': return state[at + NUTS] > 0 ? state[at + NUT_BROWNING] - member.nutDose : NOT_YET
    case 'boil': return state[at + WATER] > 0 ? state[at + TEMP] - boilingTempC(state, at, program.vessels[0].airPressure) + BOIL_MARGIN_K : NOT_YET
    case 'strength': return strengthLevel(state, at, view)
    case 'hand-warm': return HAND_WARM_C - state[at + TEMP]
    case 'opened': return boilingTempC(state, at, program.vessels[0].airPressure) + SHUT_K - state[at + TEMP]
  }
  const solids = state[at + SOLIDS]
  if (!(solids > 0)) return NOT_YET
  switch (id) {
    case 'aroma': return state[at + AROMA] - member.aromaDose
    case 'crumbly': return CRUMBLY * member.wetEye - state[at + WATER] / solids
    case 'loosened': return FLOWING * member.wetEye - state[at + WATER] / solids
    case 'thickened': return state[at + HELD] - THICKENED * waterRoomG(state, at, program.family, member)
    case 'halved': return Math.max(HALF * view.stageMl - contentMl(state, at, program.family), 1e3 * wetLevel('dry', state, at, view))
  }
  if (id in FREE_AT || id === 'one-mass') return wetLevel(id, state, at, view)
  return state[at + BROWNING] > 0 ? colourLevel(id as ColourStep, state, at, view) : NOT_YET
}

function colourLevel(step: ColourStep, state: Float64Array, at: number, { program, member }: SignView): number {
  const { rawLightness, stepLightness } = program.colours
  return stepLightness[step] + member.eye - roastLightness(state, at, rawLightness, program.family.finalLightness, member)
}

/** Strength of a syrup by weight: what sugar there is over all of it. */
function strengthLevel(state: Float64Array, at: number, { program, member }: SignView): number {
  const sugar = state[at + SUGAR] + state[at + INVERT]
  if (!(sugar > 0)) return NOT_YET
  const { syrupShare } = program
  return (1 / syrupShare - 1) * member.strength - state[at + WATER] / sugar
}

/** Fresh tissue is judged by what it keeps in the end: raw, it holds all of its water and is not done. */
function wetLevel(id: SignId, state: Float64Array, at: number, { program, member }: SignView): number {
  const wetted = state[at + WETTED]
  if (state[at + TEMP] < 60) return NOT_YET
  const { family } = program
  const water = Math.max(1e-3, state[at + WATER])
  const kept = family.fresh ? wetted * member.kept : waterRoomG(state, at, family, member)
  if (id === 'one-mass') return (1 - BELOW_KEPT * member.wetEye) * kept / water - 1
  if (!(wetted > 0)) return NOT_YET
  const held = family.fresh ? kept : state[at + HELD]
  return ((family.fresh ? FRESH_FREE_AT : FREE_AT)[id] ?? 0) * member.wetEye - 1 + held / water
}
