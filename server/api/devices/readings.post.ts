import { ReadingsRequestSchema, type TakenReading } from '../../../contracts/device'
import { MOST_READINGS, readJson, route } from '../../http/route'

/** Takes readings of a device in. */
export default route(async (hearth, event): Promise<TakenReading> => {
  const { protocol: _, ...request } = await readJson(event, ReadingsRequestSchema, MOST_READINGS)
  return hearth.devices.take(request)
})
