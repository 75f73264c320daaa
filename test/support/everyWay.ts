import { STARTER_DISHES } from '../../book/dishes'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { INGREDIENTS } from '../../book/ingredients'
import { firstBelief } from '../../core/process/belief/firstBelief'
import type { Ingredient } from '../../core/materials/composition/ingredient'
import { CHOICE_VALUES, type Choices } from '../../core/formulation/dish/choices'
import type { DishCard } from '../../core/formulation/dish/dish'
import { stageDish } from '../../core/formulation/stages/stageDish'
import { troublesOf } from '../../core/formulation/dish/troublesOf'
import { withChoice } from '../../core/formulation/dish/withChoice'
import type { CookPlan } from '../../core/record/plan/plan'
import { planCook, type ChosenFire, type ChosenPan } from '../../core/cook/planning/planCook'

const ROWS = new Map(INGREDIENTS.map(row => [row.id, row]))
const rowOf = (id: string): Ingredient => ROWS.get(id)!
const PAN = FIRST_KITCHEN.pans.find(pan => pan.kind === 'pan')!
const POT = FIRST_KITCHEN.pans.find(pan => pan.kind === 'pot')!

/** The first kitchen's pan, a small thin one and a large heavy one. */
export const EVERY_PAN: readonly ChosenPan[] = [
  PAN,
  { ...PAN, id: 'thin', innerDiameterMm: 160, depthMm: 60, massG: 350, material: 'aluminium' },
  { ...PAN, id: 'large', innerDiameterMm: 360, depthMm: 100, massG: 3500, material: 'cast-iron' },
  { ...PAN, id: 'coated', coated: true },
]
const watts = (id: string, ...ladder: number[]): ChosenFire => ({
  id,
  name: id,
  marks: ladder.map((one, i) => ({ id: `m${i}`, label: String(one), watts: one })),
})
/** The first kitchen's fire, a weak one, and one whose lowest mark is a strong flame. */
export const EVERY_FIRE: readonly ChosenFire[] = [
  FIRST_KITCHEN.fires[0]!,
  watts('weak', 150, 400),
  watts('strong', 700, 1500, 3500),
]

/** Every dish of the book in every school that differs from its own in one choice, as far as it can be cooked. */
export function everySchool(): DishCard[] {
  return STARTER_DISHES.flatMap(card => [card, ...Object.entries(CHOICE_VALUES).flatMap(([choice, values]) => values
    .filter(value => value !== card.choices[choice as keyof Choices])
    .map(value => withChoice(card, { [choice]: value }, rowOf)))])
    .filter(card => troublesOf(card).length === 0)
}

/** The plan of a dish in one way; flame marks that somebody chose by stage. */
export function planOf(
  card: DishCard,
  baseG: number,
  pan: ChosenPan,
  fire: ChosenFire,
  flames: Readonly<Record<string, string>> = {},
): CookPlan {
  const dish = stageDish(card)
  return planCook(
    'way',
    {
      dish,
      baseG,
      ingredients: INGREDIENTS,
      cup: FIRST_KITCHEN.measures[0]!,
      flames,
      people: 4,
      firstBelief: firstBelief(),
      evidence: [],
      seed: 1,
      airC: 27,
      altitudeM: 0,
      pans: Object.fromEntries(dish.vessels.map(vessel => [vessel.id, vessel.id === 'pan' ? pan : POT])),
      fires: Object.fromEntries(dish.vessels.map(vessel => [vessel.id, fire])),
    },
    0,
  )
}
