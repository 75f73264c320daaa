import { route } from '../../http/route'
import { sendOut } from '../../http/sendOut'

/** Every batch whole, one a line. */
export default route((hearth, event) =>
  sendOut(event, hearth.exchange.jsonl(), 'application/jsonl; charset=utf-8', 'batches.jsonl'),
)
