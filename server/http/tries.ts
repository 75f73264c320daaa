import type { H3Event } from 'h3'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import { sameNeighbour } from '../services/network'
import type { Hearth } from '../services/hearth'
import { HttpProblem } from './problem'
import { KNOWN_COOKIE, secretIn } from './whoAsks'

const FIVE_MINUTES_S = 300
/** Passphrases that may be tried from one address in five minutes, and by all that never entered. */
const perAddress = new RateLimiterMemory({ points: 5, duration: FIVE_MINUTES_S })
const strangers = new RateLimiterMemory({ points: 30, duration: FIVE_MINUTES_S })
/** What a device that has entered before may try, whatever strangers do meanwhile. */
const perDevice = new RateLimiterMemory({ points: 10, duration: FIVE_MINUTES_S })

/**
 * Counts a try at the passphrase. A device that has entered before has tries of its own: guesses of others, even from
 * behind the same address, cannot use them up.
 *
 * @param hearth knows which device has entered
 * @param event the request
 * @returns to be called where the try was right: it is not counted then
 * @throws HttpProblem `too-many-tries`
 */
export async function aTry(hearth: Hearth, event: H3Event): Promise<() => Promise<void>> {
  const { headers, socket } = event.node.req
  const token = secretIn(headers.cookie, KNOWN_COOKIE)
  const counts: [RateLimiterMemory, string][] = token && await hearth.house.isKnown(token)
    ? [[perDevice, token]]
    : [[perAddress, sameNeighbour(socket.remoteAddress)], [strangers, 'all']]
  for (const [limiter, key] of counts) {
    if (!await limiter.consume(key).then(() => true, () => false)) throw new HttpProblem('too-many-tries')
  }
  return async () => {
    for (const [limiter, key] of counts) await limiter.reward(key)
  }
}
