import { shallowRef } from 'vue'
import { SpreadListSchema, SpreadSchema, type Spread } from '../../contracts/spread'
import { ask } from '../clients/api'
import { hearthNow } from '../clients/hearthClock'
import { momentOf } from './spreadClock'
import { daysMs } from '../../core/maths/time/moments'

/** Days whose eve is longer ago are not looked at, and most that are, ms and count. */
const LONGEST_MS = daysMs(4)
const MOST = 3

/**
 * Days that are on or to come, the soonest first.
 *
 * @param now the hearth's time, ms
 * @returns the days, empty until they are read and where the hearth cannot be reached; and the reading of them
 */
export function useNextDays(now: () => number = hearthNow) {
  const days = shallowRef<readonly Spread[]>([])
  const read = ask('GET', '/spreads', SpreadListSchema).then(async ({ spreads }) => {
    const soon = spreads
      .filter(one => one.dishes > 0 && momentOf(one.eve, 0) > now() - LONGEST_MS)
      .sort((a, b) => momentOf(a.eve, 0) - momentOf(b.eve, 0))
      .slice(0, MOST)
    days.value = await Promise.all(soon.map(one => ask('GET', `/spreads/${one.id}`, SpreadSchema)))
  }).catch(() => undefined)
  return { days, read }
}
