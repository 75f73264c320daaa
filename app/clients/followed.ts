import { onScopeDispose } from 'vue'
import type { StoredObservation } from '../../contracts/observation'
import { PushedSchema } from '../../contracts/pushed'

/** One who follows a stream or a day. */
interface Follower {
  readonly kind: 'stream' | 'spread'
  readonly id: string
  /** Called whenever the connection stands anew, to read what was missed. */
  readonly caughtUp: () => void
  readonly receive: (stored: readonly StoredObservation[]) => void
  readonly revised: (revision: number) => void
  /** Whether it is followed on while nobody sees the page: what sounds by itself is. */
  readonly unseen: boolean
  /** Whether a connection that stands has it already. */
  told: boolean
}

/**
 * A browser opens six connections to one house, for all its pages together: each page holds one, whatever it follows,
 * and none while nobody sees it and nothing on it has to sound.
 */
let source: EventSource | null = null
/** What the connection follows, as it was asked for. */
let followed = ''
/** Place of the newest observation that came over it; null where none did. */
let last: number | null = null
const followers = new Set<Follower>()
let soon: ReturnType<typeof setTimeout> | null = null
/** What a page begins and ceases to follow in the same moment is asked for once, real ms. */
const TOGETHER_MS = 30
/** A connection that the browser has given up is opened anew after so long, real ms. */
const ANEW_MS = 5000

/**
 * Follows what is stored of a stream.
 *
 * @param stream id of the stream
 * @param receive called with stored observations
 * @param caughtUp called whenever the connection stands anew, to read what was missed
 * @param unseen whether it is followed on while nobody sees the page
 */
export function followStored(
  stream: string,
  receive: (stored: readonly StoredObservation[]) => void,
  caughtUp: () => void,
  unseen: boolean,
): void {
  follow({ kind: 'stream', id: stream, caughtUp, receive, revised: () => undefined, unseen, told: false })
}

/**
 * Follows a day: its revision comes in whenever it changes, and whenever the connection stands anew.
 *
 * @param spread id of the day
 * @param revised called with its revision
 */
export function followSpread(spread: string, revised: (revision: number) => void): void {
  follow({
    kind: 'spread',
    id: spread,
    caughtUp: () => undefined,
    receive: () => undefined,
    revised,
    unseen: false,
    told: false,
  })
}

function follow(one: Follower): void {
  if (typeof EventSource === 'undefined') return
  if (followers.size === 0) document.addEventListener('visibilitychange', changed)
  followers.add(one)
  changed()
  onScopeDispose(() => {
    followers.delete(one)
    if (followers.size > 0) return changed()
    document.removeEventListener('visibilitychange', changed)
    if (soon) clearTimeout(soon)
    soon = null
    close()
  })
}

function changed(): void {
  soon ??= setTimeout(open, TOGETHER_MS)
}

function close(): void {
  source?.close()
  source = null
  followed = ''
  last = null
}

/** Everything that is followed, over one connection; what it had already is not asked for again. */
function open(): void {
  soon = null
  // Whoever comes back to the page reads everything anew.
  if (document.visibilityState === 'hidden' && ![...followers].some(one => one.unseen)) return close()
  const idsOf = (kind: Follower['kind']): string[] =>
    [...new Set([...followers].filter(one => one.kind === kind).map(one => one.id))].sort()
  const wanted = new URLSearchParams([
    ...idsOf('stream').map(id => ['stream', id]),
    ...idsOf('spread').map(id => ['spread', id]),
  ]).toString()
  if (source && wanted === followed) {
    // Whoever comes to follow what is followed already has only to read what was before.
    for (const one of [...followers].filter(other => !other.told)) greet(one)
    return
  }
  const after = last
  source?.close()
  followed = wanted
  const here = new EventSource(`/api/events?${wanted}${after === null ? '' : `&after=${after}`}`)
  source = here
  let stood = false
  here.onopen = () => {
    // Where nothing had come before, or the connection was cut, all is read anew.
    for (const one of followers) if (stood || after === null || !one.told) greet(one)
    stood = true
  }
  here.onmessage = (event: MessageEvent<string>) => hear(event)
  here.onerror = () => {
    if (here !== source || here.readyState !== EventSource.CLOSED) return
    close()
    soon ??= setTimeout(open, ANEW_MS)
  }
}

function greet(one: Follower): void {
  one.told = true
  one.caughtUp()
}

function hear({ data, lastEventId }: MessageEvent<string>): void {
  const pushed = PushedSchema.safeParse(safely(data))
  if (!pushed.success) return
  const place = Number(lastEventId)
  if (lastEventId && Number.isSafeInteger(place)) last = Math.max(last ?? 0, place)
  for (const one of followers) {
    if ('stream' in pushed.data && one.kind === 'stream' && one.id === pushed.data.stream)
      one.receive(pushed.data.observations)
    if ('spread' in pushed.data && one.kind === 'spread' && one.id === pushed.data.spread)
      one.revised(pushed.data.revision)
  }
}

function safely(text: string): unknown {
  try {
    return JSON.parse(text)
  }
  catch {
    return null
  }
}
