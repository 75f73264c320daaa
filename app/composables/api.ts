import { z } from 'zod'
import { ProblemSchema, type Problem } from '../../contracts/problem'

z.config({ jitless: true })

/** The hearth refused; `problem` says what, what is safe and what to do. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
    this.name = 'Refused'
  }
}

/** The hearth could not be reached: nothing is lost, it is tried again. */
export class Unreachable extends Error {
  constructor() {
    super('The hearth cannot be reached.')
    this.name = 'Unreachable'
  }
}

/** A small change goes on to the hearth even if the page is left in the same moment; browsers carry up to 64 kB so. */
const MOST_KEPT_ALIVE = 60_000

/**
 * Asks the hearth and parses what it says.
 *
 * @param method GET, PUT, POST, PATCH or DELETE
 * @param path below `/api`, such as `/kitchen`
 * @param schema what the answer must be
 * @param body JSON body, if any
 * @returns the parsed answer
 * @throws Refused for problem details, Unreachable for everything that never got an answer
 */
export async function ask<S extends z.ZodType>(method: string, path: string, schema: S, body?: unknown): Promise<z.infer<S>> {
  const text = body === undefined ? undefined : JSON.stringify(body)
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: body === undefined ? {} : { 'content-type': 'application/json' },
      ...(text === undefined ? {} : { body: text, keepalive: text.length < MOST_KEPT_ALIVE }),
    })
  }
  catch {
    throw new Unreachable()
  }
  const answer = await response.text()
  if (!response.ok) {
    const problem = ProblemSchema.safeParse(safeJson(answer))
    if (problem.success) throw new Refused(problem.data)
    throw new Unreachable()
  }
  const parsed = schema.safeParse(safeJson(answer))
  if (!parsed.success) throw new Unreachable()
  return parsed.data
}

function safeJson(text: string): unknown {
  try {
    return JSON.parse(text)
  }
  catch {
    return null
  }
}

/** An answer whose content does not matter. */
export const Anything = z.unknown()
