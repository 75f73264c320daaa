import { send, setResponseHeader, type H3Event } from 'h3'
import { sendProblem } from './problem'

interface Thrown { readonly statusCode?: number, readonly unhandled?: boolean }

/**
 * Last resort of the server: whatever was thrown outside a route becomes problem details without its insides.
 *
 * @param error what was thrown
 * @param event the request
 */
export default async function errorHandler(error: Thrown, event: H3Event): Promise<void> {
  const status = error.statusCode ?? 500
  if (status >= 500) console.error(error)
  const code =
    status === 404
      ? 'not-found'
      : status === 405
        ? 'method-not-allowed'
        : status === 413
          ? 'body-too-large'
          : status < 500
            ? 'body-not-understood'
            : 'went-wrong'
  const body = sendProblem(event, code)
  setResponseHeader(event, 'cache-control', 'no-store')
  await send(event, JSON.stringify(body), 'application/problem+json')
}
