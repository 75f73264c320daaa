import { getQuery } from 'h3'
import { BatchQuerySchema } from '../../../contracts/batchQuery'
import { parse, route } from '../../http/route'

/** A page of the ledger, newest first. */
export default route(async (hearth, event) => hearth.ledger.page(parse(BatchQuerySchema, getQuery(event))))
