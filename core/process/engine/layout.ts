/** Where each number of one vessel stands in the flat state; masses in g, temperatures in °C, heat in J. */
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
