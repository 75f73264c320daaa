import type { Forecast } from '../../record/plan/forecast'

/**
 * What of a forecast is kept with its plan: windows and the middle run, without the pan along the cook.
 *
 * @param forecast of a plan
 * @returns the same, smaller
 */
export function forecastToKeep({ bands, ...kept }: Forecast): Forecast {
  void bands
  return kept
}
