import { known } from '../../maths/table/itemAt'
import { sideStages } from '../../formulation/dish/sideStages'
import { mainLine } from '../../formulation/dish/mainLine'
import { FIRE_KINDS } from '../../materials/fire/fireKinds'
import { pivotWatts, stageWatts } from './pivotWatts'
import type { Belief, BeliefEntry } from '../../materials/belief/belief'
import { combineReadings } from '../../materials/belief/combineReadings'
import { householdNames, LEVEL_W, type BelievingPlan } from './evidence'
import type { Evidence } from '../../materials/belief/reading'
import { fireBelief, fireEntries } from './fireBelief'
import { daySpread } from '../../materials/belief/steadiness'

/**
 * The belief for a plan: the first belief, with each lasting number moved by the household's readings of it.
 *
 * @param first the belief of a household that has cooked nothing
 * @param evidence readings of past batches and checks, any order
 * @param plan dish, fires and flames chosen
 * @param nowMs now, ms since 1970, by which readings age; undefined lets none age
 * @returns a belief whose entries name the batches they rest on
 */
export function beliefFor(first: Belief, evidence: readonly Evidence[], plan: BelievingPlan, nowMs?: number): Belief {
  const names = householdNames(plan)
  const of = (name: string): BeliefEntry => known(first.entries.find(entry => entry.name === name), name)
  const fire = (name: 'mainFire' | 'otherFire', vessel: string | undefined, watts: number) => {
    const readings = evidence.filter(one => one.name === names[name])
    const prior = vessel === undefined ? undefined : plan.fires[vessel]?.kind
    const spread = prior === undefined ? of(name).spread : FIRE_KINDS[prior].spread
    const lasting = Math.sqrt(Math.max(0.01, spread ** 2 - daySpread(name) ** 2))
    const belief = fireBelief(lasting, of('mainLadder').spread, readings, Math.log(watts / LEVEL_W), nowMs)
    return fireEntries(of(name), of('mainLadder'), belief, readings.map(one => one.batch))
  }
  const main = fire('mainFire', mainLine(plan.dish)[0]?.vessel, pivotWatts(plan))
  const beside = sideStages(plan.dish)[0]
  const other = fire('otherFire', beside?.vessel, beside ? stageWatts(plan, beside) : LEVEL_W)
  return {
    entries: first.entries.map((entry): BeliefEntry => {
      if (entry.name === 'mainFire') return main.level
      if (entry.name === 'mainLadder') return main.ladder
      if (entry.name === 'otherFire') return other.level
      const own =
        entry.name === 'kept' ? { ...entry, median: plan.dish.kept.share, spread: plan.dish.kept.spread } : entry
      return combineReadings(own, evidence.filter(one => one.name === names[entry.name]), nowMs)
    }),
  }
}
