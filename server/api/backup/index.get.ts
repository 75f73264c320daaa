import { getQuery } from 'h3'
import { z } from 'zod'
import { parse, route } from '../../http/route'
import { sendOut } from '../../http/sendOut'

const Query = z.object({ photos: z.enum(['0', '1']).default('1') })

/** A full backup as one file, made while cooking goes on; `photos=0` leaves photographs out. */
export default route((hearth, event) => {
  const photos = parse(Query, getQuery(event)).photos === '1'
  return sendOut(event, hearth.backups.stream(photos), 'application/gzip', hearth.backups.fileName(photos))
})
