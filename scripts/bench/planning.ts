import { readdirSync, readFileSync } from 'node:fs'
import { inventDay } from '../../cli/plans/inventDay'
import { DaySchema } from '../../contracts/day'
import { seededRandom } from '../../core/maths/random/seededRandom'
import type { Day } from '../../core/day/problem/day'
import { dispatchDay } from '../../core/day/planning/dispatchDay'
import { stepsOf } from '../../core/day/problem/lanesOf'
import { DayModel } from '../../core/day/planning/model'
import { repairDay } from '../../core/day/spread/repairDay'
import { DaySolver } from '../../core/day/planning/solveDay'
import type { StepProgress } from '../../core/day/spread/spread'
import { underWay } from '../../core/day/spread/underWay'
import type { Figure } from './figure'
import { median } from './timed'

const FOLDER = 'test/days'
const TWELVE = 12
const SEEDS = 8

const ms = (call: () => void): number => {
  const start = performance.now()
  call()
  return performance.now() - start
}
const percentile95 = (list: number[]): number => list.sort((a, b) => a - b)[Math.floor(0.95 * (list.length - 1))]!

function firstPlan(day: Day): number {
  return ms(() => {
    const solver = new DaySolver(day)
    while (!solver.plan && !solver.done) solver.step(() => false)
  })
}

/** Late steps on the fifteen days: each day at each of its starts, what is begun later and longer than planned. */
function repairs(days: readonly Day[]): { repair: number[], dispatch: number[] } {
  const repair: number[] = []
  const dispatch: number[] = []
  const uniform = seededRandom(4)
  for (const day of days) {
    const solver = new DaySolver(day)
    for (let i = 0; i < 20 && !solver.done; i++) solver.step(() => false)
    const starts = solver.plan!.starts
    for (const now of [...new Set(Object.values(starts))].map(at => at + 2)) {
      const doings = stepsOf(day, starts).filter(one => one.from < now).map((one): StepProgress => {
        const begun = Math.min(now - 1, one.from + Math.floor(uniform() * 4))
        const ended = begun + one.activity.dur[1] + Math.floor(uniform() * 15)
        return { step: one.step, begun, ended: ended <= now ? ended : null }
      })
      repair.push(ms(() => void repairDay(day, starts, doings, now)))
      const begun = new Map(doings.map(one => [one.step, one.begun!]))
      dispatch.push(ms(() => void dispatchDay(underWay(day, doings, now), starts, begun)))
    }
  }
  return { repair, dispatch }
}

/**
 * Planning a day: the first plan, a proven plan of up to four dishes, twelve dishes, and repairing after a late step.
 *
 * @returns figures, ms
 */
export function planning(): Figure[] {
  const days = readdirSync(FOLDER)
    .filter(name => name.endsWith('.json') && name !== 'best.json')
    .map(name => DaySchema.parse(JSON.parse(readFileSync(`${FOLDER}/${name}`, 'utf8'))))
  const twelve = Array.from({ length: SEEDS }, (_, seed) => inventDay(seed + 1, TWELVE))
  firstPlan(days[5]!)
  const first = days.map(firstPlan)
  const building = days.map(day => ms(() => void new DayModel(day)))
  const proofs = days.filter(day => day.dishes.length <= 4).map(day => ms(() => {
    const solver = new DaySolver(day)
    while (!solver.done) solver.step(() => false)
  }))
  const many = twelve.map(firstPlan)
  const { repair, dispatch } = repairs(days)
  return [
    {
      name: 'first plan, fifteen days, slowest',
      value: Math.max(...first),
      unit: 'ms',
      ratio: Math.max(...first) / Math.max(...building),
      limit: '< 150 ms; ratio to building the model alone',
    },
    {
      name: 'proven plan, up to four dishes, median',
      value: median(proofs),
      unit: 'ms',
      ratio: null,
      limit: '< 500 ms',
    },
    {
      name: 'first plan, twelve dishes, slowest of eight days',
      value: Math.max(...many),
      unit: 'ms',
      ratio: null,
      limit: '< 1000 ms',
    },
    {
      name: 'repair after a late step, 95th percentile',
      value: percentile95(repair),
      unit: 'ms',
      ratio: percentile95(repair) / percentile95(dispatch),
      limit: '<= 100 ms; ratio to plain dispatch',
    },
  ]
}
