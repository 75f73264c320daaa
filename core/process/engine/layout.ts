/** Where each number of one vessel stands; masses in g, temperatures in °C, heat in J. */
export const PAN_TEMP = 0
export const TEMP = 1
export const WATER = 2
export const SOLIDS = 3
export const FAT = 4
/** Disaccharides: sucrose, lactose, maltose. */
export const SUGAR = 5
/** Glucose and fructose, of fruit and jaggery. */
export const INVERT = 6
export const NUTS = 7
/** Water held in the swollen base or in raw tissue, part of WATER. */
export const HELD = 8
/** How far fresh tissue has softened, 0 raw to 1. */
export const SOFT = 9
/** Water that has gone in, a dry base's own moisture left out: what the kept share is of. */
export const WETTED = 10
/** Browning dose: equivalent seconds at 150 °C. */
export const BROWNING = 11
export const AROMA = 12
export const NUT_BROWNING = 13
/** Charring dose: equivalent seconds at 175 °C of the late, high-energy reaction. */
export const CHARRING = 14
/** Water that has left as vapour since the start. */
export const VAPOUR = 15
/** Heat from the fire less heat lost to the room since the start. */
export const HEAT = 16
/** Heat carried away by vapour since the start, measured from 0 °C. */
export const VAPOUR_HEAT = 17
/** Heat arriving in the pan, W: follows the flame with the fire's lag. */
export const POWER = 18
/** Darkening dose of the grains that lie longest on the pan. */
export const FLECKS = 19
/** Numbers kept for one vessel. */
export const VESSEL_SIZE = 20

/** A place of a vessel's numbers. */
export type StatePlace =
  | typeof PAN_TEMP
  | typeof TEMP
  | typeof WATER
  | typeof SOLIDS
  | typeof FAT
  | typeof SUGAR
  | typeof INVERT
  | typeof NUTS
  | typeof HELD
  | typeof SOFT
  | typeof WETTED
  | typeof BROWNING
  | typeof AROMA
  | typeof NUT_BROWNING
  | typeof CHARRING
  | typeof VAPOUR
  | typeof HEAT
  | typeof VAPOUR_HEAT
  | typeof POWER
  | typeof FLECKS

/** The numbers of one vessel, each at its place. */
export type VesselState = Float64Array & Record<StatePlace, number>

/**
 * The numbers of one vessel among those of several.
 *
 * @param all numbers of all vessels, one after another
 * @param index which vessel, from 0
 * @returns a view: what changes in it changes in all
 */
export function vesselIn(all: Float64Array, index: number): VesselState {
  // Its length says that every place is there; no type of a typed array can.
  return all.subarray(index * VESSEL_SIZE, (index + 1) * VESSEL_SIZE) as VesselState
}

/**
 * A vessel of its own.
 *
 * @param like numbers it begins with; left out, all zero
 * @returns a copy
 */
export function vesselState(like?: VesselState): VesselState {
  return vesselIn(like ? like.slice() : new Float64Array(VESSEL_SIZE), 0)
}
