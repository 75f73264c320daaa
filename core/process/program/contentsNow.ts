import { mainLine } from '../../formulation/dish/mainLine'
import type { ForecastPoint } from '../../record/plan/forecast'
import { addedOf, fromShareOf } from './changesOf'
import { additionsOf } from './additionsOf'
import type { Addition } from '../engine/program'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import type { PanContents } from '../../materials/composition/panContents'

/**
 * What is in the pan now: what went in by the plan and beside it, with the water that the forecast says is left.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param point the forecast's moment, for its water
 * @returns masses, g
 */
export function contentsNow(plan: CookPlan, cook: LiveCook, point: Pick<ForecastPoint, 'waterG'>): PanContents {
  const line = mainLine(plan.dish)
  const went: Addition[] = []
  let nutsOut = 0
  line.slice(0, cook.stage + 1).forEach((stage, k) => {
    went.push(...addedOf(plan, cook, stage, cook.stageStarts[k] ?? 0))
    const beside = plan.dish.stages.filter(one => one.meets && one.vessel === stage.from && stage.from !== undefined)
    const share = cook.restPoured.some(one => one.what === stage.from) ? 1 : fromShareOf(cook, stage)
    for (const side of beside) went.push(...additionsOf(plan, side).map(one => scaled(one, share)))
    if (stage.takesOut.length > 0 && k < cook.stage) nutsOut = sum(went, 'nuts')
  })
  const changes = cook.changes.flatMap(one => one.what.adds)
  const added = (part: 'solids' | 'fat' | 'sugar' | 'nuts'): number =>
    changes.reduce((all, one) => all + one.massG * one.composition[part], 0)
  const lifted = cook.changes.reduce((all, one) => all + one.what.liftsFatG, 0)
  return {
    waterG: point.waterG,
    solidsG: sum(went, 'solids') + added('solids'),
    fatG: Math.max(0, sum(went, 'fat') + added('fat') - lifted),
    sugarG: sum(went, 'sugar') + sum(went, 'invert') + added('sugar'),
    nutsG: Math.max(0, sum(went, 'nuts') - nutsOut) + added('nuts'),
  }
}

const sum = (additions: readonly Addition[], part: 'water' | 'solids' | 'fat' | 'sugar' | 'invert' | 'nuts'): number =>
  additions.reduce((all, one) => all + one[part], 0)

function scaled(one: Addition, share: number): Addition {
  const { water, solids, fat, sugar, invert, nuts, base, dry } = one
  return {
    water: water * share,
    solids: solids * share,
    fat: fat * share,
    sugar: sugar * share,
    invert: invert * share,
    nuts: nuts * share,
    base,
    dry,
  }
}

/**
 * What the plan still puts into the pan after the running stage.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param now what is in it, from `contentsNow`: nuts that were fried first are not counted again
 * @returns masses, g
 */
export function contentsToCome(plan: CookPlan, cook: LiveCook, now: PanContents): PanContents {
  const line = mainLine(plan.dish)
  const later = line.slice(cook.stage + 1)
  const beside = plan.dish.stages.filter(one => one.meets && later.some(stage => stage.from === one.vessel))
  const comes = [...later, ...beside].flatMap(stage => additionsOf(plan, stage))
  const nuts = Math.max(0, sum(comes, 'nuts') - now.nutsG)
  return {
    waterG: sum(comes, 'water'),
    solidsG: sum(comes, 'solids'),
    fatG: sum(comes, 'fat'),
    sugarG: sum(comes, 'sugar') + sum(comes, 'invert'),
    nutsG: nuts,
  }
}

/**
 * The weight of a content without its water.
 *
 * @param content g
 * @returns g
 */
export function dryG({ solidsG, fatG, sugarG, nutsG }: PanContents): number {
  return solidsG + fatG + sugarG + nutsG
}

/**
 * The weight of a content.
 *
 * @param content g
 * @returns g
 */
export function contentsG({ waterG, solidsG, fatG, sugarG, nutsG }: PanContents): number {
  return waterG + solidsG + fatG + sugarG + nutsG
}
