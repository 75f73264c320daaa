import { getQuery } from 'h3'
import { FollowedSchema } from '../../contracts/pushed'
import { lastIdOf, openPushing } from '../http/pushing'
import { parse, route } from '../http/route'

/**
 * Pushes what is appended to streams and the revisions of days, as server-sent events: all that a page follows over one
 * connection, for a browser opens no more than six to one house (RFC 9112, 9.4, leaves the number to it). Who comes
 * back gets what was missed.
 */
export default route(async (hearth, event) => {
  const { stream, spread, after } = getQuery(event)
  const followed = parse(FollowedSchema, {
    stream: listOf(stream),
    spread: listOf(spread),
    after: typeof after === 'string' ? Number(after) : null,
  })
  const from = lastIdOf(event) ?? followed.after
  const streams = [...new Set(followed.stream)]
  // Up to here nothing is missing of any stream: a page that is cut off while it is told what it missed asks from here
  // again.
  let [sure, newest, caughtUp] = [from, from ?? 0, from === null]
  const stops: (() => void)[] = []
  const stop = (): void => stops.splice(0).forEach(each => each())
  const pushing = await openPushing(hearth, event, stop)
  const tell = (of: string, observations: readonly Placed[]): void => {
    newest = Math.max(newest, lastPlace(observations))
    if (caughtUp) sure = newest
    pushing.push(sure, JSON.stringify({ stream: of, observations }))
  }
  const tellRevision = (id: string, revision: number): void =>
    pushing.push(sure, JSON.stringify({ spread: id, revision }))
  for (const id of streams) stops.push(hearth.streams.follow(id, observations => tell(id, observations)))
  for (const id of new Set(followed.spread))
    stops.push(hearth.spreads.follow(id, day => tellRevision(id, day.revision)))
  if (event.node.res.closed) return stop()
  for (const id of new Set(followed.spread)) tellRevision(id, await hearth.spreads.revision(id))
  if (from === null) return
  for (const id of streams) {
    for await (const missed of hearth.streams.pages(id, from)) {
      if (id === streams.at(-1)) sure = lastPlace(missed)
      tell(id, missed)
    }
  }
  caughtUp = true
})

interface Placed { readonly place: number }

function lastPlace(observations: readonly Placed[]): number {
  return Math.max(...observations.map(one => one.place))
}

function listOf(value: unknown): unknown[] {
  return value === undefined ? [] : Array.isArray(value) ? value : [value]
}
