import { setCookie } from 'h3'
import { EnterSchema } from '../../../contracts/house'
import { MOST_SECRET, readJson, route } from '../../http/route'
import { aTry } from '../../http/tries'
import { KNOWN_COOKIE, SESSION_COOKIE } from '../../http/whoAsks'

const KEPT_S = 180 * 24 * 3600
const KNOWN_S = 400 * 24 * 3600

/** Lets a device in. */
export default route(async (hearth, event) => {
  const { passphrase, name } = await readJson(event, EnterSchema, MOST_SECRET)
  const right = await aTry(hearth, event)
  const secret = await hearth.house.enter(passphrase, name)
  await right()
  const cookie = { httpOnly: true, sameSite: 'strict', path: '/' } as const
  setCookie(event, SESSION_COOKIE, secret, { ...cookie, maxAge: KEPT_S })
  setCookie(event, KNOWN_COOKIE, await hearth.house.knownToken(), { ...cookie, maxAge: KNOWN_S })
  return { entered: true }
})
