import { itemAt } from '../../maths/table/itemAt'
import { firstBelief } from '../../process/belief/firstBelief'
import type { Ingredient } from '../../materials/composition/ingredient'
import type { Dish, DishCard } from '../../formulation/dish/dish'
import { doneIndex } from '../../formulation/dish/doneIndex'
import { mainLine } from '../../formulation/dish/mainLine'
import { mainVessel } from '../../formulation/dish/mainVessel'
import { stageDish } from '../../formulation/stages/stageDish'
import { lastRoast } from '../../process/program/roastIndex'
import type { Observation } from '../../record/marks/observation'
import type { CookPlan } from '../../record/plan/plan'
import { planCook, type ChosenFire, type ChosenPan } from '../planning/planCook'
import { USUAL_ROOM_C } from '../../record/plan/usualRoom'
import { requireRange } from '../../requireRange'

/** What is remembered of a batch; what is not known stays open. */
export interface Remembered {
  readonly card: DishCard
  readonly baseG: number
  readonly pan: ChosenPan
  readonly fire: ChosenFire
  readonly cup: { readonly id: string, readonly name: string, readonly volumeMl: number }
  /** Mark of the fire it was mostly on, or null. */
  readonly mark: string | null
  /** From lighting to the end of the last roast, and to off the fire, minutes. */
  readonly roastMin: number | null
  readonly totalMin: number
  /** When it was lit, ms since 1970. */
  readonly atMs: number
  /** Finished weight where it was weighed, g. */
  readonly finishedG: number | null
  /** Outcome in words and faults; null where nothing is known of it. */
  readonly outcome: { readonly faults: readonly string[], readonly line: string } | null
}

/** A remembered batch as a cook that has ended. */
export interface RememberedCook { readonly plan: CookPlan, readonly observations: readonly Observation[] }

const HANDS = 4
const SEED = 7

/**
 * A batch from memory as a plan and the few moments that are known of it: where it began, where its roast ended, and
 * its end; nothing else is told.
 *
 * @param told what is remembered; base 20 to 20,000 g, 3 to 300 minutes at the fire
 * @param table the ingredients
 * @returns plan and observations, marked as from memory
 * @throws CoreError `out-of-range`, or `cannot-work` where the dish cannot be cooked
 */
export function rememberBatch(told: Remembered, table: readonly Ingredient[]): RememberedCook {
  requireRange('rememberBatch.baseG', told.baseG, 20, 20_000)
  requireRange('rememberBatch.totalMin', told.totalMin, 3, 300)
  if (told.roastMin !== null) requireRange('rememberBatch.roastMin', told.roastMin, 0, told.totalMin)
  const dish = stageDish(told.card)
  const roast = lastRoast(dish)
  const first = mainLine(dish)[Math.max(0, roast)]
  const plan = planCook(
    'memory',
    {
      dish,
      baseG: told.baseG,
      ingredients: table,
      cup: told.cup,
      pans: Object.fromEntries(dish.vessels.map(vessel => [vessel.id, told.pan])),
      fires: Object.fromEntries(dish.vessels.map(vessel => [vessel.id, told.fire])),
      flames: first && told.mark !== null ? { [first.id]: told.mark } : {},
      people: HANDS,
      firstBelief: firstBelief(),
      evidence: [],
      seed: SEED,
      airC: USUAL_ROOM_C,
      altitudeM: 0,
    },
    told.atMs,
  )
  return { plan, observations: storyOf(dish, roast, told, plan) }
}

/** What was told: when, s since the start, which kind of mark, and what it holds. */
type Told = [timeS: number, kind: string, payload: Record<string, unknown>]

function storyOf(dish: Dish, roast: number, told: Remembered, plan: CookPlan): Observation[] {
  const line = mainLine(dish)
  const done = doneIndex(dish)
  const [roastS, totalS] = [told.roastMin === null || roast < 0 ? null : told.roastMin * 60, told.totalMin * 60]
  const main = mainVessel(dish)
  const vessel = plan.vessels[main]?.vessel
  const known = roastS === null ? null : Math.min(done, Math.max(1, roast + 1))
  const moments: Told[] = [
    [0, 'cook.started', { from: 'memory' }],
    ...(roastS !== null && known !== null && known < line.length
      ? [[roastS, 'stage.began', { stage: itemAt(line, known).id }] satisfies Told]
      : []),
    ...(done < line.length
      ? [[totalS, 'stage.began', { stage: itemAt(line, done).id }] satisfies Told]
      : []),
    [totalS + 60, 'cook.finished', {}],
    ...(told.finishedG !== null && vessel
      ? [[totalS + 61, 'weighed', { vessel: main, grossG: told.finishedG + vessel.massG }] satisfies Told]
      : []),
    ...(told.outcome
      ? [[totalS + 62, 'outcome', { faults: told.outcome.faults, line: told.outcome.line }] satisfies Told]
      : []),
    [totalS + 63, 'gone', {}],
  ]
  return moments.map(([timeS, kind, payload], i) => {
    const at = told.atMs + Math.round(timeS * 1000)
    return {
      id: `memory-${i}`,
      device: 'memory',
      number: i + 1,
      deviceTime: at,
      sentAt: at,
      receivedAt: at,
      kind,
      payload,
    }
  })
}
