import { HttpProblem } from '../http/problem'
import { route } from '../http/route'

/** Every other address. */
export default route(() => {
  throw new HttpProblem('not-found')
})
