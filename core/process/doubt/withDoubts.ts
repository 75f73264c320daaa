import type { Forecast } from '../../record/plan/forecast'
import { forecastOfRuns, type StoredRuns } from '../forecast/storedRuns'
import { doubts } from './doubts'

/**
 * The forecast of kept runs as a page and the command line are answered: with what does not fit together.
 *
 * @param standing from `stand`
 * @returns the forecast
 */
export function withDoubts(standing: StoredRuns): Forecast {
  return { ...forecastOfRuns(standing), doubts: doubts(standing) }
}
