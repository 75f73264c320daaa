import { getRequestHeader } from 'h3'
import { MOST_BACKUP_BYTES } from '../../../contracts/backup'
import { HttpProblem } from '../../http/problem'
import { route } from '../../http/route'

/** Restores a backup into an empty house; the body is the file itself. */
export default route(async (hearth, event) => {
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > MOST_BACKUP_BYTES) throw new HttpProblem('body-too-large')
  return hearth.backups.restore(event.node.req)
})
