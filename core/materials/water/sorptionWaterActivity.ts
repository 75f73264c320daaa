import { tabulate } from '../../maths/table/tabulate'

/** Oswin's form solved for water activity, over moisture in units of a; beyond 60 of them it is one within 1e-5. */
const oswin = tabulate((u) => {
  const ratio = u ** (1 / 0.35)
  return ratio / (1 + ratio)
}, 0, 60, 0.01)

/**
 * Water activity that a cereal solid gives the water in it: Oswin's form X = a·(aw/(1−aw))^b (Oswin 1946), with
 * a = 0.128 − 0.0006·(T − 25) kept above 0.02 and b = 0.35. The shape is published for wheat products; these
 * coefficients are an estimate (spread 15 %) read from the usual 11–13 % equilibrium moisture of semolina at room
 * humidity and its fall with temperature.
 *
 * @param moisture water over dry solids, g/g, zero or more
 * @param tempC temperature in °C, 0 to 250
 * @returns water activity in [0, 1]
 * @example sorptionWaterActivity(0.136, 25) // about 0.55
 */
export function sorptionWaterActivity(moisture: number, tempC: number): number {
  if (!(moisture > 0)) return 0
  const a = Math.max(0.02, 0.128 - 0.0006 * (tempC - 25))
  return oswin(moisture / a)
}
