import type { IncomingMessage } from 'node:http'
import { HttpProblem } from './problem'

/** A body that is kept in memory has to be whole within this time, ms. */
const MOST_MS = 60_000

/**
 * Reads a body into memory, counted while it comes: no more than the limit is ever held. What is refused is not cut
 * off, so that the sentence that says why still arrives; the front door lets go of the connection afterwards.
 *
 * @param request where it comes from
 * @param most largest body, bytes
 * @returns its bytes
 * @throws HttpProblem `body-too-large`, `body-too-slow`, `body-not-understood` where the connection was given up
 */
export function readBody(request: IncomingMessage, most: number): Promise<Buffer> {
  return new Promise((done, fail) => {
    if (Number(request.headers['content-length'] ?? 0) > most) return fail(new HttpProblem('body-too-large'))
    const chunks: Buffer[] = []
    let bytes = 0
    const end = (problem: HttpProblem | null): void => {
      clearTimeout(late)
      request.off('data', take).off('end', whole).off('close', gone).off('error', gone)
      if (problem) fail(problem)
      else done(Buffer.concat(chunks))
    }
    const take = (chunk: Buffer): void => {
      bytes += chunk.length
      if (bytes > most) {
        request.pause()
        return end(new HttpProblem('body-too-large'))
      }
      chunks.push(chunk)
    }
    const whole = (): void => end(null)
    const gone = (): void => end(new HttpProblem('body-not-understood'))
    const late = setTimeout(() => end(new HttpProblem('body-too-slow')), MOST_MS)
    request.on('data', take).on('end', whole).on('close', gone).on('error', gone)
  })
}
