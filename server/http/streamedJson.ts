import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import { appendResponseHeader, setResponseHeader, type H3Event } from 'h3'

/**
 * Answers with an object whose last member is a long list that is read page by page: nothing waits for all of it, and
 * none of it is held.
 *
 * @param event the request
 * @param head members before the list
 * @param name of the list
 * @param pages of it
 * @returns what is sent, compressed where the asker can read it so
 */
export function streamedJson(
  event: H3Event,
  head: Readonly<Record<string, unknown>>,
  name: string,
  pages: AsyncIterable<readonly unknown[]>,
): Readable {
  const text = Readable.from(
    (async function* () {
      const members = Object.entries(head)
        .map(([key, value]) => `${JSON.stringify(key)}:${JSON.stringify(value)},`)
        .join('')
      yield `{${members}${JSON.stringify(name)}:[`
      let between = ''
      for await (const page of pages) {
        if (page.length === 0) continue
        yield between + page.map(one => JSON.stringify(one)).join(',')
        between = ','
      }
      yield ']}'
    })(),
  )
  setResponseHeader(event, 'content-type', 'application/json')
  appendResponseHeader(event, 'vary', 'accept-encoding')
  const { req, res } = event.node
  if (!/\bgzip\b/.test(String(req.headers['accept-encoding'] ?? ''))) {
    res.on('close', () => text.destroy())
    text.on('error', () => res.destroy())
    return text
  }
  setResponseHeader(event, 'content-encoding', 'gzip')
  const packed = createGzip()
  pipeline(text, packed).catch(() => res.destroy())
  // Who asked may go away in the middle: that is no failure, so it is ended where it is read, without an error.
  res.on('close', () => packed.destroy())
  return packed
}
