import type { H3Event } from 'h3'
import type { HouseState } from '../../contracts/house'
import { isLoopback } from '../services/network'
import { theHearth } from './theHearth'
import { theNetwork } from './theNetwork'

/** Cookie that carries a session's secret. */
export const SESSION_COOKIE = 'hearth_session'
/** Cookie of a device that has entered before, so that strangers who guess do not use up its tries. */
export const KNOWN_COOKIE = 'hearth_known'

/** Who asks: from the machine itself, a device that has entered, or a stranger. */
export interface Asker { readonly here: HouseState['here'], readonly session: string | null }

/**
 * A secret of ours in a Cookie header.
 *
 * @param header Cookie, if any
 * @param name of the cookie
 * @returns the secret; undefined where there is none of our form
 */
export function secretIn(header: string | undefined, name = SESSION_COOKIE): string | undefined {
  return new RegExp(`(?:^|;\\s*)${name}=([0-9a-f]{16}\\.[0-9a-f]{48,64})(?:;|$)`).exec(header ?? '')?.[1]
}

/**
 * Who asks, by the connection's address and the session cookie. Headers of proxies are not believed.
 *
 * @param address of the connection's other end
 * @param secret from the cookie, if any
 * @returns who it is
 */
export async function askerOf(address: string | undefined, secret: string | undefined): Promise<Asker> {
  const session = secret ? await (await theHearth()).house.session(secret) : null
  if (isLoopback(address) && theNetwork().machineTrusted) return { here: 'machine', session }
  return { here: session ? 'entered' : 'stranger', session }
}

/**
 * Who asks in a request.
 *
 * @param event the request
 * @returns who it is
 */
export function whoAsks(event: H3Event): Promise<Asker> {
  const { socket, headers } = event.node.req
  return askerOf(socket.remoteAddress, secretIn(headers.cookie))
}
