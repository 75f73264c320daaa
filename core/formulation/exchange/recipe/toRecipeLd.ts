import { KJ_PER_KCAL } from '../../../materials/composition/energyOf'
import type { Ingredient } from '../../../materials/composition/ingredient'
import type { DishYield } from '../../yield/yieldOf'
import type { Dish } from '../../dish/dish'
import { usualTotalMinutes } from '../../dish/usualTotalMinutes'
import { recipeGrams } from './recipeGrams'

/**
 * Our own term: a value that is JSON and no more, so that nothing in it is taken for a term of schema.org (JSON-LD 1.1,
 * 4.2.2).
 */
const OWN_TERM = { yonHearthDish: { '@id': 'urn:yon-hearth:dish', '@type': '@json' } }

/** The words a recipe needs; the core has none of its own. */
export interface RecipeWords {
  readonly category: string
  readonly steps: readonly { readonly name: string, readonly text: string }[]
}

/**
 * A dish as a schema.org Recipe (JSON-LD): amounts in grams, durations as ISO 8601, nutrition per serving, and the
 * dish's own form under `yonHearthDish`, so that it comes back without loss.
 *
 * @param dish with its stages
 * @param baseG weight of the base, g
 * @param dishYield what comes of it
 * @param words category and steps as they are said
 * @param rowOf rows of the ingredient table
 * @param card the dish as it is kept, to be carried along
 * @returns a JSON-LD object
 */
export function toRecipeLd(
  dish: Dish,
  baseG: number,
  dishYield: DishYield,
  words: RecipeWords,
  rowOf: (ingredient: string) => Ingredient,
  card: unknown,
): Record<string, unknown> {
  const { before, fire } = usualTotalMinutes(dish)
  return {
    '@context': ['https://schema.org', OWN_TERM],
    '@type': 'Recipe',
    'name': dish.name,
    'alternateName': dish.otherNames,
    'recipeCategory': words.category,
    'recipeYield': `${Math.max(1, Math.round(dishYield.servings))} servings of ${Math.round(dish.portionG)} g`,
    'prepTime': `PT${Math.round(before)}M`,
    'cookTime': `PT${Math.round(fire)}M`,
    'recipeIngredient': dish.ingredients.map(
      one => `${recipeGrams(one.perBase * baseG)} ${rowOf(one.ingredient).name}`,
    ),
    'recipeInstructions': words.steps.map(step => ({ '@type': 'HowToStep', ...step })),
    'nutrition': {
      '@type': 'NutritionInformation',
      'servingSize': `${Math.round(dishYield.serving.massG)} g`,
      'calories': `${Math.round(dishYield.serving.energyKj / KJ_PER_KCAL)} kcal`,
      'fatContent': recipeGrams(dishYield.serving.fatG),
      'sugarContent': recipeGrams(dishYield.serving.sugarG),
      'fiberContent': recipeGrams(dishYield.serving.fibreG),
      'proteinContent': recipeGrams(dishYield.serving.proteinG),
    },
    'yonHearthDish': card,
  }
}
