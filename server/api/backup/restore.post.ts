import { getQuery } from 'h3'
import { z } from 'zod'
import { parse, route } from '../../http/route'

const Query = z.object({ putAside: z.enum(['0', '1']).default('0') })

/** Restores a backup; the body is the file itself. `putAside=1` puts what stands in the house aside as a copy. */
export default route((hearth, event) =>
  hearth.backups.restore(event.node.req, parse(Query, getQuery(event)).putAside === '1'),
)
