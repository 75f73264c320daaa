import { oneNormal } from '../../core/maths/random/fillNormal'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { STARTER_DISHES } from '../../book/dishes'
import { firstBelief } from '../../core/process/belief/firstBelief'
import type { MemberValues } from '../../core/process/belief/memberValues'
import { settleCook } from '../../core/cook/batch/settleCook'
import type { BatchRecord } from '../../core/cook/compare/difference'
import { boundaryIndex } from '../../core/formulation/dish/boundaryIndex'
import { doneIndex } from '../../core/formulation/dish/doneIndex'
import { mainLine } from '../../core/formulation/dish/mainLine'
import { mainVessel } from '../../core/formulation/dish/mainVessel'
import { sideStages } from '../../core/formulation/dish/sideStages'
import { stageDish } from '../../core/formulation/stages/stageDish'
import type { EndFault } from '../../core/cook/faults/faults'
import type { FaultCause } from '../../core/cook/faults/causes'
import { forecastCook } from '../../core/process/forecast/forecastCook'
import type { Observation } from '../../core/record/marks/observation'
import { planCook } from '../../core/cook/planning/planCook'
import type { CookPlan } from '../../core/record/plan/plan'
import { replay } from '../../core/record/replay/replay'
import { seededRandom, type Uniform } from '../../core/maths/random/seededRandom'
import { drawTruth, runImaginary, signAt } from '../../devices/imaginaryPan'
import { INJECTIONS, type Injection } from './injections'

/** A batch with one hidden cause, as its household wrote it down. */
export interface FaultyBatch { readonly record: BatchRecord, readonly cause: FaultCause, readonly fault: EndFault }

const STARTED = 1_790_000_000_000
const MEMBERS = 120
/** Error of a tap in log time since the stage began; how often something is tapped, weighed or told of, of ten. */
const TAP_NOISE = 0.1
const TAPPED = { aroma: 7, boil: 7, weighed: 7 } as const
const SCALE_G = 4
/** Longest at one stage, s. */
const MOST_STAGE_S = 3600
/** A household that has cooked some batches: what is believed of its things is so much narrower than at first. */
const COOKED_SOME = 0.5

/**
 * Cooks an imaginary batch with one injected cause. What is done stays out of its record but for what a household would
 * mark; the record is made by the same settling as any.
 *
 * @param seed of everything; the cause goes round with it
 * @returns the batch
 */
export function faultyBatch(seed: number): FaultyBatch {
  const injection = INJECTIONS[seed % INJECTIONS.length]!
  const uniform = seededRandom(7001 + seed)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)]!
  const dish = pick(injection.dishes)
  const balls = dish === 'marble-gram-balls'
  const faults = injection.faults.filter(fault => fault.startsWith('balls') === balls || injection.faults.length === 1)
  return {
    cause: injection.cause,
    fault: pick(faults.length > 0 ? faults : injection.faults),
    record: cookWith(injection, dish, uniform, seed),
  }
}

/**
 * A batch of the same household in which nothing went wrong.
 *
 * @param seed of everything
 * @param dish by its id
 * @returns its record
 */
export function soundBatch(seed: number, dish: string): BatchRecord {
  return cookWith({ cause: 'sour', dishes: [dish], faults: [] }, dish, seededRandom(90_001 + seed), seed)
}

function planOf(dish: string, injection: Injection, seed: number): CookPlan {
  const card = STARTER_DISHES.find(one => one.id === dish)!
  const staged = stageDish(card)
  const every = <T,>(pan: T, pot: T): Record<string, T> =>
    Object.fromEntries(staged.vessels.map(vessel => [vessel.id, vessel.kind === 'pan' ? pan : pot]))
  const thin = { ...FIRST_KITCHEN.pans[0]!, id: 'thin', name: 'Thin pan', material: 'aluminium' as const, massG: 480 }
  const belief = { entries: firstBelief().entries.map(entry => ({ ...entry, spread: entry.spread * COOKED_SOME })) }
  const bare = planCook(
    `faulty-${seed}`,
    {
      dish: staged,
      baseG: card.usual.baseG,
      ingredients: INGREDIENTS,
      cup: FIRST_KITCHEN.measures[0]!,
      pans: every(injection.thinPan ? thin : FIRST_KITCHEN.pans[0]!, FIRST_KITCHEN.pans[1]!),
      fires: every(FIRST_KITCHEN.fires[0]!, FIRST_KITCHEN.fires[1]!),
      flames: {},
      people: 6,
      firstBelief: belief,
      evidence: [],
      seed,
      airC: 26,
      altitudeM: 0,
    },
    STARTED - 1_200_000,
  )
  return { ...bare, forecast: forecastCook(bare, [], 0, MEMBERS) }
}

/** The plan as it really was: what was measured wrong is in it, and nowhere else. */
function really(plan: CookPlan, { amounts }: Injection, uniform: Uniform): CookPlan {
  if (!amounts) return plan
  const times = between(amounts.times, uniform)
  const wrong = new Set(
    plan.dish.ingredients.filter(one => one.part !== undefined && amounts.parts.includes(one.part)).map(one => one.id),
  )
  return { ...plan, amounts: plan.amounts.map(one => (wrong.has(one.id) ? { ...one, massG: one.massG * times } : one)) }
}

const between = ([least, most]: readonly [number, number], uniform: Uniform): number =>
  least + (most - least) * uniform()

function cookWith(injection: Injection, dish: string, uniform: Uniform, seed: number): BatchRecord {
  const plan = planOf(dish, injection, seed)
  const real = really(plan, injection, uniform)
  const truth = drawTruth(plan, uniform)
  const day = (spread: number): number => Math.exp(spread * oneNormal(uniform))
  const often = (times: number): boolean => uniform() * 10 < times
  const story = new Told()
  const happens = (nowS: number): ReturnType<typeof runImaginary> => runImaginary(real, truth, story.really, nowS)
  const line = mainLine(plan.dish)
  const turn = boundaryIndex(plan.dish, plan.dish.keystone)
  const done = doneIndex(plan.dish)
  const roast = line.findLastIndex(stage => stage.does === 'roast')
  story.tell(0, 'cook.started', {})
  lightSides(plan, injection, story, uniform)
  let nowS = 0
  line.forEach((stage, k) => {
    flames(plan, injection, { k, roast, turn, done }, story, nowS, often)
    const record = happens(nowS)
    const ends = k + 1 < line.length ? record.starts[k + 1]! : record.ends[0]!
    const needsS = Math.min(MOST_STAGE_S, Math.max(6, ends - nowS))
    const plannedS = plan.forecast!.stages[k + 1]!.middle - plan.forecast!.stages[k]!.middle
    const clocked = injection.byClock && 'sign' in stage.until && (k === roast || (k >= turn && k < done))
    const tookS = Math.max(
      4,
      (clocked ? plannedS : needsS)
        * cut(injection, stage.does, k, { roast, turn, done }, uniform)
        * ('sign' in stage.until ? day(TAP_NOISE) : day(0.15)),
    )
    if (k === roast && often(TAPPED.aroma)) {
      const aromaS = signAt(record, 'aroma')
      if (aromaS < nowS + tookS) story.tell(nowS + (aromaS - nowS) * day(TAP_NOISE), 'sign.seen', { sign: 'aroma' })
    }
    if (
      injection.unstirred
      && k === (injection.faults.length > 0 && roast >= 0 ? roast : turn)
      && often(injection.unstirred.toldOf)
    )
      story.tell(nowS + tookS * 0.7, 'unstirred', {
        seconds: Math.round(between(injection.unstirred.seconds, uniform)),
      })
    nowS += tookS
    const next = line[k + 1]
    if (next?.from !== undefined && often(TAPPED.boil)) {
      const boilS = boilOf(plan, real, truth, story, next.from, nowS)
      if (boilS < nowS - 2) story.tell(boilS * day(0.01), 'sign.seen', { sign: 'boil', vessel: next.from })
    }
    if (next) story.tell(nowS, 'stage.began', { stage: next.id })
  })
  weigh(plan, real, truth, story, nowS, often(TAPPED.weighed), SCALE_G * oneNormal(uniform))
  story.tell(nowS + 20, 'cook.finished', {})
  const observations = story.marked
  return { plan, cook: replay(plan, observations), summary: settleCook(plan, observations).summary }
}

interface Places { readonly roast: number, readonly turn: number, readonly done: number }

/** Times what a stage needs at which it is ended. */
function cut({ ends }: Injection, does: string, k: number, { roast, turn, done }: Places, uniform: Uniform): number {
  if (!ends) return 1
  const hits =
    ends.stage === 'roast'
      ? k === roast
      : ends.stage === 'cool'
        ? does === 'cool'
        : ends.stage === 'syrup'
          ? does === 'boil-syrup'
          : ends.stage === 'pour'
            ? does === 'pour'
            : k >= turn && k < done && does !== 'pour'
  return hits ? between(ends.times, uniform) : 1
}

function flames(
  plan: CookPlan,
  { flame }: Injection,
  at: Places & { readonly k: number },
  story: Told,
  nowS: number,
  often: (times: number) => boolean,
): void {
  const stage = mainLine(plan.dish)[at.k]!
  if (!flame || at.k !== (flame.where === 'roast' ? at.roast : Math.min(at.turn + 1, at.done - 1))) return
  const marks = plan.fires[stage.vessel]!.marks.map(one => one.id)
  const planned = marks.indexOf(plan.flames[stage.id] ?? '')
  const to = marks[Math.max(0, Math.min(marks.length - 1, planned + flame.marks))]!
  story.tell(nowS + 4, 'flame.changed', { vessel: stage.vessel, mark: to }, often(flame.toldOf))
}

function lightSides(plan: CookPlan, injection: Injection, story: Told, uniform: Uniform): void {
  for (const side of sideStages(plan.dish)) {
    const forecast = plan.forecast!.sides.find(one => one.vessel === side.vessel)
    if (!forecast) continue
    const meetsS = plan.forecast!.stages[forecast.meets]!.middle
    const share = injection.litLate && side.does === 'heat' ? between(injection.litLate, uniform) : 1.1
    story.tell(Math.max(3, meetsS - forecast.needs.middle * share - (injection.litLate ? 0 : 30)), 'vessel.lit', {
      vessel: side.vessel,
    })
  }
}

/** When another vessel really boiled: it is asked of the imaginary pan as its own clock runs on. */
function boilOf(
  plan: CookPlan,
  real: CookPlan,
  truth: MemberValues,
  story: Told,
  vessel: string,
  nowS: number,
): number {
  const lit = story.really.find(one => one.kind === 'vessel.lit' && one.payload.vessel === vessel)
  const needs = runImaginary(real, truth, story.really, nowS).needs[
    plan.forecast!.sides.findIndex(one => one.vessel === vessel)
  ]
  return lit === undefined || needs === undefined ? Infinity : (lit.deviceTime - STARTED) / 1000 + needs
}

function weigh(
  plan: CookPlan,
  real: CookPlan,
  truth: MemberValues,
  story: Told,
  nowS: number,
  told: boolean,
  noiseG: number,
): void {
  if (!told) return
  const vessel = mainVessel(plan.dish)
  const mark = story.tell(nowS + 1, 'weighed', { vessel, grossG: 1 })
  const content = runImaginary(real, truth, story.really, nowS + 2).readings[0]!
  Object.assign(mark.payload, { grossG: Math.round(content + plan.vessels[vessel]!.vessel.massG + noiseG) })
}

/** What happened, and of it what was marked. */
class Told {
  private readonly all: { readonly mark: Observation, readonly told: boolean }[] = []

  tell(timeS: number, kind: string, payload: Record<string, unknown>, told = true): Observation {
    const deviceTime = Math.round(STARTED + timeS * 1000)
    const mark: Observation = {
      id: `t-${this.all.length + 1}`,
      device: 'tablet',
      number: this.all.length + 1,
      deviceTime,
      sentAt: deviceTime,
      receivedAt: deviceTime,
      kind,
      payload,
    }
    this.all.push({ mark, told })
    return mark
  }

  private static inOrder(marks: readonly Observation[]): Observation[] {
    return [...marks].sort((p, q) => p.deviceTime - q.deviceTime).map((one, i) => ({ ...one, number: i + 1 }))
  }

  get really(): Observation[] {
    return Told.inOrder(this.all.map(one => one.mark))
  }

  get marked(): Observation[] {
    return Told.inOrder(this.all.filter(one => one.told).map(one => one.mark))
  }
}
