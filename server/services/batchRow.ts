import { INGREDIENTS } from '../../book/ingredients'
import type { BatchAfter } from '../../contracts/batch'
import type { BatchPicture, BatchSummary } from '../../core/cook/batch/summary'
import { standing } from '../../core/cook/after/standing'
import { sweetnessG } from '../../core/formulation/yield/sweetness'
import { mixOf } from '../../core/materials/composition/mixOf'
import { mainVessel } from '../../core/formulation/dish/mainVessel'
import type { LiveCook } from '../../core/record/marks/liveCook'
import type { CookPlan } from '../../core/record/plan/plan'
import { planRow } from '../../core/record/plan/planRow'
import type { RawRow } from '../models/models'
import { seasonOf } from '../../core/maths/time/moments'

const ROWS = new Map(INGREDIENTS.map(row => [row.id, row]))

/**
 * The columns by which a batch is found: what it was cooked in and when.
 *
 * @param plan its plan
 * @param startedAt ms since 1970
 * @returns columns of its row
 */
export function foundBy(plan: CookPlan, startedAt: number): RawRow {
  const main = mainVessel(plan.dish)
  const [pan, fire] = [plan.vessels[main], plan.fires[main]]
  return {
    family: plan.dish.family,
    version: plan.dish.version,
    pan: pan?.id ?? null,
    panName: pan?.name ?? null,
    fire: fire?.id ?? null,
    fireName: fire?.name ?? null,
    season: seasonOf(startedAt),
  }
}

/**
 * The columns of what lists draw and of what is in the house.
 *
 * @param plan its plan
 * @param cook replayed, finished
 * @param summary its summary
 * @returns columns of its row
 */
export function drawnBy(plan: CookPlan, cook: LiveCook, summary: BatchSummary): RawRow {
  const { stones, keystoneS, endS, baseG, finishedG, weighed, darkestStep, faults, line } = summary
  const picture: BatchPicture = { stones, keystoneS, endS, baseG, finishedG, weighed, darkestStep, faults, line }
  const after = afterOf(plan, cook, finishedG)
  return {
    picture: JSON.stringify(picture), faulty: faults.length > 0 ? 1 : 0,
    after: JSON.stringify(after.after), inHouse: after.inHouse ? 1 : 0, eatBy: after.after?.eatBy[1] ?? null,
  }
}

function afterOf(
  plan: CookPlan,
  cook: LiveCook,
  finishedG: number | null,
): { readonly after: BatchAfter | null, readonly inHouse: boolean } {
  if (finishedG === null || !(finishedG > 0)) return { after: null, inHouse: false }
  const rowOf = planRow(plan, ROWS)
  const one = standing(plan, cook, finishedG, ingredient => rowOf(ingredient)?.kind)
  const { leftG, place, madeAt, readyAt, eatBy, coldBy, inCold, gone, mass } = one
  return {
    after: {
      massG: mass.massG,
      leftG,
      place,
      madeAt,
      readyAt,
      eatBy,
      coldBy,
      inCold,
      liked: cook.after.liked,
      sweetness: sweetnessOf(plan, mass.massG),
      ...(cook.fromMemory ? { fromMemory: true } : {}),
    },
    inHouse: !gone && !cook.fromMemory,
  }
}

function sweetnessOf(plan: CookPlan, massG: number): number {
  const mix = mixOf(plan.amounts.flatMap((one) => {
    const row = ROWS.get(one.ingredient)
    return row ? [{ massG: one.massG, food: row.nutrients }] : []
  }))
  return Math.round(1000 * sweetnessG(mix, 'warm') / Math.max(1, massG)) / 10
}
