import { fieldAt, numberAt } from '../../maths/table/itemAt'
import { constant } from '../../materials/constants/constants'
import { mainVessel } from '../../formulation/dish/mainVessel'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import { baseAreaM2 } from '../../materials/vessel/baseAreaM2'
import type { Residual } from './markTimes'
import type { Program } from '../engine/program'
import type { EnsembleRecord } from '../engine/record'

/** Kitchen scale: 3 g and 0.5 %; thermometer: 2.5 K. Standard deviations. */
const SCALE_G = constant('scaleG')
const SCALE_SHARE = constant('scaleShare')
const THERMOMETER_K = constant('thermometerFood')
/** A ruler in the pan: standard deviation in mm, and as a share of the depth. */
const RULER_MM = constant('rulerMm')
const RULER_SHARE = constant('rulerShare')
/** Standard deviation of a guessed pan weight, as a share. */
const GUESSED_TARE = constant('guessedTare')

/**
 * What scale, thermometer and ruler in the main vessel say of each member.
 *
 * @param plan the plan, with the pan's own weight and the thermometer's error
 * @param cook the replayed cook
 * @param program the program the ensemble ran; its last two queries ask for now
 * @returns one residual for each reading
 */
export function readingTerms(plan: CookPlan, cook: LiveCook, program: Program): Residual[] {
  const main = mainVessel(plan.dish)
  const pan = fieldAt(plan.vessels, main)
  const tare = pan.vessel.massG
  const readings = program.queries.length - (program.nowS > 0 ? 2 : 0)
  return program.queries.flatMap((query, k): Residual[] => {
    const forecast = (record: EnsembleRecord, member: number): number =>
      numberAt(record.readings, member * record.queries + k)
    if (query.of === 'temp-c') {
      const read = k < readings ? cook.temperatures.find(one => one.timeS === query.timeS) : undefined
      return read
        ? [(record, member) => (read.what.tempC - (plan.thermometerK ?? 0) - forecast(record, member)) / THERMOMETER_K]
        : []
    }
    if (query.of === 'volume-ml') {
      const read = cook.depths.find(one => one.timeS === query.timeS && one.what.vessel === main)
      const mlPerMm = 1000 * baseAreaM2(pan.vessel.innerDiameterMm)
      return read
        ? [
            (record, member) =>
              (read.what.depthMm * mlPerMm - forecast(record, member))
              / (mlPerMm * Math.hypot(RULER_MM, RULER_SHARE * read.what.depthMm)),
          ]
        : []
    }
    const read =
      k < readings ? cook.weighings.find(one => one.timeS === query.timeS && one.what.vessel === main) : undefined
    if (!read) return []
    const noise = Math.hypot(SCALE_G, SCALE_SHARE * read.what.grossG, pan.massGuessed ? GUESSED_TARE * tare : 0)
    return [(record, member) => (read.what.grossG - tare - forecast(record, member)) / noise]
  })
}
