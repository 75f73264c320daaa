import { defineEventHandler, getRequestHeader, getRouterParam, readRawBody, type EventHandler, type H3Event } from 'h3'
import { z } from 'zod'
import { Id } from '../../contracts/ids'
import type { Hearth } from '../services/hearth'
import { Refusal } from '../services/refusal'
import { packed } from './packed'
import { fieldsOf, HttpProblem, sendProblem } from './problem'
import { theHearth } from './theHearth'

z.config({ jitless: true })

/** Largest body any route takes, bytes, unless it says otherwise. */
const MOST_BODY = 2_000_000

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
 * @returns the parsed body
 * @throws HttpProblem `body-too-large`, `not-json` or `body-not-understood`
 */
export async function readJson<S extends z.ZodType>(event: H3Event, schema: S): Promise<z.infer<S>> {
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > MOST_BODY) throw new HttpProblem('body-too-large')
  const text = await readRawBody(event, 'utf8')
  if ((text?.length ?? 0) > MOST_BODY) throw new HttpProblem('body-too-large')
  let value: unknown
  try {
    value = JSON.parse(text ?? '')
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
 * @throws HttpProblem `body-too-large`, or `body-not-understood` where there is none
 */
export async function readBytes(event: H3Event, most: number): Promise<Buffer> {
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > most) throw new HttpProblem('body-too-large')
  const bytes = await readRawBody(event, false)
  if (!bytes || bytes.length === 0) throw new HttpProblem('body-not-understood')
  if (bytes.length > most) throw new HttpProblem('body-too-large')
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
