import { setResponseHeader } from 'h3'
import { route } from '../../http/route'

/** Every batch whole, one a line. */
export default route((hearth, event) => {
  setResponseHeader(event, 'content-type', 'application/jsonl; charset=utf-8')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="batches.jsonl"')
  return hearth.exchange.jsonl()
})
