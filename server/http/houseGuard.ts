import { getMethod, getRequestHeader, getRequestHost, getRequestPath, type H3Event } from 'h3'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import type { ProblemCode } from '../../contracts/problem'
import { isLoopback } from '../services/network'
import { theHearth } from './theHearth'
import { theNetwork } from './theNetwork'
import { whoAsks } from './whoAsks'

/** Requests that one device of the house may make in ten seconds. */
const MOST_REQUESTS = 200
const requests = new RateLimiterMemory({ points: MOST_REQUESTS, duration: 10 })

/** What a stranger may ask: how the house stands, and to be let in. */
const FOR_STRANGERS = new Set(['GET /api/house', 'POST /api/house/enter'])
const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/**
 * What stands against a request, before any route sees it: the name the hearth is called by, where the connection comes
 * from, which page asks, and whether the device has entered.
 *
 * @param event the request
 * @returns the code of the problem, or null where it may pass
 */
export async function houseGuard(event: H3Event): Promise<ProblemCode | null> {
  const network = theNetwork()
  const address = event.node.req.socket.remoteAddress
  if (!network.knows(getRequestHost(event))) return 'wrong-host'
  if (!network.open && !isLoopback(address)) return 'not-from-here'
  const path = getRequestPath(event).split('?')[0] ?? ''
  if (!path.startsWith('/api/')) return null
  if (crossesOrigins(event)) return 'other-origin'
  const { here } = await whoAsks(event)
  if (here === 'machine') return null
  if (!await requests.consume(address ?? '').then(() => true, () => false)) return 'too-fast'
  if (here === 'entered' || FOR_STRANGERS.has(`${getMethod(event)} ${path}`)) return null
  return await (await theHearth()).house.hasPassphrase() ? 'enter-first' : 'no-passphrase'
}

/** True where a page of another origin asks: browsers say so themselves, or name the origin of what they send. */
function crossesOrigins(event: H3Event): boolean {
  const site = getRequestHeader(event, 'sec-fetch-site')
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return true
  return isForeign(getRequestHeader(event, 'origin'), getRequestHost(event)) && !READS.has(getMethod(event))
}

/**
 * Whether an Origin header names another origin than the host that was asked.
 *
 * @param origin header, missing where no page asks
 * @param host header
 * @returns true where it does
 */
export function isForeign(origin: string | undefined, host: string): boolean {
  if (origin === undefined) return false
  try {
    return new URL(origin).host !== host
  }
  catch {
    return true
  }
}
