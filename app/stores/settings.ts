import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { isZone, machineZone } from '../../core/maths/time/houseDay'
import { keepText, keptText } from '../clients/sync/storage'

const UNITS_KEY = 'yon-hearth.units'
const ZONE_KEY = 'yon-hearth.zone'
const CLOCK_KEY = 'yon-hearth.clock'

/** Units in which numbers are read. */
export type Units = 'metric' | 'imperial'
/** How a house writes the time of day. */
export type ClockFormat = '24' | '12'

/**
 * How this house reads its numbers and times: one switch each for all screens. What this device knew last stands until
 * the hearth says, for the fire must not wait for it.
 */
export const useSettings = defineStore('settings', () => {
  const units = shallowRef<Units>(keptText(UNITS_KEY) === 'imperial' ? 'imperial' : 'metric')
  const zone = shallowRef(knownZone(keptText(ZONE_KEY)))
  const clock = shallowRef<ClockFormat>(keptText(CLOCK_KEY) === '12' ? '12' : '24')

  /** Reads numbers in these units from now on, and remembers it on this device. */
  function readIn(wanted: Units): void {
    units.value = wanted
    keepText(UNITS_KEY, wanted)
  }

  /**
   * Reads times as the house does from now on, and remembers it; in the device's own zone where the house's is not
   * known.
   */
  function timesIn(wanted: string | undefined, how: ClockFormat): void {
    zone.value = knownZone(wanted)
    clock.value = how
    keepText(ZONE_KEY, wanted ?? '')
    keepText(CLOCK_KEY, how)
  }

  return { units, zone, clock, imperial: computed(() => units.value === 'imperial'), readIn, timesIn }
})

function knownZone(zone: string | null | undefined): string {
  return zone && isZone(zone) ? zone : machineZone()
}
