import { localText } from '../../core/maths/time/moments'
import { useSettings } from '../stores/settings'

/**
 * A moment in the zone and the clock of the house.
 *
 * @param ms ms since 1970
 * @param options which parts are written, as in ECMA-402, without zone and clock
 * @returns in words
 */
export function inHouseTime(ms: number, options: Parameters<typeof localText>[2]): string {
  const { zone, clock } = useSettings()
  return localText(ms, zone, 'hour' in options ? { ...options, hourCycle: clock === '24' ? 'h23' : 'h12' } : options)
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
  return useSettings().clock === '24'
    ? `${String(hour).padStart(2, '0')}:${minute}`
    : `${hour % 12 === 0 ? 12 : hour % 12}:${minute} ${hour < 12 ? 'am' : 'pm'}`
}
