import { lastIdOf, openPushing } from '../../../http/pushing'
import { pathId, route } from '../../../http/route'

/** Pushes what is appended to a stream, as server-sent events; who comes back gets what was missed. */
export default route(async (hearth, event) => {
  const stream = pathId(event)
  let [stop, last] = [(): void => undefined, lastIdOf(event) ?? 0]
  const pushing = await openPushing(hearth, event, () => stop())
  const tell = (observations: readonly { readonly place: number }[]): void => {
    last = Math.max(last, ...observations.map(one => one.place))
    pushing.push(String(last), JSON.stringify(observations))
  }
  stop = hearth.streams.follow(stream, tell)
  if (event.node.res.closed) stop()
  if (lastIdOf(event) !== null) for await (const missed of hearth.streams.pages(stream, last)) tell(missed)
})
