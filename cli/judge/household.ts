import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { firstBelief } from '../../core/process/belief/firstBelief'
import { LEVEL_W } from '../../core/process/belief/evidence'
import type { Evidence } from '../../core/materials/belief/reading'
import { beliefColumns, MEMBER_NAMES, memberValues, type MemberValues } from '../../core/process/belief/memberValues'
import { daySpread } from '../../core/materials/belief/steadiness'
import type { Dish } from '../../core/formulation/dish/dish'
import { mainLine } from '../../core/formulation/dish/mainLine'
import { planCook, type ChosenPan } from '../../core/cook/planning/planCook'
import { guessFlames } from '../../core/record/plan/guessFlames'
import type { CookPlan } from '../../core/record/plan/plan'
import { fillNormal, oneNormal } from '../../core/maths/random/fillNormal'
import type { Uniform } from '../../core/maths/random/seededRandom'

/** What nobody knows of one imaginary household: its fire, and everything else as drawn from the first belief. */
export interface Household {
  readonly level: number
  readonly ladder: number
  readonly normals: Float64Array
}

/** A day like any other, ms since 1970. */
const COOKED_AT = 1_790_000_000_000

/** Pans that imaginary kitchens have; invented sizes. */
const PANS: readonly ChosenPan[] = [
  {
    id: 'a',
    name: 'A',
    material: 'steel',
    innerDiameterMm: 260,
    depthMm: 75,
    massG: 1300,
    massOrigin: 'weighed',
    coated: false,
  },
  {
    id: 'b',
    name: 'B',
    material: 'aluminium',
    innerDiameterMm: 240,
    depthMm: 80,
    massG: 900,
    massOrigin: 'weighed',
    coated: false,
  },
  {
    id: 'c',
    name: 'C',
    material: 'cast-iron',
    innerDiameterMm: 280,
    depthMm: 70,
    massG: 2400,
    massOrigin: 'weighed',
    coated: false,
  },
  {
    id: 'd',
    name: 'D',
    material: 'steel',
    innerDiameterMm: 220,
    depthMm: 90,
    massG: 1100,
    massOrigin: 'weighed',
    coated: false,
  },
]

/**
 * Draws a household.
 *
 * @param uniform source of chance
 * @returns what is hidden
 */
export function drawHousehold(uniform: Uniform): Household {
  const spread = (name: string): number => firstBelief().entries.find(entry => entry.name === name)!.spread
  const lasting = Math.sqrt(spread('mainFire') ** 2 - daySpread('mainFire') ** 2)
  return {
    level: lasting * oneNormal(uniform),
    ladder: spread('mainLadder') * oneNormal(uniform),
    normals: fillNormal(new Float64Array(MEMBER_NAMES.length), uniform),
  }
}

/**
 * The hidden truth of one day's cook in a household.
 *
 * @param household its lasting numbers
 * @param plan of the cook; its belief must be the one before anything was learned
 * @param watts power of the mark the fire is asked for at
 * @param uniform source of chance, for the day's own scatter
 * @returns values nobody but the imaginary pan knows
 */
export function truthOfDay(household: Household, plan: CookPlan, watts: number, uniform: Uniform): MemberValues {
  const truth = memberValues(beliefColumns(plan.belief), household.normals, 0)
  const u = Math.log(watts / LEVEL_W)
  truth.mainFire = Math.exp(household.level + household.ladder * u + daySpread('mainFire') * oneNormal(uniform))
  truth.mainLadder = household.ladder
  return truth
}

/** What is cooked, on which marks, in which pan. */
export interface Occasion {
  readonly dish: Dish
  readonly baseG: number
  readonly pan: ChosenPan
  readonly flames: Readonly<Record<string, string>>
}

/**
 * Draws what is cooked: amount, pan, and marks up to one away from those a dish asks for (below it nothing would
 * brown).
 *
 * @param dish with its stages
 * @param uniform source of chance
 * @returns the occasion
 */
export function drawOccasion(dish: Dish, uniform: Uniform): Occasion {
  const fire = FIRST_KITCHEN.fires[0]!
  const guessed = guessFlames(dish, Object.fromEntries(dish.vessels.map(vessel => [vessel.id, fire])))
  const shift = { roast: uniform() < 0.6 ? 0 : 1, wet: step(uniform) }
  const flames = Object.fromEntries(mainLine(dish).flatMap((stage) => {
    const at = fire.marks.findIndex(mark => mark.id === guessed[stage.id])
    if (at < 0) return []
    const moved = at + (stage.does === 'roast' || stage.does === 'fry' ? shift.roast : shift.wet)
    return [[stage.id, fire.marks[Math.min(fire.marks.length - 1, Math.max(0, moved))]!.id]]
  }))
  const amount = Math.min(2, Math.max(0.5, Math.exp(0.35 * oneNormal(uniform))))
  return { dish, baseG: dish.usual.baseG * amount, pan: PANS[Math.floor(uniform() * PANS.length)]!, flames }
}

function step(uniform: Uniform): number {
  const chance = uniform()
  return chance < 0.25 ? -1 : chance < 0.75 ? 0 : 1
}

/**
 * The plan of an occasion.
 *
 * @param occasion what is cooked
 * @param evidence what the household has learned
 * @param seed of the ensemble
 * @returns the plan
 */
export function planOf(occasion: Occasion, evidence: readonly Evidence[], seed: number): CookPlan {
  const { dish, pan } = occasion
  const [main, beside] = FIRST_KITCHEN.fires
  const inPan = new Set(mainLine(dish).map(stage => stage.vessel))
  return planCook(`judge-${seed}`, {
    dish, baseG: occasion.baseG, ingredients: INGREDIENTS, cup: FIRST_KITCHEN.measures[0]!,
    pans: Object.fromEntries(
      dish.vessels.map(vessel => [vessel.id, inPan.has(vessel.id) ? pan : FIRST_KITCHEN.pans[1]!]),
    ),
    fires: Object.fromEntries(dish.vessels.map(vessel => [vessel.id, inPan.has(vessel.id) ? main! : beside!])),
    flames: occasion.flames, people: 8, firstBelief: firstBelief(), evidence, seed, airC: 26, altitudeM: 300,
  }, COOKED_AT)
}
