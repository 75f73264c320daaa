import { connect } from 'node:net'

/** What was answered on a connection, by its first line, headers and body. */
export interface RawAnswer { readonly status: number, readonly headers: string, readonly body: string }

/** Where and how a request is sent. */
export interface RawRequest {
  readonly port: number
  readonly method?: string
  readonly target: string
  readonly headers?: Readonly<Record<string, string>>
  readonly body?: string
  /** Bytes are told as latin1, one character each. */
  readonly encoding?: 'utf8' | 'latin1'
  /** Own address, so that one test can be many strangers: any of 127.0.0.0/8. */
  readonly from?: string
}

/** So long an answer is waited for, ms: a busy machine reads a whole backup before it says that it is none. */
const PATIENCE_MS = 60_000

/**
 * Sends exactly these bytes; clients of the platform would put an address right before it is sent.
 *
 * @param request what is sent
 * @returns the answer; status 0 where the connection ended without one
 */
export function rawRequest({
  port,
  method = 'GET',
  target,
  headers = {},
  body = '',
  from = '127.0.0.1',
  encoding = 'utf8',
}: RawRequest): Promise<RawAnswer> {
  return new Promise(done => {
    const socket = connect({ port, host: '127.0.0.1', localAddress: from })
    let text = ''
    const timer = setTimeout(() => socket.destroy(), PATIENCE_MS)
    const lines = {
      host: `127.0.0.1:${port}`,
      connection: 'close',
      ...(body
        ? { 'content-type': 'application/json', 'content-length': String(Buffer.byteLength(body, encoding)) }
        : {}),
      ...headers,
    }
    socket.setEncoding('latin1')
    socket.on('data', (chunk: string) => {
      text += chunk
    })
    socket.on('error', () => undefined)
    socket.on('close', () => {
      clearTimeout(timer)
      const [head = '', ...rest] = text.split('\r\n\r\n')
      done({ status: Number(/^HTTP\/1\.1 (\d{3})/.exec(head)?.[1] ?? 0), headers: head, body: rest.join('\r\n\r\n') })
    })
    socket.write(
      `${method} ${target} HTTP/1.1\r\n${Object.entries(lines)
        .map(([name, value]) => `${name}: ${value}\r\n`)
        .join('')}\r\n${body}`,
      encoding,
    )
  })
}
