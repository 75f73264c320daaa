import { z } from 'zod'
import { readonly, ref } from 'vue'
import { ProblemSchema, type Problem, type ProblemCode } from '../../contracts/problem'

z.config({ jitless: true })

/** The hearth refused; `problem` says what, what is safe and what to do. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
    this.name = 'Refused'
  }
}

/** Refusals that say nothing of what was sent: it is tried again, as if the hearth were away. */
const LATER: readonly ProblemCode[] = ['enter-first', 'no-passphrase', 'too-fast', 'went-wrong']

const locked = ref<ProblemCode | null>(null)
/** Why this device stands outside the house, or null: it has to enter the passphrase, or none was set yet. */
export const lockedOut = readonly(locked)

/**
 * Whether a failure says only that it has to be tried again.
 *
 * @param error what was thrown by `ask`
 * @returns true where nothing was refused for good
 */
export function isForLater(error: unknown): boolean {
  return !(error instanceof Refused) || LATER.includes(error.problem.code)
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
    if (problem.success) {
      if (problem.data.code === 'enter-first' || problem.data.code === 'no-passphrase') locked.value = problem.data.code
      throw new Refused(problem.data)
    }
    throw new Unreachable()
  }
  if (!path.startsWith('/house')) locked.value = null
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
