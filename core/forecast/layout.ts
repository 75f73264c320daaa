/** Where each number of one vessel stands in the flat state; masses in g, temperatures in °C, heat in J. */
export const PAN_TEMP = 0
export const TEMP = 1
export const WATER = 2
export const SOLIDS = 3
export const FAT = 4
export const SUGAR = 5
export const NUTS = 6
/** Water held in the swollen base, part of WATER. */
export const HELD = 7
/** Browning dose: equivalent seconds at 150 °C. */
export const BROWNING = 8
export const AROMA = 9
export const NUT_BROWNING = 10
/** Charring dose: equivalent seconds at 175 °C of the late, high-energy reaction. */
export const CHARRING = 11
/** Water that has left as vapour since the start. */
export const VAPOUR = 12
/** Heat from the fire less heat lost to the room since the start. */
export const HEAT = 13
/** Heat carried away by vapour since the start, measured from 0 °C. */
export const VAPOUR_HEAT = 14
/** Numbers kept for one vessel. */
export const VESSEL_SIZE = 15
