import { getQuery } from 'h3'
import { z } from 'zod'
import { parse, pathId, route } from '../../../http/route'
import { streamedJson } from '../../../http/streamedJson'

const Query = z.object({ after: z.coerce.number().int().min(0).default(0) })

/** What a stream holds after a place. */
export default route((hearth, event) => {
  const { after } = parse(Query, getQuery(event))
  return streamedJson(event, {}, 'observations', hearth.streams.pages(pathId(event), after))
})
