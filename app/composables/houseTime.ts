import { shallowRef } from 'vue'
import { isZone, machineZone } from '../../core/time/houseDay'
import { localText } from '../../core/time/moments'
import { keepText, keptText } from './deviceStorage'

const ZONE_KEY = 'yon-hearth.zone'
const CLOCK_KEY = 'yon-hearth.clock'
/** How a house writes the time of day. */
export type ClockFormat = '24' | '12'

/** The house's time zone and clock: what this device knew last, until the hearth says. */
export const zoneInUse = shallowRef(knownZone(keptText(ZONE_KEY)))
export const clockInUse = shallowRef<ClockFormat>(keptText(CLOCK_KEY) === '12' ? '12' : '24')

function knownZone(zone: string | null | undefined): string {
  return zone && isZone(zone) ? zone : machineZone()
}

/**
 * Reads times as this house does from now on, and remembers it on this device.
 *
 * @param zone of the house; the device's own where it is not known
 * @param clock how times are written
 */
export function timesIn(zone: string | undefined, clock: ClockFormat): void {
  zoneInUse.value = knownZone(zone)
  clockInUse.value = clock
  keepText(ZONE_KEY, zone ?? '')
  keepText(CLOCK_KEY, clock)
}

/**
 * A moment in the zone and the clock of the house.
 *
 * @param ms ms since 1970
 * @param options which parts are written, as in ECMA-402, without zone and clock
 * @returns in words
 */
export function inHouseTime(ms: number, options: Parameters<typeof localText>[2]): string {
  return localText(ms, zoneInUse.value, 'hour' in options ? { ...options, hourCycle: clockInUse.value === '24' ? 'h23' : 'h12' } : options)
}

/**
 * Minutes of a day as the house writes them.
 *
 * @param minutes since midnight; whole days are left out
 * @returns such as `07:05`, or `7:05 am`
 */
export function minuteText(minutes: number): string {
  const day = ((Math.round(minutes) % 1440) + 1440) % 1440
  const [hour, minute] = [Math.floor(day / 60), String(day % 60).padStart(2, '0')]
  return clockInUse.value === '24' ? `${String(hour).padStart(2, '0')}:${minute}` : `${hour % 12 === 0 ? 12 : hour % 12}:${minute} ${hour < 12 ? 'am' : 'pm'}`
}
