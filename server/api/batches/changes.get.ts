import { getQuery } from 'h3'
import { z } from 'zod'
import { Id } from '../../../contracts/ids'
import { parse, route } from '../../http/route'

const Query = z.strictObject({ dish: Id })

/** Changes of a dish that were made of its batches' faults, with the moment they were made. */
export default route(async (hearth, event) => ({
  changes: await hearth.batches.changesOf(parse(Query, getQuery(event)).dish),
}))
