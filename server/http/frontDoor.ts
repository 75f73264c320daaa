import { createServer, type IncomingMessage, type RequestListener, type Server, type ServerResponse } from 'node:http'
import type { ProblemCode } from '../../contracts/problem'
import { PROBLEMS } from '../../words/problems'
import { isLoopback, sameNeighbour } from '../services/network'
import { deviceSockets } from './deviceSocket'
import { atTheDoor } from './door'
import { endPushings } from './pushing'

/** Connections at once, and from one device of the house. */
const MOST_CONNECTIONS = 600
const MOST_OF_ONE = 64
/** A connection on which nothing moves, and headers that do not come to their end, are let go after so long, ms. */
const IDLE_MS = 90_000
const HEADERS_MS = 15_000
/**
 * What a refused body still sends is let go by for so long, so that the sentence arrives before the connection ends,
 * ms.
 */
const LINGER_MS = 3000

/** The server with its door. */
export interface FrontDoor {
  readonly server: Server
  /** Takes no more, lets go of all who listen, and ends. */
  close(): Promise<void>
}

/**
 * The server of the hearth: every request and every upgrade is asked at the door first. Connections are counted, and
 * none holds on for ever: neither one that does not send nor one that does not read.
 *
 * @param listener what lies behind the door
 * @returns the server, not listening yet
 */
export function frontDoor(listener: RequestListener): FrontDoor {
  const sockets = deviceSockets()
  const of = new Map<string, number>()
  const server = createServer(
    { headersTimeout: HEADERS_MS, requestTimeout: 0, keepAliveTimeout: 10_000, connectionsCheckingInterval: 5000 },
    (request, response) => void open(request, response, listener),
  )
  server.maxConnections = MOST_CONNECTIONS
  server.timeout = IDLE_MS
  server.on('connection', (socket) => {
    if (isLoopback(socket.remoteAddress)) return
    const neighbour = sameNeighbour(socket.remoteAddress)
    const count = (of.get(neighbour) ?? 0) + 1
    if (count > MOST_OF_ONE) return void socket.destroy()
    of.set(neighbour, count)
    socket.on('close', () =>
      of.get(neighbour) === 1 ? of.delete(neighbour) : of.set(neighbour, (of.get(neighbour) ?? 1) - 1),
    )
  })
  server.on('upgrade', (request, socket, head) => void sockets.upgrade(request, socket, head))
  return {
    server,
    close: () => new Promise((done) => {
      server.close(() => done())
      endPushings()
      sockets.end()
      server.closeIdleConnections()
    }),
  }
}

async function open(request: IncomingMessage, response: ServerResponse, listener: RequestListener): Promise<void> {
  response.on('finish', () => {
    if (!request.complete) letGo(request)
  })
  const code = await atTheDoor(request).catch((error: unknown): ProblemCode => {
    console.error(error)
    return 'went-wrong'
  })
  if (response.destroyed) return
  if (code) turnAway(request, response, code)
  else listener(request, response)
}

/** An answer went out before its request had come to an end: the rest is not kept, and not for long. */
function letGo(request: IncomingMessage): void {
  request.resume()
  const timer = setTimeout(() => request.socket.destroy(), LINGER_MS)
  request.on('close', () => clearTimeout(timer))
}

function turnAway(request: IncomingMessage, response: ServerResponse, code: ProblemCode): void {
  const { status, title, detail } = PROBLEMS[code]
  const body = JSON.stringify({ type: `about:blank#${code}`, title, status, code, detail, fields: [] })
  response.writeHead(status, {
    'content-type': 'application/problem+json', 'content-length': Buffer.byteLength(body), 'cache-control': 'no-store',
    'x-content-type-options': 'nosniff', 'content-security-policy': 'default-src \'none\'',
  })
  response.end(request.method === 'HEAD' ? undefined : body)
}
