import type { Stage } from '../../formulation/dish/dish'
import { sideStages } from '../../formulation/dish/sideStages'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import { additionsOf } from './additionsOf'
import type { Addition, ProgramChange } from '../engine/program'

/**
 * What went into the main line's vessel beside the plan, and what was taken out of it.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @returns changes in order of time
 */
export function changesOf(plan: CookPlan, cook: LiveCook): ProgramChange[] {
  const sides = sideStages(plan.dish)
  const made = cook.changes.map(({ timeS, what }): ProgramChange => ({
    timeS, from: null, liftsFatG: what.liftsFatG,
    adds: what.adds.map(({ massG, composition: { water, solids, fat, sugar, nuts, invert = 0 } }): Addition => ({
      water: massG * water,
      solids: massG * solids,
      fat: massG * fat,
      sugar: massG * (sugar - invert),
      invert: massG * invert,
      nuts: massG * nuts,
      base: false,
      dry: false,
    })),
  }))
  const rests = cook.restPoured.map(({ timeS, what }): ProgramChange => ({
    timeS,
    adds: [],
    liftsFatG: 0,
    from: sides.findIndex(side => side.vessel === what),
  }))
  return [...made, ...rests].sort((p, q) => p.timeS - q.timeS)
}

/**
 * What goes in as a stage begins: its additions without what was forgotten by the time somebody said so.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param stage whose additions
 * @param fromS when it began, s; Infinity where it has not
 * @returns masses, g
 */
export function addedOf(plan: CookPlan, cook: LiveCook, stage: Stage, fromS: number): Addition[] {
  const missed = (ingredient: string): boolean =>
    cook.forgotten.some(one => one.what === ingredient && one.timeS >= fromS)
  return additionsOf(plan, { adds: stage.adds.filter(add => !missed(add.ingredient)) })
}

/**
 * How much of the other vessel goes in with a pour: what was kept back stays where it is.
 *
 * @param cook the replayed cook
 * @param stage the pour
 * @returns a share, 0 to 1; 1 where nothing was said
 */
export function fromShareOf(cook: LiveCook, stage: Pick<Stage, 'from'>): number {
  const kept =
    stage.from === undefined ? undefined : [...cook.keptBack].reverse().find(one => one.what.vessel === stage.from)
  return kept ? 1 - kept.what.share : 1
}
