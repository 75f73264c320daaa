import { beliefColumns, MEMBER_NAMES } from '../../core/process/belief/memberValues'
import { planFlames, searchFlames } from '../../core/process/flame/planFlames'
import { compileProgram } from '../../core/process/program/compileProgram'
import { runEnsemble } from '../../core/process/ensemble/runEnsemble'
import { reweighed, storeRuns, forecastOfRuns } from '../../core/process/forecast/storedRuns'
import { replay } from '../../core/record/replay/replay'
import { fillNormal } from '../../core/maths/random/fillNormal'
import { seededRandom } from '../../core/maths/random/seededRandom'
import { examplePlan, marked, starterPlan } from '../../test/support/plans'
import type { Figure } from './figure'
import { median, timed } from './timed'

const MANY = 10_000
const MEMBERS = 500
const ROAST_S = 260

/**
 * Ten thousand cooks on one thread, a tap answered from stored runs and by new ones, and a flame plan.
 *
 * @returns figures in ms, with ratios to one member's run in the same bench
 */
export function forecasting(): Figure[] {
  const plan = examplePlan()
  const program = compileProgram(plan, replay(plan, []), 0)
  const columns = beliefColumns(plan.belief)
  const few = fillNormal(new Float64Array(200 * MEMBER_NAMES.length), seededRandom(2))
  const one = timed(10, () => void runEnsemble(program, columns, few)) / 200
  const normals = fillNormal(new Float64Array(MANY * MEMBER_NAMES.length), seededRandom(1))
  const many = timed(3, () => void runEnsemble(program, columns, normals))
  const roast = plan.dish.stages.find(stage => stage.does === 'roast')!
  const before = [marked(0, 0, 'cook.started'), marked(1, 60, 'stage.began', { stage: roast.id })]
  const tapped = [...before, marked(2, ROAST_S, 'sign.seen', { sign: 'aroma' })]
  const standing = storeRuns(plan, before, ROAST_S - 5, MEMBERS)
  if (!reweighed(standing, tapped, ROAST_S)) throw new RangeError('bench: the tap could not be answered from stored runs')
  const tap = timed(60, () => void reweighed(standing, tapped, ROAST_S))
  const anew = timed(15, () => void forecastOfRuns(storeRuns(plan, tapped, ROAST_S, MEMBERS)))
  const flames = starterPlan('brick-kiln-wheat')
  const wish = { step: 'golden' as const, patienceS: 1200, risk: 0.03 }
  const planned = timed(5, () => void planFlames(flames, wish))
  const first = median(Array.from({ length: 7 }, () => {
    const start = performance.now()
    searchFlames(flames, wish).next()
    return performance.now() - start
  }))
  return [
    {
      name: `${MANY} cooks on one thread`,
      value: many,
      unit: 'ms',
      ratio: many / (MANY * one),
      limit: '<= 2500 ms; ratio to as many runs of a small ensemble <= 1.5',
    },
    {
      name: `a tap from ${MEMBERS} stored runs`,
      value: tap,
      unit: 'ms',
      ratio: tap / (MEMBERS * one),
      limit: '<= 5 ms; ratio to running them anew <= 0.15',
    },
    {
      name: `a tap with ${MEMBERS} members run anew`,
      value: anew,
      unit: 'ms',
      ratio: anew / (MEMBERS * one),
      limit: '<= 150 ms; ratio to one run of them <= 4',
    },
    { name: 'a flame plan', value: planned, unit: 'ms', ratio: planned / (1000 * one), limit: '<= 1500 ms' },
    { name: 'a flame plan, first answer', value: first, unit: 'ms', ratio: null, limit: '<= 200 ms' },
  ]
}
