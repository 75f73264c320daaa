import type { ProblemCode } from '../../contracts/problem'

/** A service's refusal: a code and what it is about; the HTTP layer makes problem details of it. */
export class Refusal extends Error {
  constructor(readonly code: ProblemCode, readonly about: string) {
    super(`${code}: ${about}`)
    this.name = 'Refusal'
  }
}
