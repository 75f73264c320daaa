import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { STARTER_DISHES } from '../../book/dishes'
import type { Ingredient } from '../../core/materials/composition/ingredient'
import type { Dish } from '../../core/formulation/dish/dish'
import { stageDish } from '../../core/formulation/stages/stageDish'
import { firstBelief } from '../../core/process/belief/firstBelief'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { planCook, type CookChoices } from '../../core/cook/planning/planCook'

/** A starter dish with its stages; the first one where none is named. */
export function starter(id = STARTER_DISHES[0]!.id): Dish {
  return stageDish(STARTER_DISHES.find(one => one.id === id)!)
}

/** Rows of the ingredient table by id. */
export const rowOf = (id: string): Ingredient => INGREDIENTS.find(row => row.id === id)!

/** A plan of the starter dish in the first-guess kitchen; anything can be chosen otherwise. */
export function examplePlan(choices: Partial<CookChoices> = {}, id = 'cook'): CookPlan {
  return planCook(id, {
    dish: starter(), baseG: 250, ingredients: INGREDIENTS, cup: FIRST_KITCHEN.measures[0]!,
    pans: { pan: FIRST_KITCHEN.pans[0]!, pot: FIRST_KITCHEN.pans[1]! },
    fires: { pan: FIRST_KITCHEN.fires[0]!, pot: FIRST_KITCHEN.fires[1]! },
    flames: {}, people: 8, firstBelief: firstBelief(), evidence: [], seed: 3, airC: 27, altitudeM: 0, ...choices,
  }, 1_795_000_000_000)
}

/** An observation of one device with a true clock, at a second of the cook. */
export function marked(
  number: number,
  timeS: number,
  kind: string,
  payload: Record<string, unknown> = {},
  device = 'tablet',
): Observation {
  const deviceTime = 1_795_000_000_000 + Math.round(timeS * 1000)
  return {
    id: `${device}-${number}`,
    device,
    number,
    deviceTime,
    sentAt: deviceTime,
    receivedAt: deviceTime,
    kind,
    payload,
  }
}

/** A plan of any starter dish at its usual amount in the first-guess kitchen: pans for pans, pots for pots. */
export function starterPlan(id: string, choices: Partial<CookChoices> = {}): CookPlan {
  const dish = choices.dish ?? starter(id)
  const every = <T,>(pan: T, pot: T): Record<string, T> =>
    Object.fromEntries(dish.vessels.map(vessel => [vessel.id, vessel.kind === 'pan' ? pan : pot]))
  return examplePlan({
    dish, baseG: dish.usual.baseG, pans: every(FIRST_KITCHEN.pans[0]!, FIRST_KITCHEN.pans[1]!),
    fires: every(FIRST_KITCHEN.fires[0]!, FIRST_KITCHEN.fires[1]!), ...choices,
  })
}

/** A stage of the example begins at a moment, s. */
export const begun = (stage: string, timeS: number, number: number): Observation =>
  marked(number, timeS, 'stage.began', { stage })

/** The example's cook as far as its last stage. */
export const story: readonly Observation[] = [
  marked(1, 0, 'cook.started'),
  begun('roast', 240, 2),
  marked(3, 300, 'vessel.lit', { vessel: 'pot' }),
  begun('pour', 640, 4),
  begun('take-up', 700, 5),
]
