import { MOST_BATCHES_BYTES } from '../../../contracts/backup'
import { HttpProblem } from '../../http/problem'
import { route } from '../../http/route'

/** Takes batches in from JSON Lines: all of them, or none. */
export default route((hearth, event) => {
  if (Number(event.node.req.headers['content-length'] ?? 0) > MOST_BATCHES_BYTES)
    throw new HttpProblem('body-too-large')
  return hearth.exchange.takeIn(event.node.req)
})
