import { beliefColumns, MEMBER_NAMES, memberValues, type MemberValues } from '../core/process/belief/memberValues'
import type { CookPlan } from '../core/record/plan/plan'
import { fillNormal } from '../core/maths/random/fillNormal'
import { seededRandom } from '../core/maths/random/seededRandom'
import { HIDDEN } from './house'

/** An ordinary house: drawn at this share of the spreads that are believed of any. */
const ORDINARY = 0.5

/**
 * What is hidden in one cook of the demo house: lasting numbers of the house and the dish, the same in every batch,
 * with the day's own scatter.
 *
 * @param plan of the dish, believed as of a household that has cooked nothing
 * @param day a factor of the day about one, by its scatter in log
 * @returns values nobody but the imaginary pan knows
 */
export function houseTruth(plan: CookPlan, day: (spread: number) => number): MemberValues {
  const seed = [...plan.dish.id].reduce((sum, letter) => 31 * sum % 9973 + letter.charCodeAt(0), 7)
  const normals = fillNormal(new Float64Array(MEMBER_NAMES.length), seededRandom(seed)).map(value => ORDINARY * value)
  const lasting = memberValues(beliefColumns(plan.belief), normals, 0)
  return {
    ...lasting,
    mainLadder: 0,
    mainFire: HIDDEN.mainFire * day(0.08),
    otherFire: HIDDEN.otherFire * day(0.08),
    panMass: 1,
    heatLoss: 13 * day(0.08),
    contact: lasting.contact * day(0.1),
    roastPace: lasting.roastPace * day(0.05),
    wetPace: lasting.wetPace * day(0.05),
    uptake: lasting.uptake * day(0.08),
    pourTime: lasting.pourTime * day(0.2),
  }
}
