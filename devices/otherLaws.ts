import type { MemberValues } from '../core/process/belief/memberValues'
import type { BaseNumbers } from '../core/process/engine/baseNumbers'
import { evaporate } from '../core/process/engine/evaporate'
import { exchangeHeat } from '../core/process/engine/exchangeHeat'
import { AROMA, BROWNING, CHARRING, HELD, NUT_BROWNING, NUTS, PAN_TEMP, POWER, SOLIDS, TEMP, WATER, type VesselState } from '../core/process/engine/layout'
import { ripen } from '../core/process/engine/ripen'
import { softenTissue } from '../core/process/engine/softenTissue'
import type { VesselControls } from '../core/process/engine/stepVessel'
import { takeUpLiquid } from '../core/process/engine/takeUpLiquid'
import type { VesselConditions } from '../core/process/engine/vesselConditions'
import { waterRoomG } from '../core/process/engine/waterRoomG'
import { arrhenius } from '../core/materials/browning/arrhenius'

/**
 * Pans that obey other laws than the forecast believes, for putting it to the test: each differs in structure, not in a
 * number. Their figures are invented for that purpose.
 */
type Step = (
  state: VesselState,
  vessel: VesselConditions,
  family: BaseNumbers,
  member: MemberValues,
  controls: VesselControls,
  stepS: number,
) => void

/** The rest of a step once heat and vapour are done. */
function ripened(
  state: VesselState,
  family: BaseNumbers,
  member: MemberValues,
  stepS: number,
  law: typeof ripen,
): void {
  if (state[SOLIDS] > 0) {
    if (family.fresh) softenTissue(state, member, stepS)
    takeUpLiquid(state, family, member, waterRoomG(state, family, member), stepS)
  }
  law(state, member, stepS)
}

/**
 * Browning that has to get going: autocatalytic and more sensitive to heat, without a charring of its own; aroma comes
 * with it. Nothing browns before the mass is nearly dry.
 */
const lateBrowning: Step = (state, vessel, family, member, controls, stepS) => {
  state[POWER] = controls.powerW
  exchangeHeat(state, vessel, family, member, controls.cover, stepS)
  evaporate(state, vessel, member, controls.cover, stepS)
  ripened(state, family, member, stepS, browningThatGetsGoing)
}

function browningThatGetsGoing(state: VesselState, member: MemberValues, stepS: number): void {
  const film = state[TEMP] + member.film * (state[PAN_TEMP] - state[TEMP])
  if (film < 85) return
  if (state[NUTS] > 0) state[NUT_BROWNING] += arrhenius(film, 80000) * stepS
  if (!(state[SOLIDS] > 0)) return
  const dry = Math.exp(-state[WATER] / state[SOLIDS] / 0.12)
  const done = member.browningRate * state[BROWNING]
  state[BROWNING] += arrhenius(film, member.browningEnergy + 40000) * dry * (0.14 + 4 * done) * stepS
  state[AROMA] += arrhenius(film, 110000) * dry * stepS
}

/** A pan that gives its heat away: it radiates by the fourth power, and the flame grips less the hotter the pan is. */
const otherLosses: Step = (state, vessel, family, member, controls, stepS) => {
  const pan = state[PAN_TEMP]
  const radiated =
    0.7 * 5.67e-8 * ((pan + 273.15) ** 4 - (vessel.airC + 273.15) ** 4) * (vessel.wallArea + 0.5 * vessel.baseArea)
  const grip = Math.max(0.4, 1 - 0.00022 * (pan - vessel.airC))
  state[POWER] = Math.max(0, controls.powerW * grip - radiated)
  exchangeHeat(state, vessel, family, member, controls.cover, stepS)
  evaporate(state, vessel, member, controls.cover, stepS)
  ripened(state, family, member, stepS, ripen)
}

/** A base that holds its water deep: it leaves by diffusion, ever more slowly, and takes heat along for longer. */
const otherMoisture: Step = (state, vessel, family, member, controls, stepS) => {
  state[POWER] = controls.powerW
  exchangeHeat(state, vessel, family, member, controls.cover, stepS)
  const before = state[WATER]
  const held = state[HELD]
  const roasting = state[SOLIDS] > 0 && before - held < 0.05 * before
  evaporate(state, vessel, member, controls.cover, stepS)
  if (roasting && before > 0) {
    // Each gram that leaves a roast takes two grams' heat: bound water, and vapour that has to be pushed out.
    state[TEMP] -=
      (0.8 * 2257 * (before - state[WATER])) / (1.55 * state[SOLIDS] + 2.1 * 100 + 4.18 * before)
  }
  ripened(state, family, member, stepS, ripen)
}

/** A pan that is hot in its middle: a fifth of the mass sees most of the heat, browns early and is stirred in. */
const unevenPan: Step = (state, vessel, family, member, controls, stepS) => {
  state[POWER] = controls.powerW
  exchangeHeat(state, vessel, family, member, controls.cover, stepS)
  evaporate(state, vessel, member, controls.cover, stepS)
  ripened(state, family, member, stepS, (own, values, seconds) => {
    const browning = own[BROWNING]
    const charring = own[CHARRING]
    ripen(own, { ...values, film: Math.min(0.9, values.film + 0.8) }, seconds)
    own[BROWNING] = browning + 2.5 * (own[BROWNING] - browning)
    own[CHARRING] = charring + 0.5 * (own[CHARRING] - charring)
  })
}

/** The other laws by name. */
export const OTHER_LAWS = {
  'late browning': lateBrowning,
  'other losses': otherLosses,
  'other moisture': otherMoisture,
  'uneven pan': unevenPan,
} as const satisfies Readonly<Record<string, Step>>
export type OtherLaw = keyof typeof OTHER_LAWS
