import { pivotWatts } from '../../core/process/belief/pivotWatts'
import type { Dish } from '../../core/formulation/dish/dish'
import { mainLine } from '../../core/formulation/dish/mainLine'
import type { Program } from '../../core/process/engine/program'
import { compileProgram } from '../../core/process/program/compileProgram'
import { ensembleRecord } from '../../core/process/engine/record'
import { simulate } from '../../core/process/engine/simulate'
import { replay } from '../../core/record/replay/replay'
import { seededRandom } from '../../core/maths/random/seededRandom'
import { drawHousehold, drawOccasion, planOf, truthOfDay } from './household'

const KITCHENS = 41

/**
 * The usual minutes of a dish in a world: the median of each stage over many kitchens that cook its usual amount. This
 * is what common kitchen knowledge of that world would settle on; forecast and rivals are given the same.
 *
 * @param dish with its stages
 * @param step laws of the world
 * @param seed of the drawing
 * @returns the dish with those minutes
 */
export function withUsualMinutes(dish: Dish, step: Program['step'], seed: number): Dish {
  const uniform = seededRandom(seed)
  const line = mainLine(dish)
  const lasts: number[][] = line.map(() => [])
  for (let i = 0; i < KITCHENS; i++) {
    const plan = planOf({ ...drawOccasion(dish, uniform), baseG: dish.usual.baseG, flames: {} }, [], seed)
    const program = { ...compileProgram(plan, replay(plan, []), 0), step }
    const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
    simulate(program, truthOfDay(drawHousehold(uniform), plan, pivotWatts(plan), uniform), record, 0)
    line.forEach((_, k) => {
      const end = k + 1 < record.stages ? record.starts[k + 1]! : record.ends[0]!
      if (Number.isFinite(end)) lasts[k]!.push((end - record.starts[k]!) / 60)
    })
  }
  const median = (values: number[]): number => values.sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? 0
  const minutes = Object.fromEntries(
    line.flatMap((stage, k) => (lasts[k]!.length > 0 ? [[stage.id, Math.max(0.2, median(lasts[k]!))]] : [])),
  )
  return { ...dish, usual: { ...dish.usual, minutes: { ...dish.usual.minutes, ...minutes } } }
}
