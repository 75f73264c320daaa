import { setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import type { z } from 'zod'
import type { Problem, ProblemCode } from '../../contracts/problem'
import { PROBLEMS } from '../../words/problems'

/** A problem on its way to the client. */
export class HttpProblem extends Error {
  constructor(readonly code: ProblemCode, readonly fields: Problem['fields'] = []) {
    super(code)
    this.name = 'HttpProblem'
  }
}

/**
 * Answers with problem details (RFC 9457).
 *
 * @param event the request
 * @param code what went wrong
 * @param fields paths of the fields at fault
 * @returns the body
 */
export function sendProblem(event: H3Event, code: ProblemCode, fields: Problem['fields'] = []): Problem {
  const { status, title, detail } = PROBLEMS[code]
  setResponseStatus(event, status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  return { type: `about:blank#${code}`, title, status, code, detail, fields }
}

/**
 * Field paths of a failed parse.
 *
 * @param error from Zod
 * @returns at most thirty fields
 */
export function fieldsOf(error: z.ZodError): Problem['fields'] {
  return error.issues.slice(0, 30).map(issue => ({ path: issue.path.join('.'), message: issue.message.slice(0, 200) }))
}
