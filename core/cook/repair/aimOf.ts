import { mainLine } from '../../formulation/dish/mainLine'
import { additionsOf } from '../../process/program/additionsOf'
import type { CookPlan } from '../../record/plan/plan'
import { contentsG } from '../../process/program/contentsNow'
import type { PanContents } from '../../materials/composition/panContents'

/**
 * What the plan wanted in the pan as it leaves the fire: everything that goes in, with the water of its forecast
 * finished weight, or of the dish's own share that is kept where there is no forecast.
 *
 * @param plan the plan
 * @returns masses, g
 */
export function aimOf(plan: CookPlan): PanContents {
  const line = mainLine(plan.dish)
  const stages = [
    ...line,
    ...plan.dish.stages.filter(one => one.meets && line.some(stage => stage.from === one.vessel)),
  ]
  const went = stages.flatMap(stage => additionsOf(plan, stage))
  // Nuts that are fried first leave the pan and come back: they count once.
  const nuts = new Map(
    stages
      .flatMap(stage => stage.adds)
      .map(add => [add.ingredient, plan.amounts.find(one => one.id === add.ingredient)]),
  )
  const dry: PanContents = {
    waterG: 0,
    solidsG: went.reduce((all, one) => all + one.solids, 0),
    fatG: went.reduce((all, one) => all + one.fat, 0),
    sugarG: went.reduce((all, one) => all + one.sugar + one.invert, 0),
    nutsG: [...nuts.values()].reduce((all, one) => all + (one ? one.massG * one.composition.nuts : 0), 0),
  }
  const water = went.reduce((all, one) => all + one.water, 0)
  const finished = plan.forecast?.finishedG.middle
  const waterG =
    finished === undefined ? water * plan.dish.kept.share : Math.min(water, Math.max(0, finished - contentsG(dry)))
  return { ...dry, waterG }
}
