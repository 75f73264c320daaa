import { activityOf, mealOf } from '../problem/parts'
import { entryAt, fieldAt, known } from '../../maths/table/itemAt'
import { logNormal, triangular } from '../../maths/random/drawnTime'
import type { Uniform } from '../../maths/random/seededRandom'
import { handsOf, vesselsOf } from '../problem/checkPlan'
import type { HotPour, Activity, Day, DayDish, Starts } from '../problem/day'
import { holdsOf } from '../problem/holdsOf'
import { planCost } from '../problem/planCost'

/** What happened in many tries of one plan. */
export interface DayTries {
  readonly tries: number
  /** Tries in which a meal was more than five minutes late; meals, late meals and minutes of the latest tenth. */
  readonly lateTries: number
  readonly meals: number
  readonly lateMeals: number
  /** Pours, and those whose liquid had cooled too long. */
  readonly pours: number
  readonly coldPours: number
  /** Bases that stood roasted longer than they bear before the pour. */
  readonly waitedBases: number
  /** Mean minutes present, summed over the meals. */
  readonly spanMin: number
  /** Steps in the order of how often they began more than five minutes after their time. */
  readonly tightest: readonly { readonly step: string, readonly lateTries: number }[]
}

/** Late is more than this, minutes. */
const LATE_MIN = 5
/** A step follows at once if what it waits for bears no longer than this, minutes. */
const AT_ONCE_MIN = 20
/**
 * Half-width of the error of what the roast's cue says is left, as a share of what is left (estimate; see the model's
 * windows after two taps).
 */
const CUE_ERROR = 0.25
/** The liquid is meant to be hot this long before the pour, or half as long as it may stand, minutes. */
const HOT_BEFORE_MIN = 4

/** One step as it is carried out. */
interface Run {
  readonly step: string
  readonly dish: DayDish
  readonly activity: Activity
  readonly planned: number
  readonly lasts: number
  readonly cook: number | null
  start: number | null
  end: number
}

/**
 * Tries a plan many times with durations drawn from triangles on shortest, likely and longest, or, where those are
 * percentiles, from a log-normal with each half's own width; each independent. The
 * cooks keep the planned order, begin no step before its time unless it follows at once on the one before, and light a
 * liquid on the roast's cue.
 *
 * @param day with its own, unpadded durations
 * @param plan start minutes, of the day or of a padded one
 * @param planned the day the plan was made for
 * @param tries how many
 * @param uniform chance
 */
export function simulateDay(day: Day, plan: Starts, planned: Day, tries: number, uniform: Uniform): DayTries {
  const sum = { lateTries: 0, lateMeals: 0, pours: 0, coldPours: 0, waitedBases: 0, span: 0 }
  const lateSteps = new Map<string, number>()
  const team = teamOf(planned, plan)
  for (let i = 0; i < tries; i++) {
    const runs = carryOut(day, plan, team, uniform)
    const late = new Set(
      runs.filter(run => run.activity.id === run.dish.sink && lateBy(day, run) > LATE_MIN).map(run => run.dish.meal),
    )
    sum.lateMeals += late.size
    if (late.size > 0) sum.lateTries++
    for (const dish of day.dishes) if (dish.hotPour) judgePour(dish, dish.hotPour, runs, plan, sum)
    const actual = Object.fromEntries(runs.map(run => [run.step, startedAt(run)]))
    sum.span += Object.values(planCost(day, actual).spans).reduce((a, b) => a + b, 0)
    for (const run of runs)
      if (startedAt(run) - run.planned > LATE_MIN) lateSteps.set(run.step, (lateSteps.get(run.step) ?? 0) + 1)
  }
  return {
    tries,
    lateTries: sum.lateTries,
    meals: tries * day.meals.filter(meal => day.dishes.some(dish => dish.meal === meal.id)).length,
    lateMeals: sum.lateMeals,
    pours: sum.pours,
    coldPours: sum.coldPours,
    waitedBases: sum.waitedBases,
    spanMin: sum.span / tries,
    tightest: [...lateSteps]
      .map(([step, count]) => ({ step, lateTries: count }))
      .sort((a, b) => b.lateTries - a.lateTries),
  }
}

function lateBy(day: Day, run: Run): number {
  return run.end + run.dish.ready - mealOf(day, run.dish).at
}

function startedAt(run: Run): number {
  return known(run.start, run.step)
}

function judgePour(
  dish: DayDish,
  hotPour: HotPour,
  runs: readonly Run[],
  plan: Starts,
  sum: { pours: number, coldPours: number, waitedBases: number },
): void {
  const { heat, pour, max } = hotPour
  const of = (id: string): Run => known(runs.find(run => run.dish === dish && run.activity.id === id), id)
  const hot = plan[`${dish.id}.reheat`] === undefined ? of(heat) : of('reheat')
  const pours = of(pour)
  sum.pours++
  if (startedAt(pours) - hot.end > max) sum.coldPours++
  const base = dish.lags.find(lag => lag.to === pour && lag.kind === 'hotbase')
  if (base && base.max !== null && startedAt(pours) - of(base.from).end > base.max) sum.waitedBases++
}

/** Who does what and in which vessel, as planned. */
interface Team {
  readonly hands: ReadonlyMap<string, number>
  readonly vessels: readonly { readonly first: string, readonly last: string, readonly vessel: string }[]
}

function teamOf(planned: Day, plan: Starts): Team {
  const busy = planned.dishes.flatMap(dish => activitiesOf(dish, plan).map((activity) => {
    const step = `${dish.id}.${activity.id}`
    return { step, from: fieldAt(plan, step), to: fieldAt(plan, step) + activity.dur[1], activity }
  }))
  const holds = planned.dishes.flatMap(dish =>
    holdsOf(dish).map(hold => ({
      need: hold.need,
      step: `${dish.id}.${hold.first}`,
      last: `${dish.id}.${hold.last}`,
      from: fieldAt(plan, `${dish.id}.${hold.first}`),
      to:
        fieldAt(plan, `${dish.id}.${hold.last}`)
        + activityOf(dish, hold.last).dur[1]
        + (planned.washMin ?? 0),
    })),
  )
  const taken = vesselsOf(planned, holds)
  return {
    hands: handsOf(planned, busy) ?? new Map(),
    vessels: holds.map(hold => ({ first: hold.step, last: hold.last, vessel: taken?.get(hold) ?? '' })),
  }
}

function activitiesOf(dish: DayDish, plan: Starts): Activity[] {
  if (plan[`${dish.id}.reheat`] === undefined || !dish.hotPour) return [...dish.activities]
  const heat = activityOf(dish, dish.hotPour.heat)
  return [...dish.activities, { ...heat, id: 'reheat', dur: dish.hotPour.reheat.dur, burner: 1, grinder: 0 }]
}

/** Carries a plan out once, minute by minute. */
function carryOut(day: Day, plan: Starts, team: Team, uniform: Uniform): Run[] {
  const runs = day.dishes.flatMap(dish => activitiesOf(dish, plan).map((activity): Run => {
    const step = `${dish.id}.${activity.id}`
    return {
      step,
      dish,
      activity,
      planned: fieldAt(plan, step),
      lasts: Math.max(1, Math.round((day.spans === 'percentiles' ? logNormal : triangular)(activity.dur, uniform))),
      cook: team.hands.get(step) ?? null,
      start: null,
      end: Infinity,
    }
  })).sort((a, b) => a.planned - b.planned)
  const byStep = new Map(runs.map(run => [run.step, run]))
  const cues = new Map(runs.map(run => [run.step, 1 + CUE_ERROR * (uniform() + uniform() - 1)]))
  let left = runs.length
  for (let minute = runs[0]?.planned ?? 0; left > 0 && minute < day.horizon + 1440; minute++) {
    for (const run of runs) {
      if (run.start !== null || !mayBegin(day, run, minute, runs, byStep, plan, team, entryAt(cues, run.step))) continue
      run.start = minute
      run.end = minute + run.lasts
      left--
    }
  }
  return runs
}

function mayBegin(
  day: Day,
  run: Run,
  minute: number,
  runs: readonly Run[],
  byStep: ReadonlyMap<string, Run>,
  plan: Starts,
  team: Team,
  cue: number,
): boolean {
  const { dish, activity } = run
  let atOnce = false
  for (const lag of dish.lags) {
    if (lag.to !== activity.id) continue
    const before = entryAt(byStep, `${dish.id}.${lag.from}`)
    if (minute < before.end + lag.min) return false
    if (lag.max !== null && lag.max <= AT_ONCE_MIN) atOnce = true
  }
  for (const link of day.links ?? [])
    if (link.to === run.step && minute < entryAt(byStep, link.from).end + link.min) return false
  const { hotPour } = dish
  if (hotPour) {
    const again = plan[`${dish.id}.reheat`] !== undefined
    const source = entryAt(byStep, `${dish.id}.${again ? 'reheat' : hotPour.heat}`)
    if (activity.id === hotPour.pour) {
      if (minute < source.end) return false
      atOnce = true
    }
    if (run === source) {
      if (again && minute < entryAt(byStep, `${dish.id}.${hotPour.heat}`).end) return false
      const pours = pourExpected(entryAt(byStep, `${dish.id}.${hotPour.pour}`), source, minute, runs, byStep, cue)
      return (
        minute >= pours - activity.dur[1] - Math.min(HOT_BEFORE_MIN, hotPour.max / 2)
        && isFree(day, run, minute, runs, team, byStep)
      )
    }
  }
  return (atOnce || minute >= run.planned) && isFree(day, run, minute, runs, team, byStep)
}

/**
 * When a pour is expected, as it looks at a minute: after all it waits for, and after what its cook has to do before.
 * What is going on is forecast with an error in what is left; what has not begun takes its likely time.
 */
function pourExpected(
  pour: Run,
  liquid: Run,
  minute: number,
  runs: readonly Run[],
  byStep: ReadonlyMap<string, Run>,
  cue: number,
): number {
  let expected = minute
  const before = new Set(
    pour.dish.lags
      .filter(lag => lag.to === pour.activity.id)
      .map(lag => entryAt(byStep, `${pour.dish.id}.${lag.from}`)),
  )
  for (const run of runs)
    if (run.cook !== null && run.cook === pour.cook && run.planned < pour.planned && run.activity.hands === 1)
      before.add(run)
  before.delete(liquid)
  let free = minute
  for (const run of [...before].sort((a, b) => a.planned - b.planned)) {
    if (run.end <= minute) continue
    const ends =
      run.start === null
        ? Math.max(run.planned, minute, run.activity.hands === 1 ? free : 0) + run.activity.dur[1]
        : minute + (run.end - minute) * cue
    if (run.activity.hands === 1) free = ends
    expected = Math.max(expected, ends)
  }
  return expected
}

function isFree(
  day: Day,
  run: Run,
  minute: number,
  runs: readonly Run[],
  team: Team,
  byStep: ReadonlyMap<string, Run>,
): boolean {
  const going = runs.filter(other => other.start !== null && other.start <= minute && other.end > minute)
  if (run.activity.burner > 0 && going.filter(other => other.activity.burner > 0).length >= day.burners) return false
  if (
    run.cook !== null
    && going
      .filter(other => other.cook === run.cook)
      .reduce((sum, other) => sum + Number(other.activity.hands), Number(run.activity.hands)) > 1
  )
    return false
  if (
    run.cook !== null
    && day.away.some(away => (away.cook === 'all' || away.cook === run.cook) && away.from <= minute && minute < away.to)
  )
    return false
  return team.vessels.every(held => {
    if (held.first !== run.step) return true
    return team.vessels.every(
      other =>
        other === held
        || other.vessel !== held.vessel
        || entryAt(byStep, other.first).start === null
        || (entryAt(byStep, other.last).end !== Infinity
          && entryAt(byStep, other.last).end + (day.washMin ?? 0) <= minute),
    )
  })
}
