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
const LATER: readonly ProblemCode[] = [
  'enter-first',
  'no-passphrase',
  'too-fast',
  'went-wrong',
  'busy',
  'disk-full',
  'body-too-slow',
  'too-many-streams',
]

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

/** Asks the cook for the passphrase once more; true where it was said. */
let proof: () => Promise<boolean> = () => Promise.resolve(false)

/**
 * Says who asks for the passphrase where the hearth wants it once more.
 *
 * @param asks called then; what was refused is asked again once it answers true
 */
export function onProofAsked(asks: () => Promise<boolean>): void {
  proof = asks
}

/**
 * The problem in an answer that was refused.
 *
 * @param text its body
 * @returns the problem; null where it is none of ours
 */
export function problemIn(text: string): Problem | null {
  const problem = ProblemSchema.safeParse(safeJson(text))
  return problem.success ? problem.data : null
}

/**
 * Asks by any means; where the passphrase is wanted once more it is asked for, and then asked anew.
 *
 * @param send asks once
 * @returns the answer and its body
 */
export async function askedWithProof(
  send: () => Promise<Response>,
): Promise<{ readonly ok: boolean, readonly text: string }> {
  const response = await send()
  const text = await response.text()
  if (response.ok || problemIn(text)?.code !== 'prove-again' || !(await proof())) return { ok: response.ok, text }
  const again = await send()
  return { ok: again.ok, text: await again.text() }
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
export async function ask<S extends z.ZodType>(
  method: string,
  path: string,
  schema: S,
  body?: unknown,
): Promise<z.infer<S>> {
  const text = body === undefined ? undefined : JSON.stringify(body)
  let response: { readonly ok: boolean, readonly text: string }
  try {
    response = await askedWithProof(() =>
      fetch(`/api${path}`, {
        method,
        headers: body === undefined ? {} : { 'content-type': 'application/json' },
        ...(text === undefined ? {} : { body: text, keepalive: text.length < MOST_KEPT_ALIVE }),
      }),
    )
  } catch {
    throw new Unreachable()
  }
  const answer = response.text
  if (!response.ok) {
    const problem = problemIn(answer)
    if (problem === null) throw new Unreachable()
    if (problem.code === 'enter-first' || problem.code === 'no-passphrase') locked.value = problem.code
    throw new Refused(problem)
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
