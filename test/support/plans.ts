import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { STARTER_DISHES } from '../../book/dishes'
import { firstBelief } from '../../core/belief/firstBelief'
import type { Observation } from '../../core/live/observation'
import type { CookPlan } from '../../core/live/plan'
import { planCook, type Choices } from '../../core/live/planCook'

/** A plan of the starter dish in the first-guess kitchen; anything can be chosen otherwise. */
export function examplePlan(choices: Partial<Choices> = {}, id = 'cook'): CookPlan {
  return planCook(id, {
    dish: STARTER_DISHES[0]!, baseG: 250, ingredients: INGREDIENTS, cup: FIRST_KITCHEN.measures[0]!,
    pans: { pan: FIRST_KITCHEN.pans[0]!, pot: FIRST_KITCHEN.pans[1]! },
    fires: { pan: FIRST_KITCHEN.fires[0]!, pot: FIRST_KITCHEN.fires[1]! },
    flames: {}, people: 8, firstBelief: firstBelief(), evidence: [], seed: 3, airC: 27, altitudeM: 0, ...choices,
  }, 1_795_000_000_000)
}

/** An observation of one device with a true clock, at a second of the cook. */
export function marked(number: number, timeS: number, kind: string, payload: Record<string, unknown> = {}, device = 'tablet'): Observation {
  const deviceTime = 1_795_000_000_000 + Math.round(timeS * 1000)
  return { id: `${device}-${number}`, device, number, deviceTime, sentAt: deviceTime, receivedAt: deviceTime, kind, payload }
}
