import type { Forecast } from '../../record/plan/forecast'
import { standingForecast, type Standing } from '../forecast/standing'
import { doubts } from './doubts'

/**
 * The forecast of kept runs as a page and the command line are answered: with what does not fit together.
 *
 * @param standing from `stand`
 * @returns the forecast
 */
export function withDoubts(standing: Standing): Forecast {
  return { ...standingForecast(standing), doubts: doubts(standing) }
}
