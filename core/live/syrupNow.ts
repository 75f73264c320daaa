import { mainLine } from '../dish/mainLine'
import { sideStages } from '../dish/sideStages'
import type { Stage } from '../dish/dish'
import { additionsOf } from '../forecast/additionsOf'
import type { Forecast, Window } from '../forecast/forecast'
import { setsTo } from '../syrup/setsTo'
import { STRONGEST, WEAKEST, type Sets } from '../syrup/syrup'
import { syrupAtShare } from '../syrup/syrupAtShare'
import { syrupAtTemp } from '../syrup/syrupAtTemp'
import { syrupShareOf } from '../syrup/syrupShareOf'
import { airPressurePa } from '../water/airPressurePa'
import type { LiveCook, Marked } from './liveCook'
import type { CookPlan } from './plan'

/** A syrup that is being boiled: what it is taken to, by every way it can be told, and how far it was last read. */
export interface SyrupNow {
  readonly vessel: string
  /** Sugar over all, by weight, that the dish wants. */
  readonly share: number
  readonly sets: Sets
  /** What the thermometer reads then, its own error and the altitude in it, °C. */
  readonly tempC: number
  /** What the vessel weighs then, its own weight in it, g; null where its weight is not known. */
  readonly grossG: number | null
  /** When, s since the start; null before it is on. */
  readonly window: Window | null
  /** How far it was when last read, and by what; null where nothing was read. */
  readonly read: { readonly by: 'weight' | 'temperature', readonly share: number, readonly driveOffG: number } | null
}

/**
 * The syrup of a cook while it boils, in the pan or beside it.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param forecast the forecast at hand
 * @returns what it is taken to and how far it is; null where no syrup is boiled now
 */
export function syrupNow(plan: CookPlan, cook: LiveCook, forecast: Forecast | null): SyrupNow | null {
  const stage = boiling(plan, cook, forecast)
  if (!stage) return null
  const adds = additionsOf(plan, stage)
  const invert = adds.reduce((all, one) => all + one.invert, 0)
  const sugarG = adds.reduce((all, one) => all + one.sugar, 0) + invert
  if (!(sugarG > 0)) return null
  const share = syrupShareOf(plan.dish)
  const pressure = airPressurePa(plan.altitudeM)
  const invertShare = invert / sugarG
  const tareG = plan.vessels[stage.vessel]?.vessel.massG ?? null
  const side = forecast?.sides.find(one => one.vessel === stage.vessel)
  return {
    vessel: stage.vessel, share, sets: setsTo(share),
    tempC: syrupAtShare(share, invertShare, pressure).boilsAtC + (plan.thermometerK ?? 0),
    grossG: tareG === null ? null : tareG + sugarG / share,
    window: stage.meets ? side?.boils ?? null : forecast?.signs.strength ?? null,
    read: lastRead(plan, cook, stage.vessel, { sugarG, invertShare, pressure, tareG, share }),
  }
}

function boiling(plan: CookPlan, cook: LiveCook, forecast: Forecast | null): Stage | null {
  const main = mainLine(plan.dish)[Math.max(0, cook.stage)]
  if (main?.does === 'boil-syrup') return main
  const side = sideStages(plan.dish).find(one => one.does === 'boil-syrup')
  const meets = forecast?.sides.find(one => one.vessel === side?.vessel)?.meets
  return side && meets !== undefined && cook.stage < meets ? side : null
}

interface Vat { readonly sugarG: number, readonly invertShare: number, readonly pressure: number, readonly tareG: number | null, readonly share: number }

/** The newest reading of weight or temperature, as a strength; a reading beyond any syrup says nothing. */
function lastRead(plan: CookPlan, cook: LiveCook, vessel: string, vat: Vat): SyrupNow['read'] {
  const since = cook.lit[vessel] ?? cook.stageStarts[Math.max(0, cook.stage)] ?? 0
  const mine = <T extends { readonly vessel: string }>(list: readonly Marked<T>[]): Marked<T> | undefined => list.filter(one => one.what.vessel === vessel && one.timeS >= since).at(-1)
  const weighed = mine(cook.weighings)
  const felt = mine(cook.temperatures)
  if (weighed && vat.tareG !== null && (!felt || weighed.timeS >= felt.timeS)) {
    const share = vat.sugarG / Math.max(1, weighed.what.grossG - vat.tareG)
    return share >= WEAKEST && share <= STRONGEST ? read('weight', share, vat) : null
  }
  if (!felt) return null
  const tempC = felt.what.tempC - (plan.thermometerK ?? 0)
  const [lowest, highest] = [WEAKEST, STRONGEST].map(share => syrupAtShare(share, vat.invertShare, vat.pressure).boilsAtC)
  return tempC >= lowest! && tempC <= highest! ? read('temperature', syrupAtTemp(tempC, vat.invertShare, vat.pressure).share, vat) : null
}

/** Water to be driven off is below zero where it went too far. */
function read(by: 'weight' | 'temperature', share: number, { sugarG, share: wanted }: Vat): SyrupNow['read'] {
  return { by, share, driveOffG: sugarG / share - sugarG / wanted }
}
