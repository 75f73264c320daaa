import { CoreError } from '../../error'
import { STRONGEST, WEAKEST, type SyrupAt } from './syrup'
import { syrupAtShare } from './syrupAtShare'

/**
 * The strength of a syrup that boils at a temperature: found by halving, as the boiling point rises with strength.
 *
 * @param tempC of the boiling syrup, a thermometer's own error taken out
 * @param invertShare share of the sugar that is glucose and fructose, 0 to 1
 * @param airPressurePa pressure of the air, 45 to 110 kPa
 * @returns the syrup
 * @throws CoreError `out-of-range` with the temperatures between which it holds at this pressure
 * @example syrupAtTemp(106, 0, 101325).share // about 0.70
 */
export function syrupAtTemp(tempC: number, invertShare: number, airPressurePa: number): SyrupAt {
  let [low, high] = [WEAKEST, STRONGEST]
  const [lowest, highest] = [
    syrupAtShare(low, invertShare, airPressurePa).boilsAtC,
    syrupAtShare(high, invertShare, airPressurePa).boilsAtC,
  ]
  if (!(tempC >= lowest && tempC <= highest))
    throw new CoreError('out-of-range', 'syrupAtTemp.tempC', { given: tempC, from: round(lowest), to: round(highest) })
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (syrupAtShare(middle, invertShare, airPressurePa).boilsAtC < tempC) low = middle
    else high = middle
  }
  return syrupAtShare((low + high) / 2, invertShare, airPressurePa)
}

const round = (value: number): number => Math.round(value * 10) / 10
