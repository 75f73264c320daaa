import type { ProblemCode } from '../contracts/problem'

/** Title, status and sentence of every problem: what happened, what is safe, what to do. */
export const PROBLEMS: Readonly<Record<ProblemCode, { readonly status: number, readonly title: string, readonly detail: string }>> = {
  'body-not-understood': { status: 400, title: 'Some of this was not understood', detail: 'Nothing was stored. Correct the fields named here and send it again.' },
  'not-json': { status: 400, title: 'This is not JSON', detail: 'Nothing was stored. Send a JSON body.' },
  'body-too-large': { status: 413, title: 'This is too large', detail: 'Nothing was stored. Send less at a time.' },
  'not-found': { status: 404, title: 'There is nothing here', detail: 'Nothing was changed. Check the address.' },
  'method-not-allowed': { status: 405, title: 'This cannot be done here', detail: 'Nothing was changed.' },
  'already-different': { status: 409, title: 'Something else stands under this name', detail: 'Nothing was changed. What stands there is kept; send yours under a new id or version.' },
  'went-wrong': { status: 500, title: 'Something went wrong on the hearth', detail: 'What was acknowledged before is safe. Try again; if it goes on, restart the hearth.' },
}
