import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { DaySchema, StartsSchema } from '../../contracts/day'
import { z } from 'zod'
import { checkDay } from '../../core/day/problem/checkDay'
import { checkPlan } from '../../core/day/problem/checkPlan'
import { clashOf } from '../../core/day/planning/clashOf'
import type { Day, Starts } from '../../core/day/problem/day'
import { planCost } from '../../core/day/problem/planCost'
import { DaySolver } from '../../core/day/planning/solveDay'
import { clashText, DAY_TROUBLE_WORDS } from '../../words/spread'
import { inventDay } from './inventDay'
import { judgeTries, type JudgedTries } from './judgeTries'

/** Seconds at which the best cost so far is noted, and the longest a day is given. */
const NOTED_S = [0.15, 0.5, 2, 10] as const
const LONGEST_S = 20

/** What came of one day. */
export interface JudgedDay {
  readonly id: string
  readonly cost: number | null
  readonly bound: number
  readonly proven: boolean
  readonly seconds: number
  /** Seconds until the first plan. */
  readonly firstS: number | null
  /** Cost of the best plan after so many seconds. */
  readonly costAt: Readonly<Record<string, number | null>>
  /** Cost of the best plan known from elsewhere, where the folder holds `best.json`. */
  readonly best: number | null
  readonly late: Readonly<Record<string, number>>
  /**
   * Troubles of the day, what cannot be had together, or breaches found by the independent checker; empty for a plan
   * that can be done.
   */
  readonly breaches: readonly string[]
  readonly plan: Starts
  /**
   * How a plan with room stands its tries; absent where that was not asked for, null where a meal cannot be kept so.
   */
  readonly tried?: JudgedTries | null
}

const BestSchema = z.object({ instances: z.array(z.object({ id: z.string(), best: z.number(), plan: StartsSchema })) })

/** Plans one day for at most some seconds, on the clock of the machine. */
export function judgeDay(day: Day, longestS = LONGEST_S, best: number | null = null): JudgedDay {
  const troubles = checkDay(day)
  const empty = {
    id: day.id,
    cost: null,
    bound: 0,
    proven: false,
    seconds: 0,
    firstS: null,
    costAt: {},
    best,
    late: {},
    plan: {},
  }
  if (troubles.length > 0)
    return {
      ...empty,
      breaches: troubles.map(({ code, about }) => `${code} ${about}: ${DAY_TROUBLE_WORDS[code](about)}`),
    }
  const began = performance.now()
  const seconds = (): number => (performance.now() - began) / 1000
  const costAt: Record<string, number | null> = {}
  let firstS: number | null = null
  const solver = new DaySolver(day)
  let cost: number | null = null
  const note = (): void => {
    const now = seconds()
    for (const at of NOTED_S) if (now > at && costAt[at] === undefined) costAt[at] = cost
    cost = solver.plan?.cost ?? null
    if (cost !== null) firstS ??= now
  }
  while (!solver.done && seconds() < longestS) {
    solver.step(() => seconds() > longestS)
    note()
  }
  const total = seconds()
  for (const at of NOTED_S) costAt[at] ??= cost
  if (!solver.plan) return { ...empty, seconds: total, breaches: whyNot(day, solver, total) }
  const { starts, late } = solver.plan
  const counted = planCost(day, starts, late).total
  const breaches = checkPlan(day, starts, late).map(breach => `${breach.kind} ${breach.step} ${breach.minute}`)
  if (Math.abs(counted - solver.plan.cost) > 0.011 * day.dishes.length) breaches.push(`cost ${counted}`)
  if (solver.bound > solver.plan.cost + 1e-9) breaches.push('below its bound')
  return {
    id: day.id,
    cost: solver.plan.cost,
    bound: solver.bound,
    proven: solver.proven,
    seconds: total,
    firstS,
    costAt,
    best,
    late,
    breaches,
    plan: starts,
  }
}

/** Why no plan was found, in words: what cannot be had together, or that there was no time to know. */
function whyNot(day: Day, solver: DaySolver, seconds: number): string[] {
  const nothing = `no plan was found in ${seconds.toFixed(1)} s, nor was it proven that there is none: give it longer`
  if (!solver.impossible) return [nothing]
  const steps = clashOf(day, () => performance.now() / 1000)
  for (;;) {
    const { done, value } = steps.next()
    if (!done) continue
    return value ? [clashText(value, about => about)] : ['no plan fits; what stands against it was not found in time']
  }
}

/**
 * Plans every day of a folder and says how good the plans are; `best.json` beside them holds plans known from
 * elsewhere.
 *
 * @param folder days in schema 1 (`docs/formats.md`), one a file
 * @param longestS seconds a day may take
 * @param withTries whether plans with room are made and tried too
 */
export function judgePlans(
  folder: string,
  longestS = LONGEST_S,
  withTries = true,
): { days: JudgedDay[], summary: Record<string, number> } {
  const files = readdirSync(folder)
    .filter(name => name.endsWith('.json') && name !== 'best.json')
    .sort()
  const best = new Map(
    readdirSync(folder).includes('best.json')
      ? BestSchema.parse(JSON.parse(readFileSync(join(folder, 'best.json'), 'utf8'))).instances.map(
          one => [one.id, one.best] as const,
        )
      : [],
  )
  const days = files.map(name => {
    const day = DaySchema.parse(JSON.parse(readFileSync(join(folder, name), 'utf8')))
    const judged = judgeDay(day, longestS, best.get(day.id) ?? null)
    return withTries && judged.cost !== null ? { ...judged, tried: judgeTries(day, judged.plan) } : judged
  })
  return { days, summary: summaryOf(days) }
}

/**
 * Plans invented days and says how good the plans are.
 *
 * @param dishes on each day
 * @param seeds how many days, from seed 1
 * @param longestS seconds a day may take
 */
export function judgeInvented(
  dishes: number,
  seeds: number,
  longestS: number,
): { days: JudgedDay[], summary: Record<string, number> } {
  const days = Array.from({ length: seeds }, (_, index) => judgeDay(inventDay(index + 1, dishes), longestS))
  return { days, summary: summaryOf(days) }
}

/** Counts over judged days; gaps are (cost - bound) / cost; what comes of tries is the mean over the days. */
export function summaryOf(days: readonly JudgedDay[]): Record<string, number> {
  const planned = days.filter(day => day.cost !== null)
  const near = (share: number, at: string): number =>
    planned.filter(
      day => day.best !== null && day.costAt[at] !== null && day.costAt[at]! <= day.best * (1 + share) + 1e-9,
    ).length
  const gaps = planned.map(day => (day.cost! - day.bound) / Math.max(1, day.cost!)).sort((a, b) => a - b)
  const tried = days.flatMap(day => (day.tried ? [day.tried] : []))
  const mean = (of: (one: JudgedTries) => number): number => tried.reduce((sum, one) => sum + of(one), 0) / tried.length
  return {
    days: days.length,
    planned: planned.length,
    proven: days.filter(day => day.proven).length,
    breaches: days.reduce((sum, day) => sum + day.breaches.length, 0),
    bestAtHalfSecond: near(0, '0.5'),
    within2PercentAt2Seconds: near(0.02, '2'),
    bestAtEnd: planned.filter(day => day.best !== null && day.cost! <= day.best + 1e-9).length,
    belowBest: planned.filter(day => day.best !== null && day.cost! < day.best - 1e-9).length,
    medianGap: gaps[gaps.length >> 1] ?? 0,
    slowestFirstS: Math.max(0, ...planned.map(day => day.firstS ?? 0)),
    slowestS: Math.max(0, ...days.map(day => day.seconds)),
    ...(tried.length > 0
      ? {
          tried: tried.length,
          lateMeals: mean(one => one.lateMeals),
          coldPours: mean(one => one.coldPours),
          waitedBases: mean(one => one.waitedBases),
          longer: mean(one => one.longer),
          bareLateTries: mean(one => one.bareLateTries),
        }
      : {}),
  }
}
