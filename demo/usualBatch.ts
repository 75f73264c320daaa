import { INGREDIENTS } from '../book/ingredients'
import { firstBelief } from '../core/belief/firstBelief'
import type { Evidence } from '../core/belief/evidence'
import type { Dish } from '../core/dish/dish'
import { doneIndex } from '../core/dish/doneIndex'
import { mainLine } from '../core/dish/mainLine'
import { mainVessel } from '../core/dish/mainVessel'
import { forecastCook } from '../core/forecast/forecastCook'
import { planCook } from '../core/live/planCook'
import { seededRandom } from '../core/random/seededRandom'
import { usualSeconds } from '../core/usual/usualSeconds'
import { normal } from '../devices/imaginaryPan'
import { Story, type CookedBatch } from './cookBatch'
import { DEMO_KITCHEN } from './house'

/** One past batch of a dish that is forecast on usual minutes. */
export interface UsualBatch {
  readonly dish: string
  readonly daysAgo: number
  readonly hour: number
  readonly baseG: number
  /** How this house runs against the usual minutes. */
  readonly pace: number
  readonly faults: readonly string[]
  readonly line: string
}

/** Batches of other families: invented days of the same house. */
export const USUAL_BATCHES: readonly UsualBatch[] = [
  { dish: 'marble-gram-balls', daysAgo: 79, hour: 15, baseG: 300, pace: 1.15, faults: [], line: 'Forty of them, two tins full.' },
  { dish: 'winter-market-carrot', daysAgo: 48, hour: 16, baseG: 850, pace: 1.1, faults: [], line: 'Two glasses of patience.' },
  { dish: 'brick-kiln-wheat', daysAgo: 31, hour: 7, baseG: 180, pace: 0.9, faults: ['greasy'], line: 'A spoon of ghee too many.' },
  { dish: 'tide-line-coconut', daysAgo: 18, hour: 20, baseG: 280, pace: 1, faults: [], line: 'Cut into diamonds while the rain came down.' },
  { dish: 'winter-market-carrot', daysAgo: 8, hour: 17, baseG: 1000, pace: 1.2, faults: ['runny'], line: 'Guests at the door, off the fire too soon.' },
]

/** Scatter of a stage on its day, in log time, and of the scale, g. */
const SCATTER = 0.14
const SCALE_NOISE = 5

/**
 * Cooks one past batch along the usual minutes of its dish with the day's own pace.
 *
 * @param dish with its stages
 * @param batch how the day went
 * @param evidence what earlier batches have taught
 * @param startedAt ms since 1970
 * @param seed of the day's chance
 * @returns plan and observations
 */
export function cookUsualBatch(dish: Dish, batch: UsualBatch, evidence: readonly Evidence[], startedAt: number, seed: number): CookedBatch {
  const uniform = seededRandom(seed)
  const find = <T extends { readonly id: string }>(list: readonly T[], id: string): T => list.find(one => one.id === id)!
  const every = <T>(main: T, other: T): Record<string, T> => Object.fromEntries(dish.vessels.map(vessel => [vessel.id, vessel.kind === 'pan' ? main : other]))
  const bare = planCook(`demo-${seed}`, {
    dish, baseG: batch.baseG, ingredients: INGREDIENTS, cup: find(DEMO_KITCHEN.measures, 'glass'),
    pans: every(find(DEMO_KITCHEN.pans, 'wide'), find(DEMO_KITCHEN.pans, 'milk-pot')), fires: every(find(DEMO_KITCHEN.fires, 'front'), find(DEMO_KITCHEN.fires, 'back')),
    flames: {}, people: 8, firstBelief: firstBelief(), evidence, seed, airC: 26, altitudeM: 240,
  }, startedAt - 15 * 60_000)
  const plan = { ...bare, forecast: forecastCook(bare, [], 0, 300) }
  const story = new Story(plan.id, startedAt, uniform)
  const line = mainLine(dish)
  let nowS = 0
  story.tell(0, 'cook.started', {})
  line.forEach((stage, k) => {
    nowS += usualSeconds(plan, stage) * batch.pace * Math.exp(SCATTER * normal(uniform))
    const next = line[k + 1]
    if ('sign' in stage.until) story.tell(nowS - 8, 'sign.seen', { sign: stage.until.sign })
    if (next) story.tell(nowS, 'stage.began', { stage: next.id })
    if (k + 1 === doneIndex(dish)) {
      const vessel = mainVessel(dish)
      story.tell(nowS + 15, 'weighed', { vessel, grossG: Math.round(plan.forecast.finishedG.middle * (1 + 0.03 * normal(uniform)) + plan.vessels[vessel]!.vessel.massG + SCALE_NOISE * normal(uniform)) })
    }
  })
  story.tell(nowS + 20, 'cook.finished', {})
  story.tell(nowS + 90, 'outcome', { faults: batch.faults, line: batch.line })
  return { plan, observations: story.told }
}
