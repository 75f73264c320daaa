import { oneNormal } from '../core/maths/random/fillNormal'
import { INGREDIENTS } from '../book/ingredients'
import { firstBelief } from '../core/process/belief/firstBelief'
import type { Evidence } from '../core/materials/belief/reading'
import type { Dish } from '../core/formulation/dish/dish'
import { doneIndex } from '../core/formulation/dish/doneIndex'
import { mainLine } from '../core/formulation/dish/mainLine'
import { mainVessel } from '../core/formulation/dish/mainVessel'
import { forecastCook } from '../core/process/forecast/forecastCook'
import { forecastToKeep } from '../core/process/forecast/forecastToKeep'
import type { CookPlan } from '../core/record/plan/plan'
import { planCook } from '../core/cook/planning/planCook'
import { seededRandom } from '../core/maths/random/seededRandom'
import { runImaginary } from '../devices/imaginaryPan'
import { Story, type CookedBatch } from './cookBatch'
import { DEMO_KITCHEN, type Afterwards } from './house'
import { houseTruth } from './houseTruth'

/** One past batch of a dish of another family. */
export interface OtherBatch {
  readonly dish: string
  readonly daysAgo: number
  readonly hour: number
  readonly baseG: number
  /** When it was taken off, over when it was done. */
  readonly endLate: number
  readonly faults: readonly string[]
  readonly line: string
  readonly after?: readonly Afterwards[]
}

/** Batches of other families: invented days of the same house. */
export const OTHER_BATCHES: readonly OtherBatch[] = [
  { dish: 'marble-gram-balls', daysAgo: 79, hour: 15, baseG: 300, endLate: 1.02, faults: [], line: 'Forty of them, two tins full.' },
  { dish: 'winter-market-carrot', daysAgo: 48, hour: 16, baseG: 850, endLate: 1.05, faults: [], line: 'Two glasses of patience.' },
  { dish: 'brick-kiln-wheat', daysAgo: 31, hour: 7, baseG: 180, endLate: 1, faults: ['greasy'], line: 'A spoon of ghee too many.' },
  { dish: 'tide-line-coconut', daysAgo: 18, hour: 20, baseG: 280, endLate: 1.04, faults: [], line: 'Cut into diamonds while the rain came down.' },
  { dish: 'winter-market-carrot', daysAgo: 8, hour: 17, baseG: 1000, endLate: 0.85, faults: ['runny'], line: 'Guests at the door before it had tightened.', after: [[0.5, 'liked', { sweetness: 'right', softness: 'less' }], [17, 'dish.changed', { dish: 'winter-market-carrot', version: 2, fault: 'runny', cause: 'off-early' }], [18, 'gone', {}]] },
  { dish: 'marble-gram-balls', daysAgo: 3, hour: 16, baseG: 260, endLate: 1, faults: [], line: 'Rolled with both aunts at the table.', after: [[0.4, 'shaped', { way: 'balls', eachG: 28 }], [5, 'given.out', { massG: 168, to: 'eaten' }], [26, 'given.out', { massG: 140, to: 'given' }], [27, 'liked', { sweetness: 'right', softness: 'right', richness: 'right' }]] },
  {
    dish: 'winter-market-carrot', daysAgo: 1.15, hour: 0, baseG: 900, endLate: 1.02, faults: [], line: '',
    after: [[0.6, 'given.out', { massG: 360, to: 'eaten' }], [1.2, 'put.away', { place: 'cold' }], [2, 'liked', { sweetness: 'less', softness: 'right', richness: 'right' }]],
  },
  {
    dish: 'diamond-cashew', daysAgo: 0.055, hour: 0, baseG: 300, endLate: 1, faults: [], line: '',
    after: [[0.06, 'step.done', { stage: 'spread' }], [0.07, 'shaped', { way: 'tray', tray: { name: 'Baking tin', shape: 'rectangle', widthMm: 180, lengthMm: 240, depthMm: 35 }, cut: { firstMm: 240 / 7, secondMm: 240 / 7, turnDeg: 0, slantDeg: 60 } }]],
  },
]

/** Error of a tap in log time since the stage began, and of the scale, g. */
const TAP_NOISE = 0.08
/** Longest that anybody stands at one stage, s. */
const MOST_STAGE_S = 5400
const SCALE_NOISE = 5

/**
 * Cooks one past batch of any family against an imaginary pan with hidden truths: the house goes on when it sees the sign.
 *
 * @param dish with its stages
 * @param batch how the day went
 * @param evidence what earlier batches have taught
 * @param startedAt ms since 1970
 * @param seed of the day's chance
 * @returns plan and observations
 */
export function cookOtherBatch(dish: Dish, batch: OtherBatch, evidence: readonly Evidence[], startedAt: number, seed: number): CookedBatch {
  const uniform = seededRandom(seed)
  const find = <T extends { readonly id: string }>(list: readonly T[], id: string): T => list.find(one => one.id === id)!
  const every = <T>(main: T, other: T): Record<string, T> => Object.fromEntries(dish.vessels.map(vessel => [vessel.id, vessel.kind === 'pan' ? main : other]))
  const planned = (learned: readonly Evidence[]): CookPlan => planCook(`demo-${seed}`, {
    dish, baseG: batch.baseG, ingredients: INGREDIENTS, cup: find(DEMO_KITCHEN.measures, 'glass'),
    pans: every(find(DEMO_KITCHEN.pans, 'wide'), find(DEMO_KITCHEN.pans, 'milk-pot')), fires: every(find(DEMO_KITCHEN.fires, 'front'), find(DEMO_KITCHEN.fires, 'back')),
    flames: {}, people: 8, firstBelief: firstBelief(), evidence: learned, seed, airC: 26, altitudeM: 240,
  }, startedAt - 15 * 60_000)
  const bare = planned(evidence)
  const plan = { ...bare, forecast: forecastToKeep(forecastCook(bare, [], 0, 300)) }
  const day = (spread: number): number => Math.exp(spread * oneNormal(uniform))
  const truth = houseTruth(planned([]), day)
  const story = new Story(plan.id, startedAt, uniform)
  const line = mainLine(dish)
  const done = doneIndex(dish)
  let nowS = 0
  story.tell(0, 'cook.started', {})
  line.forEach((stage, k) => {
    const record = runImaginary(plan, truth, story.told, nowS)
    const ends = k + 1 < line.length ? record.starts[k + 1]! : record.ends[0]!
    const tookS = Math.min(MOST_STAGE_S, Math.max(5, ends - nowS)) * (k + 1 === done ? batch.endLate : 1)
    if ('sign' in stage.until) story.tell(nowS + Math.max(2, Math.min(tookS * day(TAP_NOISE), tookS - 2)), 'sign.seen', { sign: stage.until.sign })
    nowS += tookS
    const next = line[k + 1]
    if (next) story.tell(nowS, 'stage.began', { stage: next.id })
    if (k + 1 === done) {
      const vessel = mainVessel(dish)
      const weighed = story.tell(nowS + 1.5, 'weighed', { vessel, grossG: 1 })
      const content = runImaginary(plan, truth, story.told, weighed + 1).readings[0]!
      Object.assign(story.told.find(one => one.kind === 'weighed')!.payload, { grossG: Math.round(content + plan.vessels[vessel]!.vessel.massG + SCALE_NOISE * oneNormal(uniform)) })
    }
  })
  story.tell(nowS + 20, 'cook.finished', {})
  story.tell(nowS + 90, 'outcome', { faults: batch.faults, line: batch.line })
  return { plan, observations: story.told }
}
