import { openPushing } from '../../../http/pushing'
import { pathId, route } from '../../../http/route'

/** Pushes the revision of a day whenever it changes, as server-sent events. */
export default route(async (hearth, event) => {
  const id = pathId(event)
  let stop = (): void => undefined
  const pushing = await openPushing(hearth, event, () => stop())
  const tell = (revision: number): void => pushing.push(String(revision), String(revision))
  stop = hearth.spreads.follow(id, spread => tell(spread.revision))
  if (event.node.res.closed) stop()
  tell(await hearth.spreads.revision(id))
})
