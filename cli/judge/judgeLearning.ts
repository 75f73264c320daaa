import { oneNormal } from '../../core/maths/random/fillNormal'
import { STARTER_DISHES } from '../../book/dishes'
import { settleCook } from '../../core/cook/batch/settleCook'
import type { Evidence } from '../../core/materials/belief/reading'
import type { MemberValues } from '../../core/process/belief/memberValues'
import { daySpread } from '../../core/materials/belief/steadiness'
import { stageDish } from '../../core/formulation/stages/stageDish'
import { doneIndex } from '../../core/formulation/dish/doneIndex'
import { FAMILY_IDS } from '../../core/formulation/family/family'
import { forecastCook } from '../../core/process/forecast/forecastCook'
import type { Window } from '../../core/maths/random/window'
import { pivotWatts } from '../../core/process/belief/pivotWatts'
import { SIGNS } from '../../core/process/engine/signs'
import { stepVessel } from '../../core/process/engine/stepVessel'
import { seededRandom, type Uniform } from '../../core/maths/random/seededRandom'
import { drawHousehold, drawOccasion, planOf, truthOfDay, type Household, type Occasion } from './household'
import { mark, runTruth, startOf, storyOf, tapsOf, targetsOf } from './judgeCook'
import { withUsualMinutes } from './usualOf'

/**
 * How good the forecasts are that are made before a batch, after so many were cooked: shares held, median widths over
 * the middle, median errors in log.
 */
export interface LearntAfter {
  readonly batches: number
  readonly roast: Figures
  readonly dish: Figures
  readonly weight: Figures
}
interface Figures { readonly held: number, readonly width: number, readonly error: number, readonly count: number }
interface Seen {
  readonly of: 'roast' | 'dish' | 'weight'
  readonly batches: number
  readonly held: boolean
  readonly width: number
  readonly error: number
}

/** Batches a household cooks of its dish, three days apart. */
const BATCHES = 6
const APART_MS = 3 * 86_400_000
const MEMBERS = 120
/** Numbers that scatter from day to day beside the fire. */
const SCATTER = [
  'browningRate',
  'aromaDose',
  'uptake',
  'softening',
  'wetPace',
  'roastPace',
  'pourTime',
  'heatLoss',
  'surface',
] as const

/**
 * Lets imaginary households cook one dish again and again, in other amounts, pans and flames, with one or two noisy
 * taps and nothing weighed, and holds the forecast made before each batch against it.
 *
 * @param households how many
 * @returns figures by how many batches had been learned from
 */
export function judgeLearning(households: number): LearntAfter[] {
  const seen = Array.from({ length: households }, (_, i) => cookOften(i)).flat()
  const figures = (of: Seen['of'], batches: number): Figures => {
    const found = seen.filter(one => one.of === of && one.batches === batches)
    return {
      held: found.filter(one => one.held).length / Math.max(1, found.length),
      width: median(found.map(one => one.width)),
      error: median(found.map(one => one.error)),
      count: found.length,
    }
  }
  return Array.from({ length: BATCHES + 1 }, (_, batches) => ({
    batches,
    roast: figures('roast', batches),
    dish: figures('dish', batches),
    weight: figures('weight', batches),
  }))
}

function cookOften(i: number): Seen[] {
  const family = FAMILY_IDS[i % FAMILY_IDS.length]!
  const cards = STARTER_DISHES.filter(card => card.family === family)
  const dish = withUsualMinutes(stageDish(cards[Math.floor(i / FAMILY_IDS.length) % cards.length]!), stepVessel, 77)
  const uniform = seededRandom(40_000 + i)
  const household = drawHousehold(uniform)
  const taught: { readonly evidence: Evidence, readonly batch: number }[] = []
  return Array.from({ length: BATCHES + 1 }, (_, batches) => {
    const occasion = drawOccasion(dish, uniform)
    const truth = hiddenOn(household, occasion, i, uniform)
    const known = taught.map(({ evidence, batch }) => ({
      ...evidence,
      when: (evidence.when ?? 0) - (batches - batch) * APART_MS,
    }))
    const plan = { ...planOf(occasion, known, 900 + 10 * i + batches), id: `household-${i}-batch-${batches}` }
    const happened = runTruth(plan, truth, stepVessel)
    const done = doneIndex(plan.dish)
    if (!Number.isFinite(startOf(happened, done))) return []
    const forecast = forecastCook(plan, [], 0, MEMBERS)
    const story = [
      ...storyOf(plan, happened),
      ...tapsOf(plan, happened, uniform).map((tap, k) =>
        mark(50 + k, tap.timeS, 'sign.seen', { sign: SIGNS[tap.sign] }),
      ),
      mark(60, happened.ends[0]!, 'cook.finished', {}),
    ]
    taught.push(...settleCook(plan, story).evidence.map(evidence => ({ evidence, batch: batches })))
    const held = (of: Seen['of'], value: number, window: Window): Seen => ({
      of,
      batches,
      held: value >= window.early && value <= window.late,
      width: (window.late - window.early) / window.middle,
      error: Math.abs(Math.log(value / window.middle)),
    })
    return [
      ...targetsOf(plan, happened).map(target => held(target.of, target.timeS, forecast.stages[target.stage]!)),
      held('weight', happened.masses[Math.min(done, happened.stages - 1)]!, forecast.finishedG),
    ]
  }).flat()
}

/** The household's lasting numbers with the scatter of one day. */
function hiddenOn(household: Household, occasion: Occasion, seed: number, uniform: Uniform): MemberValues {
  const bare = planOf(occasion, [], 500 + seed)
  const truth = truthOfDay(household, bare, pivotWatts(bare), uniform)
  for (const name of SCATTER) truth[name] *= Math.exp(daySpread(name) * oneNormal(uniform))
  truth.kept = Math.min(0.99, Math.max(0.03, truth.kept + daySpread('kept') * oneNormal(uniform)))
  return truth
}

function median(values: readonly number[]): number {
  return [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? 0
}
