import { itemAt } from '../../maths/table/itemAt'
import { labToHex } from '../../materials/colour/labToHex'
import type { Forecast, ForecastPoint } from '../../record/plan/forecast'
import type { Stone } from './summary'

/** Most stones on one side of the keystone before the pace doubles. */
const MOST_STONES = 14
const PACES_MIN = [1, 2, 5, 10, 20, 30, 60]

/**
 * Minutes one stone stands for, the same on both sides, so that neither side has more than fourteen.
 *
 * @param leftS length of the left side in s
 * @param rightS length of the right side in s
 * @returns whole minutes: 1, 2, 5, 10, 20, 30 or 60
 */
export function stoneMinutes(leftS: number, rightS: number): number {
  const longest = Math.max(leftS, rightS) / 60
  return PACES_MIN.find(pace => longest / pace <= MOST_STONES) ?? 60
}

/**
 * The stones of a cook: each side of the keystone in whole minutes from the keystone outwards on the left, and from it
 * onwards on the right, so that the keystone is always a joint. The first and the last stone may be shorter.
 *
 * @param forecast whose middle run gives the colours
 * @param keystoneS the turning point, s since the start
 * @param endS when it is done, s since the start, after the keystone
 * @returns stones in time order
 */
export function stonesOf(forecast: Forecast, keystoneS: number, endS: number): Stone[] {
  const pace = stoneMinutes(keystoneS, endS - keystoneS) * 60
  const joints: number[] = []
  for (let timeS = keystoneS; timeS > 0; timeS -= pace) joints.unshift(timeS)
  joints.unshift(0)
  for (let timeS = keystoneS + pace; timeS < endS; timeS += pace) joints.push(timeS)
  joints.push(endS)
  return joints.slice(1).map((toS, i): Stone => ({
    fromS: itemAt(joints, i),
    toS,
    colour: labToHex(colourAt(forecast.points, (itemAt(joints, i) + toS) / 2, toS > keystoneS ? keystoneS : null)),
  })).filter(stone => stone.toS - stone.fromS > 1)
}

function colourAt(points: readonly ForecastPoint[], timeS: number, notBefore: number | null) {
  const from = notBefore === null ? 0 : Math.max(0, points.findIndex(point => point.timeS >= notBefore))
  const next = points.findIndex((point, i) => i >= from && point.timeS >= timeS)
  return itemAt(points, next < 0 ? points.length - 1 : next).colour
}
