import type { ServerResponse } from 'node:http'
import type { H3Event } from 'h3'
import type { Hearth } from '../services/hearth'
import { sameNeighbour } from '../services/network'
import { HttpProblem } from './problem'
import { whoAsks } from './whoAsks'

/** A page that listens: server-sent events (WHATWG HTML, 9.2). */
export interface Pushing {
  /** Sends one message, under an id where it has one; a page that comes back says the last one it had. */
  push(id: number | null, data: string): void
}

/** Pages that may listen at once, and of one device. */
const MOST_PUSHINGS = 240
const MOST_OF_ONE = 24
/** What may wait unread for one page, bytes: one that reads more slowly is let go, and comes back by its last id. */
const MOST_UNREAD = 1_000_000
/** A word now and then keeps the connection, and finds out who is gone, ms. */
const EVERY_MS = 20_000

interface Open { readonly neighbour: string, readonly session: string | null, end(): void }
const open = new Set<Open>()
const heardOf = new WeakSet<Hearth>()

/**
 * Lets a page listen. It is let go when it no longer reads, when its session ends, and with the hearth.
 *
 * @param hearth tells of sessions that end
 * @param event the request; it is answered here
 * @param closed called once when the page has gone
 * @returns how to tell it something
 * @throws HttpProblem `too-many-streams`
 */
export async function openPushing(hearth: Hearth, event: H3Event, closed: () => void): Promise<Pushing> {
  const neighbour = sameNeighbour(event.node.req.socket.remoteAddress)
  const { session } = await whoAsks(event)
  // Nothing is waited for from here until it is counted: many may ask at once.
  if (open.size >= MOST_PUSHINGS || [...open].filter(one => one.neighbour === neighbour).length >= MOST_OF_ONE)
    throw new HttpProblem('too-many-streams')
  if (!heardOf.has(hearth)) {
    heardOf.add(hearth)
    hearth.house.onEnded(endPushings)
  }
  const { res } = event.node
  res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' })
  res.write(': here\n\n')
  let quiet = 0
  const timer = setInterval(() => {
    // Nothing was read since the last word but one: nobody is there.
    quiet = res.writableLength > 0 ? quiet + 1 : 0
    if (quiet > 2) return res.destroy()
    res.write(': here\n\n')
  }, EVERY_MS)
  const one: Open = { neighbour, session, end: () => res.end() }
  open.add(one)
  res.on('close', () => {
    clearInterval(timer)
    open.delete(one)
    closed()
  })
  return { push: (id, data) => write(res, `${id === null ? '' : `id: ${id}\n`}data: ${data}\n\n`) }
}

function write(res: ServerResponse, text: string): void {
  if (res.destroyed || res.writableEnded) return
  if (res.writableLength > MOST_UNREAD) return void res.destroy()
  res.write(text)
}

/**
 * Lets go of pages that listen.
 *
 * @param session only those of this session; all where it is left out
 */
export function endPushings(session?: string): void {
  for (const one of open) if (session === undefined || one.session === session) one.end()
}

/**
 * What a page that comes back has had already.
 *
 * @param event the request
 * @returns the last id as a number; null where it has had nothing
 */
export function lastIdOf(event: H3Event): number | null {
  const header = event.node.req.headers['last-event-id']
  const id = Number(Array.isArray(header) ? header[0] : header ?? Number.NaN)
  return Number.isSafeInteger(id) && id >= 0 ? id : null
}
