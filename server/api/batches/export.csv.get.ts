import { setResponseHeader } from 'h3'
import { route } from '../../http/route'

/** Every batch as a line of CSV (RFC 4180). */
export default route((hearth, event) => {
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8; header=present')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="batches.csv"')
  return hearth.exchange.csv()
})
