import { entriesOf } from '../../records'
import { itemAt } from '../../maths/table/itemAt'
import type { Forecast } from '../../record/plan/forecast'
import type { Window } from '../../maths/random/window'

/** A finer forecast, and the outline of the same plan by which changes of it are read. */
export interface FineForecast { readonly fine: Forecast, readonly outline: Forecast }

/**
 * A forecast of a plan that is being changed: the fine one of where it stood, every window moved in the ratio in which
 * the outline by a few members moved. The few members are the same ones, so that their own error mostly cancels (common
 * random numbers).
 *
 * @param known fine forecast and outline of the plan as it stood
 * @param now outline of the plan as it is
 * @returns the outline of now with the scaled windows; the outline itself where the stages differ
 */
export function scaledForecast(known: FineForecast, now: Forecast): Forecast {
  const { fine, outline } = known
  if (fine.stages.length !== now.stages.length || outline.stages.length !== now.stages.length) return now
  return {
    ...now,
    turnDownS: fine.turnDownS,
    leftAloneS: fine.leftAloneS,
    effective: fine.effective,
    members: fine.members,
    stages: now.stages.map((window, k) => scaled(itemAt(fine.stages, k), itemAt(outline.stages, k), window)),
    signs: Object.fromEntries(entriesOf(now.signs).map(([sign, window]) => {
      const [before, then] = [fine.signs[sign], outline.signs[sign]]
      return [sign, before && then ? scaled(before, then, window) : window]
    })),
    finishedG: scaled(fine.finishedG, outline.finishedG, now.finishedG),
  }
}

/** Each edge in the ratio in which the outline's middle moved; nothing moves where the outline stood at nothing. */
function scaled(fine: Window, then: Window, now: Window): Window {
  const ratio = then.middle > 0 ? now.middle / then.middle : 1
  return { early: fine.early * ratio, middle: fine.middle * ratio, late: fine.late * ratio }
}
