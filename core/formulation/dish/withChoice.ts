import type { Ingredient } from '../../materials/composition/ingredient'
import { spansOf } from './spans'
import type { Choices, Liquid } from './choices'
import type { DishCard, DishIngredient, Part } from './dish'
import { styleRatio } from './newDish'

const LIQUID_PARTS: readonly Part[] = ['water', 'milk', 'juice']
/** Which liquids each answer asks for, in the order they go in. */
const ASKS: Readonly<Record<Liquid, readonly ('water' | 'milk' | 'juice')[]>> = {
  'none': [],
  'water': ['water'],
  'milk': ['milk'],
  'water-then-milk': ['water', 'milk'],
  'juice': ['juice', 'water'],
}
const INGREDIENT = { water: 'water', milk: 'milk', juice: 'orange-juice' } as const

/**
 * The dish with choices changed, and with the ingredients that they ask for: another liquid in the same amount,
 * powdered sugar for what is rubbed in dry, water for a syrup.
 *
 * @param card the dish
 * @param changes choices to be changed
 * @param rowOf rows of the ingredient table
 * @returns the dish; whether it can be cooked `troublesOf` tells
 */
export function withChoice(
  card: DishCard,
  changes: Partial<Choices>,
  rowOf: (ingredient: string) => Ingredient,
): DishCard {
  const next: DishCard = { ...card, choices: { ...card.choices, ...changes } }
  const wetted =
    changes.liquid === undefined || changes.liquid === card.choices.liquid ? next : withLiquid(next, changes.liquid)
  const sweetened = changes.sugar === undefined ? wetted : withSugar(wetted)
  const needsWater = sweetened.choices.sugar === 'syrup' && !sweetened.ingredients.some(one => one.part === 'water')
  return needsWater
    ? {
        ...sweetened,
        ingredients: [
          ...sweetened.ingredients,
          { id: freeId(sweetened, rowOf('water').id), ingredient: 'water', perBase: 0.4, part: 'water' },
        ],
      }
    : sweetened
}

/** The same total of liquid, shared evenly among what is asked for. */
function withLiquid(card: DishCard, liquid: Liquid): DishCard {
  const old = card.ingredients.filter(one => one.part !== undefined && LIQUID_PARTS.includes(one.part))
  const total = old.reduce((sum, one) => sum + one.perBase, 0) || styleRatio(spansOf(card), 'liquid', 'everyday')
  const asks = ASKS[liquid]
  const place = Math.max(0, card.ingredients.findIndex(one => old.includes(one)))
  const others = card.ingredients.filter(one => !old.includes(one))
  const fresh = asks.map((part): DishIngredient => {
    const known = old.find(one => one.part === part)
    const perBase = Math.round(total / asks.length * 1000) / 1000
    return known
      ? { ...known, perBase }
      : { id: freeId({ ...card, ingredients: others }, INGREDIENT[part]), ingredient: INGREDIENT[part], perBase, part }
  })
  const at = old.length > 0 ? Math.min(place, others.length) : others.length
  return {
    ...card,
    ingredients: [...others.slice(0, at), ...fresh.filter(one => one.perBase > 0), ...others.slice(at)],
  }
}

/** Powdered where it is rubbed in, grain where it is dissolved. */
function withSugar(card: DishCard): DishCard {
  const powder = card.choices.sugar === 'off-fire'
  return {
    ...card,
    ingredients: card.ingredients.map(one =>
      one.ingredient === (powder ? 'sugar' : 'sugar-powdered') && one.part === 'sugar'
        ? { ...one, ingredient: powder ? 'sugar-powdered' : 'sugar' }
        : one,
    ),
  }
}

function freeId(card: Pick<DishCard, 'ingredients'>, wanted: string): string {
  return card.ingredients.some(one => one.id === wanted) ? `${wanted}-2` : wanted
}
