import type { Readable } from 'node:stream'
import { setResponseHeader, type H3Event } from 'h3'

/**
 * Answers with a file as it is written; where the asker goes away, it is no longer written.
 *
 * @param event the request
 * @param file its bytes
 * @param type media type
 * @param name what it is saved as
 * @returns the file
 */
export function sendOut(event: H3Event, file: Readable, type: string, name: string): Readable {
  setResponseHeader(event, 'content-type', type)
  setResponseHeader(event, 'content-disposition', `attachment; filename="${name}"`)
  setResponseHeader(event, 'cache-control', 'no-store')
  const { res } = event.node
  res.on('close', () => file.destroy())
  file.on('error', () => res.destroy())
  return file
}
