import { oneNormal } from '../core/maths/random/fillNormal'
import { INGREDIENTS } from '../book/ingredients'
import { firstBelief } from '../core/process/belief/firstBelief'
import type { Evidence } from '../core/materials/belief/reading'
import type { Dish } from '../core/formulation/dish/dish'
import { forecastCook } from '../core/process/forecast/forecastCook'
import { forecastToKeep } from '../core/process/forecast/forecastToKeep'
import type { SignId } from '../core/formulation/signs/signIds'
import type { CookPlan } from '../core/record/plan/plan'
import { planCook } from '../core/cook/planning/planCook'
import { seededRandom, type Uniform } from '../core/maths/random/seededRandom'
import { runImaginary, signAt } from '../devices/imaginaryPan'
import type { SentObservation } from '../contracts/observation'
import { DEMO_KITCHEN, HIDDEN, type DemoBatch } from './house'
import { houseTruth } from './houseTruth'

/** Error of a tap in log time, and of this house's scale, g. */
const TAP_NOISE = 0.08
const SCALE_NOISE = 4

/** A cooked demo batch: its plan and what was marked, with seconds since the start. */
export interface CookedBatch { readonly plan: CookPlan, readonly observations: readonly SentObservation[] }

/**
 * Cooks one past batch against an imaginary pan with hidden truths: the house taps what it would have seen.
 *
 * @param dish the dish
 * @param batch how the day went
 * @param evidence what earlier batches have taught
 * @param startedAt ms since 1970
 * @param seed of the day's chance
 * @returns plan and observations
 */
export function cookBatch(
  dish: Dish,
  batch: DemoBatch,
  evidence: readonly Evidence[],
  startedAt: number,
  seed: number,
): CookedBatch {
  const uniform = seededRandom(seed)
  const bare = planBatch(dish, batch, evidence, startedAt, seed)
  const plan = { ...bare, forecast: forecastToKeep(forecastCook(bare, [], 0, 300)) }
  const day = (spread: number): number => Math.exp(spread * oneNormal(uniform))
  const hidden = houseTruth(planBatch(dish, batch, [], startedAt, seed), day)
  const truth = { ...hidden, ...HIDDEN, mainFire: hidden.mainFire, otherFire: hidden.otherFire }
  const story = new Story(plan.id, startedAt, uniform)
  const happens = (nowS: number): ReturnType<typeof runImaginary> => runImaginary(plan, truth, story.told, nowS)
  const until = (sign: SignId, fromS: number, late: number): number => {
    const at = signAt(happens(fromS), sign)
    return fromS + (Math.min(at, fromS + 2400) - fromS) * late
  }
  story.tell(0, 'cook.started', {})
  const nutsS = story.tell(until('nuts-golden', 0, 1.03), 'stage.began', { stage: 'roast' })
  const lit = Math.max(nutsS + 5, plan.forecast?.sides[0]?.lightS ?? 240)
  const pourS = until('pale', nutsS, batch.pourLate)
  const aromaS = until('aroma', nutsS, 1)
  if (lit < pourS - 20) story.tell(lit, 'vessel.lit', { vessel: 'pot' })
  if (aromaS < pourS) story.tell(aromaS * day(TAP_NOISE), 'sign.seen', { sign: 'aroma' })
  const paleS = until('pale', nutsS, 1)
  if (paleS < pourS - 3) story.tell(paleS, 'looks.like', { step: 'pale' })
  story.tell(pourS, 'stage.began', { stage: 'pour' })
  const backS = story.tell(pourS + 55 * day(0.2), 'stage.began', { stage: 'take-up' })
  const takenS = story.tell(until('taken-up', backS, 1), 'stage.began', { stage: 'enrich' })
  const endS = story.tell(until('leaves-sides', takenS, batch.endLate), 'stage.began', { stage: 'rest' })
  if (batch.weighs) {
    const mass = happens(endS + 60).masses[5]!
    story.tell(endS + 12, 'weighed', {
      vessel: 'pan',
      grossG: Math.round(mass + plan.vessels.pan!.vessel.massG + SCALE_NOISE * oneNormal(uniform)),
    })
  }
  story.tell(endS + 310, 'cook.finished', {})
  story.tell(endS + 400, 'outcome', { faults: batch.faults, line: batch.line })
  return { plan, observations: story.told }
}

/** The plan of a batch, without a forecast. */
function planBatch(
  dish: Dish,
  batch: DemoBatch,
  evidence: readonly Evidence[],
  startedAt: number,
  seed: number,
): CookPlan {
  const find = <T extends { readonly id: string }>(list: readonly T[], id: string): T =>
    list.find(one => one.id === id)!
  return planCook(
    `demo-${seed}`,
    {
      dish,
      baseG: batch.baseG,
      ingredients: INGREDIENTS,
      cup: find(DEMO_KITCHEN.measures, 'glass'),
      pans: { pan: find(DEMO_KITCHEN.pans, batch.pan), pot: find(DEMO_KITCHEN.pans, 'milk-pot') },
      fires: { pan: find(DEMO_KITCHEN.fires, 'front'), pot: find(DEMO_KITCHEN.fires, 'back') },
      flames: { roast: batch.roast },
      people: Math.round(batch.baseG / 42),
      firstBelief: firstBelief(),
      evidence,
      seed,
      airC: 26,
      altitudeM: 240,
    },
    startedAt - 20 * 60_000,
  )
}

/** Collects what the house marks, in order of time. */
export class Story {
  readonly told: SentObservation[] = []
  constructor(private readonly stream: string, private readonly startedAt: number, private readonly uniform: Uniform) {}

  tell(timeS: number, kind: string, payload: Record<string, unknown>): number {
    const number = this.told.length + 1
    this.told.push({
      id: `${this.stream}-${number}`, device: 'kitchen-tablet', number,
      deviceTime: Math.round(this.startedAt + timeS * 1000 + this.uniform() * 400), kind, payload,
    })
    this.told.sort((p, q) => p.deviceTime - q.deviceTime)
    this.told.forEach((one, i) => Object.assign(one, { number: i + 1 }))
    return timeS
  }
}
