import { itemAt } from '../../maths/table/itemAt'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import type { Stage } from '../../formulation/dish/dish'
import type { Forecast } from '../../record/plan/forecast'
import type { Window } from '../../maths/random/window'
import { STRONGEST, WEAKEST } from '../../materials/syrup/syrup'
import { syrupAtShare } from '../../materials/syrup/syrupAtShare'
import { syrupAtTemp } from '../../materials/syrup/syrupAtTemp'
import { airPressurePa } from '../../materials/water/airPressurePa'
import type { LiveCook } from '../../record/marks/liveCook'
import type { Marked } from '../../record/marks/marked'
import type { CookPlan } from '../../record/plan/plan'
import { syrupAim, syrupSugar, type SyrupAim } from './syrupAim'

/** A syrup that is being boiled: what it is taken to, and how far it was last read. */
export interface SyrupNow extends SyrupAim {
  /** When, s since the start; null without a forecast of it. */
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
 * @returns what it is taken to and how far it is; null where none is boiled now: one beside the pan from when it is on
 */
export function syrupNow(plan: CookPlan, cook: LiveCook, forecast: Forecast | null): SyrupNow | null {
  const stage = boiling(plan, cook, forecast)
  if (!stage) return null
  const [aim, sugar] = [syrupAim(plan, stage), syrupSugar(plan, stage)]
  if (!aim || !sugar) return null
  const side = forecast?.sides.find(one => one.vessel === stage.vessel)
  return {
    ...aim,
    window: stage.meets ? side?.boils ?? null : forecast?.signs.strength ?? null,
    read: lastRead(plan, cook, stage.vessel, {
      ...sugar,
      pressure: airPressurePa(plan.altitudeM),
      tareG: plan.vessels[stage.vessel]?.vessel.massG ?? null,
      share: aim.share,
    }),
  }
}

function boiling(plan: CookPlan, cook: LiveCook, forecast: Forecast | null): Stage | null {
  const main = mainLine(plan.dish)[Math.max(0, cook.stage)]
  if (main?.does === 'boil-syrup') return main
  const side = sideStages(plan.dish).find(one => one.does === 'boil-syrup')
  const meets = forecast?.sides.find(one => one.vessel === side?.vessel)?.meets
  return side && cook.lit[side.vessel] !== undefined && meets !== undefined && cook.stage < meets ? side : null
}

interface Vat {
  readonly sugarG: number
  readonly invertShare: number
  readonly pressure: number
  readonly tareG: number | null
  readonly share: number
}

/** The newest reading of weight or temperature, as a strength; a reading beyond any syrup says nothing. */
function lastRead(plan: CookPlan, cook: LiveCook, vessel: string, vat: Vat): SyrupNow['read'] {
  const since = cook.lit[vessel] ?? cook.stageStarts[Math.max(0, cook.stage)] ?? 0
  const mine = <T extends { readonly vessel: string }>(list: readonly Marked<T>[]): Marked<T> | undefined =>
    list.filter(one => one.what.vessel === vessel && one.timeS >= since).at(-1)
  const weighed = mine(cook.weighings)
  const felt = mine(cook.temperatures)
  if (weighed && vat.tareG !== null && (!felt || weighed.timeS >= felt.timeS)) {
    const share = vat.sugarG / Math.max(1, weighed.what.grossG - vat.tareG)
    return share >= WEAKEST && share <= STRONGEST ? read('weight', share, vat) : null
  }
  if (!felt) return null
  const tempC = felt.what.tempC - (plan.thermometerK ?? 0)
  const ends = [WEAKEST, STRONGEST].map(
    share => syrupAtShare(share, vat.invertShare, vat.pressure).boilsAtC,
  )
  return tempC >= itemAt(ends, 0) && tempC <= itemAt(ends, 1)
    ? read('temperature', syrupAtTemp(tempC, vat.invertShare, vat.pressure).share, vat)
    : null
}

/** Water to be driven off is below zero where it went too far. */
function read(by: 'weight' | 'temperature', share: number, { sugarG, share: wanted }: Vat): SyrupNow['read'] {
  return { by, share, driveOffG: sugarG / share - sugarG / wanted }
}
