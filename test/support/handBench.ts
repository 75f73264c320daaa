import type { Composition } from '../../core/materials/composition/composition'
import type { ForecastPoint } from '../../core/record/plan/forecast'
import type { CookPlan, PlanAmount } from '../../core/record/plan/plan'
import { replay } from '../../core/record/replay/replay'
import type { Bench } from '../../core/cook/remedies/bench'
import type { Remedy } from '../../core/cook/remedies/remedy'
import { storyTo, type More } from './handForecast'
import { starterPlan } from './plans'

export const made = (of: Partial<Composition>): Composition => ({ water: 0, solids: 0, fat: 0, sugar: 0, nuts: 0, ...of })
const COMPOSITIONS: Readonly<Record<string, Composition>> = {
  base: made({ water: 0.1, solids: 0.9 }), fat: made({ fat: 1 }), sugar: made({ sugar: 1 }), milk: made({ water: 0.9, solids: 0.1 }),
}
export const PANTRY = {
  'water': made({ water: 1 }), 'sugar': made({ sugar: 1 }), 'milk-powder': made({ water: 0.05, solids: 0.95 }),
  'khoya': made({ water: 0.3, sugar: 0.05, solids: 0.4, fat: 0.25 }),
}
export const POINT: ForecastPoint = {
  timeS: 0, stage: 3, tempC: 95, panC: 120, colour: { lightness: 70, a: 5, b: 20 }, waterG: 600, heldG: 100, contentG: 1100, volumeMl: 1000,
}

/** A plan whose ingredients are of round compositions: 200 g of base, 100 g of fat, 180 g of sugar. */
export function planOf(id: string, more: readonly PlanAmount[] = []): CookPlan {
  const plan = starterPlan(id)
  const amounts = plan.amounts.flatMap((one): PlanAmount[] => {
    const part = plan.dish.ingredients.find(each => each.id === one.id)?.part
    if (one.id === plan.dish.base) return [{ ...one, massG: 200, composition: COMPOSITIONS.base! }]
    if (part === 'fat') return [{ ...one, massG: 100, composition: COMPOSITIONS.fat! }]
    if (part === 'sugar') return [{ ...one, massG: 180, composition: COMPOSITIONS.sugar! }]
    if (part === 'milk') return [{ ...one, massG: 500, composition: COMPOSITIONS.milk! }]
    return []
  })
  return { ...plan, amounts: [...amounts, ...more] }
}
export const semolina = planOf('sweet-water-semolina')
export const sugarId = semolina.dish.ingredients.find(one => one.part === 'sugar')!.id

/** A pan of 1100 g, 500 g of it dry, on 1000 W; the plan wants 0.9 g of water for each dry gram. */
export function bench(told: Partial<Bench> = {}, stage = 'take-up', more: More = []): Bench {
  const plan = told.plan ?? semolina
  return {
    plan, cook: replay(plan, storyTo(plan, stage, more)), point: POINT,
    now: { waterG: 600, solidsG: 180, fatG: 100, sugarG: 220, nutsG: 0 },
    toCome: { waterG: 0, solidsG: 0, fatG: 0, sugarG: 0, nutsG: 0 },
    aim: { waterG: 450, solidsG: 180, fatG: 120, sugarG: 200, nutsG: 0 },
    powerW: 1000, tareG: 1300, airPressurePa: 101_325, pantry: PANTRY, ...told,
  }
}
export const withWater = (waterG: number, told: Partial<Bench> = {}): Bench => bench({ ...told, now: { ...bench().now, waterG } })
/** What is done, with what, how much and in how much time. */
export const told = (remedies: readonly Remedy[]) => remedies.map(one => [one.way, ...one.adds.map(add => `${add.ingredient} ${add.massG}`)].join(' '))
