import type { ClockReading } from '../../contracts/clock'
import { route } from '../http/route'

/** The hearth's clock. */
export default route((hearth): ClockReading => ({ now: hearth.clock.now(), rate: hearth.clock.rate }))
