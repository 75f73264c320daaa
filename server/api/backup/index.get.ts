import { setResponseHeader } from 'h3'
import { route } from '../../http/route'

/** A full backup as one file, made while cooking goes on. */
export default route(async (hearth, event) => {
  setResponseHeader(event, 'content-type', 'application/gzip')
  setResponseHeader(event, 'content-disposition', `attachment; filename="yon-hearth-${new Date(hearth.clock.now()).toISOString().slice(0, 10)}.jsonl.gz"`)
  return hearth.backups.stream()
})
