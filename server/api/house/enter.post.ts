import { setCookie } from 'h3'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import { EnterSchema } from '../../../contracts/house'
import { HttpProblem } from '../../http/problem'
import { readJson, route } from '../../http/route'
import { SESSION_COOKIE } from '../../http/whoAsks'

/** Passphrases that may be tried from one address in five minutes. */
const tries = new RateLimiterMemory({ points: 5, duration: 300 })
const KEPT_S = 180 * 24 * 3600

/** Lets a device in. */
export default route(async (hearth, event) => {
  const { passphrase, name } = await readJson(event, EnterSchema)
  const address = event.node.req.socket.remoteAddress ?? ''
  if (!await tries.consume(address).then(() => true, () => false)) throw new HttpProblem('too-many-tries')
  const secret = await hearth.house.enter(passphrase, name)
  await tries.delete(address)
  setCookie(event, SESSION_COOKIE, secret, { httpOnly: true, sameSite: 'strict', path: '/', maxAge: KEPT_S })
  return { entered: true }
})
