import { getQuery } from 'h3'
import { BatchFilterSchema } from '../../../contracts/batchQuery'
import { parse, route } from '../../http/route'

/** How many batches a filter finds, how many came right, and what they can be filtered by. */
export default route(async (hearth, event) => hearth.ledger.tally(parse(BatchFilterSchema, getQuery(event))))
