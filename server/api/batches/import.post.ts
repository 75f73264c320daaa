import { getRequestHeader } from 'h3'
import { MOST_BACKUP_BYTES } from '../../../contracts/backup'
import { HttpProblem } from '../../http/problem'
import { route } from '../../http/route'

/** Takes batches in from JSON Lines: all of them, or none. */
export default route(async (hearth, event) => {
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > MOST_BACKUP_BYTES) throw new HttpProblem('body-too-large')
  event.node.req.setEncoding('utf8')
  return hearth.exchange.takeIn(event.node.req as AsyncIterable<string>)
})
