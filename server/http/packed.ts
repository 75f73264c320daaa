import type { Buffer } from 'node:buffer'
import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import { appendResponseHeader, getRequestHeader, setResponseHeader, type H3Event } from 'h3'

const pack = promisify(gzip)
/** Answers below this many bytes fit one packet anyway. */
const LEAST_BYTES = 1400

/**
 * An answer as JSON, compressed where it is long and the asker can read it so. What is no plain object or list (a
 * stream, a text, nothing) goes as it is.
 *
 * @param event the request
 * @param value what a route answers
 * @returns what is sent
 */
export async function packed(event: H3Event, value: unknown): Promise<unknown> {
  if (!isPlain(value)) return value
  setResponseHeader(event, 'content-type', 'application/json')
  return packedText(event, JSON.stringify(value))
}

/**
 * A text, compressed where it is long and the asker can read it so.
 *
 * @param event the request
 * @param text what is answered
 * @returns what is sent
 */
export async function packedText(event: H3Event, text: string): Promise<string | Buffer> {
  appendResponseHeader(event, 'vary', 'accept-encoding')
  if (text.length < LEAST_BYTES || !/\bgzip\b/.test(getRequestHeader(event, 'accept-encoding') ?? '')) return text
  setResponseHeader(event, 'content-encoding', 'gzip')
  return pack(text)
}

function isPlain(value: unknown): boolean {
  if (typeof value !== 'object' || value === null) return false
  const of: unknown = Object.getPrototypeOf(value)
  return of === Object.prototype || of === Array.prototype
}
