import { route } from '../../http/route'
import { sendOut } from '../../http/sendOut'

/** Every batch as a line of CSV (RFC 4180). */
export default route((hearth, event) =>
  sendOut(event, hearth.exchange.csv(), 'text/csv; charset=utf-8; header=present', 'batches.csv'),
)
