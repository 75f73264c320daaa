import { defineEventHandler, getRouterParam, type EventHandler, type H3Event } from 'h3'
import { z } from 'zod'
import { Id } from '../../contracts/ids'
import type { Hearth } from '../services/hearth'
import { Refusal } from '../services/refusal'
import { packed } from './packed'
import { fieldsOf, HttpProblem, sendProblem } from './problem'
import { readBody } from './readBody'
import { theHearth } from './theHearth'

z.config({ jitless: true })

/** Largest body any route takes, bytes, unless it says otherwise. */
const MOST_BODY = 2_000_000
/** Largest body of routes that strangers may ask, and of what devices read, bytes. */
export const MOST_SECRET = 4000
export const MOST_READINGS = 200_000

/**
 * A route: gives the handler the hearth and answers refusals as problem details. Nothing of an unexpected failure
 * reaches the client.
 *
 * @param handle what the route does
 * @returns the event handler
 */
export function route<T>(handle: (hearth: Hearth, event: H3Event) => Promise<T> | T): EventHandler {
  return defineEventHandler(async (event) => {
    try {
      return await packed(event, await handle(await theHearth(), event))
    }
    catch (error) {
      if (error instanceof HttpProblem) return sendProblem(event, error.code, error.fields)
      if (error instanceof Refusal) return sendProblem(event, error.code, [{ path: error.about, message: error.code }])
      if (/SQLITE_(BUSY|LOCKED)/.test(String(error))) return sendProblem(event, 'busy')
      if (/SQLITE_FULL|ENOSPC/.test(String(error))) return sendProblem(event, 'disk-full')
      console.error(error)
      return sendProblem(event, 'went-wrong')
    }
  })
}

/**
 * Reads and parses a JSON body.
 *
 * @param event the request
 * @param schema what it must be
 * @param most largest body, bytes
 * @returns the parsed body
 * @throws HttpProblem `body-too-large`, `body-too-slow`, `not-json` or `body-not-understood`
 */
export async function readJson<S extends z.ZodType>(event: H3Event, schema: S, most = MOST_BODY): Promise<z.infer<S>> {
  const text = (await readBody(event.node.req, most)).toString('utf8')
  let value: unknown
  try {
    value = JSON.parse(text)
  }
  catch {
    throw new HttpProblem('not-json')
  }
  return parse(schema, value)
}

/**
 * Reads a body that is no JSON.
 *
 * @param event the request
 * @param most largest body, bytes
 * @returns its bytes
 * @throws HttpProblem `body-too-large`, `body-too-slow`, or `body-not-understood` where there is none
 */
export async function readBytes(event: H3Event, most: number): Promise<Buffer> {
  const bytes = await readBody(event.node.req, most)
  if (bytes.length === 0) throw new HttpProblem('body-not-understood')
  return bytes
}

/**
 * Parses anything that came from outside.
 *
 * @param schema what it must be
 * @param value what came
 * @returns the parsed value
 * @throws HttpProblem `body-not-understood` with the field paths
 */
export function parse<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const parsed = schema.safeParse(value)
  if (!parsed.success) throw new HttpProblem('body-not-understood', fieldsOf(parsed.error))
  return parsed.data
}

/**
 * The id in the path.
 *
 * @param event the request
 * @param name of the path's part
 * @returns the id
 * @throws HttpProblem `not-found` where it is no id
 */
export function pathId(event: H3Event, name = 'id'): string {
  const parsed = Id.safeParse(getRouterParam(event, name))
  if (!parsed.success) throw new HttpProblem('not-found')
  return parsed.data
}
