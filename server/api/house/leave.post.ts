import { deleteCookie } from 'h3'
import { route } from '../../http/route'
import { SESSION_COOKIE, whoAsks } from '../../http/whoAsks'

/** Ends the asker's own session. */
export default route(async (hearth, event) => {
  const { session } = await whoAsks(event)
  if (session) await hearth.house.end(session)
  deleteCookie(event, SESSION_COOKIE, { path: '/' })
  return { left: true }
})
