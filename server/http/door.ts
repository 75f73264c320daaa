import type { IncomingMessage } from 'node:http'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import type { ProblemCode } from '../../contracts/problem'
import { isLoopback, sameNeighbour } from '../services/network'
import { theHearth } from './theHearth'
import { theNetwork } from './theNetwork'
import { askerOf, secretIn, type Asker } from './whoAsks'

/** Requests that one device of the house may make in ten seconds. */
const MOST_REQUESTS = 200
const requests = new RateLimiterMemory({ points: MOST_REQUESTS, duration: 10 })

/** Where devices speak over a WebSocket: the only address that may be upgraded. */
export const SOCKET_PATH = '/api/devices/socket'

/**
 * All that needs no session: the files of the shell, the pages it draws, how the house stands, entering it, and whether
 * the hearth is well. Everything else asks, known to the router or not. An address is matched as the router matches it:
 * only one spelling of each is let through at all (`plainPath`).
 */
const OPEN: Readonly<Record<string, readonly RegExp[]>> = {
  GET: [
    /^\/$/, /^\/_nuxt\/[\w@.-]+$/, /^\/(sw\.js|workbox-\w+\.js|manifest\.webmanifest|mark\.svg)$/,
    /^\/(book|card|fire|kitchen|labels|ledger|measure|spread|tray)(\/[\w.-]+){0,2}\/?$/,
    /^\/api\/(house|health)$/,
    // Whoever holds its address reads the calendar; the secret stands in it.
    /^\/api\/calendar\/feed\/[\w-]{32}\.ics$/,
  ],
  POST: [/^\/api\/house\/enter$/],
}

/**
 * What takes something away for good, or puts all in another's place: a device that has entered is asked again who it
 * is.
 */
const ASKS_AGAIN: Readonly<Record<string, RegExp>> = { DELETE: /^\/api\//, POST: /^\/api\/backup\/restore$/ }

const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Requests that have passed; the listener behind the door asks no second time. */
const passed = new WeakSet<IncomingMessage>()

/**
 * The path of a request in the one spelling that is let through: absolute, without percent signs, backslashes, empty or
 * dot segments. No address of ours needs anything else, and so guard and router can never read one differently.
 *
 * @param url of the request line
 * @returns the path without its query; null where it is spelled otherwise
 */
export function plainPath(url: string | undefined): string | null {
  const path = (url ?? '').split(/[?#]/, 1)[0] ?? ''
  if (!/^\/([\w@~.-]+(\/[\w@~.-]+)*\/?)?$/.test(path)) return null
  return path.split('/').some(part => /^\.+$/.test(part)) ? null : path
}

/**
 * What stands against a request or an upgrade, before any route sees it and before its body is read: the name the
 * hearth is called by, where the connection comes from, how the address is spelled, which page asks, and whether the
 * device has entered. What is not on the list of what needs no session asks for one.
 *
 * @param request its first line and headers
 * @returns the code of the problem, or null where it may pass
 */
export async function atTheDoor(request: IncomingMessage): Promise<ProblemCode | null> {
  if (passed.has(request)) return null
  const code = await asked(request)
  if (code === null) passed.add(request)
  return code
}

async function asked(request: IncomingMessage): Promise<ProblemCode | null> {
  const network = theNetwork()
  const address = request.socket.remoteAddress
  if (!network.knows(request.headers.host ?? '')) return 'wrong-host'
  if (!network.open && !isLoopback(address)) return 'not-from-here'
  const path = plainPath(request.url)
  // The development server has files of other spellings, and listens to this machine alone.
  if (path === null) return (import.meta as { readonly dev?: boolean }).dev && isLoopback(address) ? null : 'not-found'
  const method = request.method ?? 'GET'
  const isApi = /^\/api(\/|$)/.test(path)
  if ((isApi || !READS.has(method)) && crossesOrigins(request)) return 'other-origin'
  const asker = await askerOf(address, secretIn(request.headers.cookie))
  if (asker.here === 'machine') return null
  if (isApi && !await requests.consume(sameNeighbour(address)).then(() => true, () => false)) return 'too-fast'
  if (isOpen(method, path)) return null
  if (asker.here === 'stranger')
    return (await (await theHearth()).house.hasPassphrase()) ? 'enter-first' : 'no-passphrase'
  return ASKS_AGAIN[method]?.test(path) && !await isProven(asker) ? 'prove-again' : null
}

function isOpen(method: string, path: string): boolean {
  return (OPEN[method === 'HEAD' ? 'GET' : method] ?? []).some(each => each.test(path))
}

async function isProven({ session }: Asker): Promise<boolean> {
  return session !== null && (await theHearth()).house.isProven(session)
}

/** True where a page of another origin asks: browsers say so themselves, or name the origin of what they send. */
function crossesOrigins({ headers, method }: IncomingMessage): boolean {
  const site = headers['sec-fetch-site']
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return true
  const upgrades = headers.upgrade !== undefined
  return isForeign(headers.origin, headers.host ?? '') && (upgrades || !READS.has(method ?? 'GET'))
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
