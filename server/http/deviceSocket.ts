import type { IncomingMessage } from 'node:http'
import type { Duplex } from 'node:stream'
import { WebSocketServer, type WebSocket } from 'ws'
import { DeviceLineSchema, type DeviceLine } from '../../contracts/device'
import type { ProblemCode } from '../../contracts/problem'
import { PROBLEMS } from '../../words/problems'
import { sameNeighbour } from '../services/network'
import { atTheDoor, plainPath, SOCKET_PATH } from './door'
import { fieldsOf } from './problem'
import { theHearth } from './theHearth'
import { askerOf, secretIn } from './whoAsks'

/** Longest message, bytes; messages that may wait to be answered; answers that may wait unread, bytes. */
const MOST_MESSAGE = 200_000
const MOST_WAITING = 20
const MOST_UNREAD = 1_000_000
/** Devices connected at once, and from one address. */
const MOST_DEVICES = 60
const MOST_OF_ONE = 12
/** Every device is asked this often whether it is still there, ms. */
const EVERY_MS = 30_000
/** Why a connection is closed (RFC 6455, 7.4.1). */
const POLICY = 1008
const TOO_BIG = 1009
const TRY_LATER = 1013

type Hello = Extract<DeviceLine, { type: 'hello' }>

/** One end of a device's connection: what it said it is, and how to answer it. */
export interface DeviceWire {
  hello: Hello | null
  send(line: unknown): void
}

/** The connections of devices. */
export interface DeviceSockets {
  /** Takes an upgrade, or refuses it with the sentence that says why. */
  upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): Promise<void>
  end(): void
}

interface Peer {
  readonly neighbour: string
  readonly session: string | null
  readonly socket: WebSocket
  here: boolean
}

/**
 * Where devices speak: JSON lines, answered line by line in order; see docs/formats.md. Only the one address is
 * upgraded, and only what the door lets in. A device that sends faster than it is answered, or does not read, is
 * closed.
 *
 * @returns the connections
 */
export function deviceSockets(): DeviceSockets {
  const server = new WebSocketServer({ noServer: true, maxPayload: MOST_MESSAGE, perMessageDeflate: false })
  const peers = new Set<Peer>()
  let listens = false
  const timer = setInterval(() => {
    for (const peer of peers) {
      if (!peer.here) peer.socket.terminate()
      peer.here = false
      peer.socket.ping()
    }
  }, EVERY_MS)
  timer.unref()
  const refused = async (request: IncomingMessage): Promise<ProblemCode | null> => {
    if (request.method !== 'GET' || plainPath(request.url) !== SOCKET_PATH) return 'not-found'
    return atTheDoor(request)
  }
  const isFull = (neighbour: string): boolean =>
    peers.size >= MOST_DEVICES || [...peers].filter(one => one.neighbour === neighbour).length >= MOST_OF_ONE
  return {
    async upgrade(request, socket, head) {
      const gone = (): void => void socket.destroy()
      socket.on('error', gone)
      const code = await refused(request).catch((): ProblemCode => 'went-wrong')
      if (code) return turnAway(socket, code)
      const { session } = await askerOf(request.socket.remoteAddress, secretIn(request.headers.cookie))
      if (!listens) {
        listens = true
        const { house } = await theHearth()
        house.onEnded((ended) => {
          for (const peer of peers) if (peer.session === ended) peer.socket.close(POLICY, 'enter-first')
        })
      }
      if (socket.destroyed) return
      // Counted in the same moment as it is taken: many may ask at once.
      const neighbour = sameNeighbour(request.socket.remoteAddress)
      if (isFull(neighbour)) return turnAway(socket, 'too-many-streams')
      socket.off('error', gone)
      server.handleUpgrade(request, socket, head, (opened) => {
        const peer: Peer = { neighbour, session, socket: opened, here: true }
        peers.add(peer)
        opened.on('close', () => peers.delete(peer))
        opened.on('pong', () => {
          peer.here = true
        })
        hearing(opened)
      })
    },
    end() {
      clearInterval(timer)
      for (const { socket } of peers) socket.terminate()
      server.close()
    },
  }
}

/** Messages one after the other, and no more of them waiting than can be answered soon. */
function hearing(socket: WebSocket): void {
  const wire: DeviceWire = {
    hello: null,
    send(line) {
      if (socket.bufferedAmount > MOST_UNREAD) return socket.terminate()
      if (socket.readyState === socket.OPEN) socket.send(JSON.stringify(line))
    },
  }
  let [heard, waiting]: [Promise<void>, number] = [Promise.resolve(), 0]
  socket.on('error', () => socket.close(TOO_BIG))
  socket.on('message', (data: Buffer) => {
    if (waiting >= MOST_WAITING) return socket.close(TRY_LATER, 'too-fast')
    waiting++
    heard = heard.then(() => hearDevice(wire, data.toString('utf8'))).finally(() => waiting--)
  })
}

function turnAway(socket: Duplex, code: ProblemCode): void {
  const { status, title, detail } = PROBLEMS[code]
  const body = JSON.stringify({ type: `about:blank#${code}`, title, status, code, detail, fields: [] })
  socket.end(
    `HTTP/1.1 ${status} ${title}\r\nconnection: close\r\ncontent-type: application/problem+json\r\ncontent-length: ${Buffer.byteLength(body)}\r\n\r\n${body}`,
  )
}

/**
 * A message of a device: one or more lines of JSON. Each is answered by a line: what was taken, or what is wrong with
 * it.
 *
 * @param wire the connection; who it is, is kept in it
 * @param text what it sent
 */
export async function hearDevice(wire: DeviceWire, text: string): Promise<void> {
  if (text.length > MOST_MESSAGE) return wire.send(problem('body-too-large'))
  for (const line of text.split('\n')) {
    if (line.trim() !== '') await hearLine(wire, line)
  }
}

async function hearLine(wire: DeviceWire, line: string): Promise<void> {
  let value: unknown
  try {
    value = JSON.parse(line)
  }
  catch {
    return wire.send(problem('not-json'))
  }
  const parsed = DeviceLineSchema.safeParse(value)
  if (!parsed.success) return wire.send({ ...problem('body-not-understood'), fields: fieldsOf(parsed.error) })
  if (parsed.data.type === 'hello') {
    wire.hello = parsed.data
    return wire.send({ type: 'welcome', device: parsed.data.device })
  }
  if (!wire.hello)
    return wire.send({ ...problem('body-not-understood'), fields: [{ path: 'type', message: 'hello comes first' }] })
  const { device, kind, name, cook, vessel } = wire.hello
  try {
    const { devices } = await theHearth()
    wire.send({
      type: 'taken',
      ...(await devices.take({
        device,
        kind,
        name,
        cook,
        vessel,
        sentAt: parsed.data.sentAt,
        readings: parsed.data.readings,
      })),
    })
  }
  catch (error) {
    console.error(error)
    wire.send(problem('went-wrong'))
  }
}

/** A problem as a line. */
export function problem(code: ProblemCode) {
  const { status, title, detail } = PROBLEMS[code]
  return { type: 'problem' as const, code, status, title, detail }
}
