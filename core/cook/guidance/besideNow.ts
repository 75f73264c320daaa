import { sideStages, type SideStage } from '../../formulation/dish/sideStages'
import type { Forecast, SideForecast } from '../../record/plan/forecast'
import type { Window } from '../../maths/random/window'
import { SPECIFIC_HEAT } from '../../materials/composition/specificHeat'
import { airPressurePa } from '../../materials/water/airPressurePa'
import { saturationTempC } from '../../materials/water/saturationTempC'
import { flamesNow } from '../../record/replay/flamesNow'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'

/** How a vessel beside the pan stands. */
export type BesideStatus = 'later' | 'light-now' | 'heating' | 'overdue' | 'ready' | 'early' | 'cooled'

/** A vessel beside the pan that has not gone in yet. */
export interface Beside {
  readonly vessel: string
  /** Id of its stage, which says what is in it. */
  readonly stage: string
  readonly status: BesideStatus
  /** s until it should go on its fire; below zero once it is late; null where it is on. */
  readonly lightInS: number | null
  readonly needs: Window
  /** When it is ready, s since the start, or null. */
  readonly ready: Window | null
  /** True where it will not be ready by the time the pan wants it. */
  readonly late: boolean
  readonly tempC: number | null
  /** Water that has boiled away since it was put on, g. */
  readonly lostG: number
  /** s that heating again would take, where it has cooled. */
  readonly reheatS: number | null
}

/** This close to its time it is put on now; this far ahead of the pan it is early, s. */
const NOW_S = 10
const EARLY_S = 120
/** So far below the boil it has cooled, K. */
const COOLED_K = 9

/**
 * How every vessel beside the pan stands now: when to light it, when it is ready, whether it waits or is waited for.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param forecast the forecast at hand
 * @param nowS how far the cook is, s
 * @returns those that have not gone in yet, in the order of the dish
 */
export function besideNow(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number): Beside[] {
  return sideStages(plan.dish).flatMap((stage) => {
    const side = forecast?.sides.find(one => one.vessel === stage.vessel)
    if (!forecast || !side || cook.stage >= side.meets || cook.finishedS !== null) return []
    const meets = forecast.stages[side.meets]
    const lit = cook.lit[stage.vessel] !== undefined
    const lightInS = lit || side.lightS === null ? null : side.lightS - nowS
    return [{
      vessel: stage.vessel, stage: stage.id, needs: side.needs, ready: side.boils, lightInS,
      status: statusOf(plan, cook, stage, side, meets, nowS),
      late: isLate(cook, stage, side, meets, nowS),
      tempC: side.now?.tempC ?? null,
      lostG: side.now ? Math.max(0, side.now.heldG - side.now.contentG) : 0,
      reheatS: side.now ? reheatS(plan, stage, side.now) : null,
    }]
  })
}

function statusOf(
  plan: CookPlan,
  cook: LiveCook,
  stage: SideStage,
  side: SideForecast,
  meets: Window | undefined,
  nowS: number,
): BesideStatus {
  if (cook.lit[stage.vessel] === undefined)
    return side.lightS !== null && side.lightS - nowS <= NOW_S && cook.stage >= 0 ? 'light-now' : 'later'
  if (cook.ready[stage.vessel] === undefined) return side.boils && nowS > side.boils.late ? 'overdue' : 'heating'
  const off = flamesNow(plan, cook)[stage.vessel]?.mark === 'off'
  if (off && side.now && waitsForHeat(stage) && side.now.tempC < boilC(plan) - COOLED_K) return 'cooled'
  return meets && meets.early - nowS > EARLY_S ? 'early' : 'ready'
}

/** The pan will be ready before it, by the middle of both. */
function isLate(
  cook: LiveCook,
  stage: SideStage,
  side: SideForecast,
  meets: Window | undefined,
  nowS: number,
): boolean {
  if (!meets || cook.ready[stage.vessel] !== undefined || cook.stage < 0) return false
  if (side.boils) return side.boils.early > meets.late
  return side.lightS !== null && nowS + side.needs.early > meets.late
}

const waitsForHeat = (stage: SideStage): boolean => 'sign' in stage.until && stage.until.sign === 'boil'
const boilC = (plan: CookPlan): number => saturationTempC(airPressurePa(plan.altitudeM))

function reheatS(plan: CookPlan, stage: SideStage, now: NonNullable<SideForecast['now']>): number | null {
  const watts = plan.fires[stage.vessel]?.marks.find(mark => mark.id === plan.flames[stage.id])?.watts
  const missing = boilC(plan) - now.tempC
  if (watts === undefined || missing < COOLED_K) return null
  const fire = plan.belief.entries.find(one => one.name === 'otherFire')?.median ?? 1
  return now.contentG * SPECIFIC_HEAT.water * missing / (watts * fire)
}
