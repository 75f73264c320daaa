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
 * @param comes what comes of it
 * @param words category and steps as they are said
 * @param rowOf rows of the ingredient table
 * @param card the dish as it is kept, to be carried along
 * @returns a JSON-LD object
 */
export function toRecipeLd(
  dish: Dish,
  baseG: number,
  comes: DishYield,
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
    'recipeYield': `${Math.max(1, Math.round(comes.servings))} servings of ${Math.round(dish.portionG)} g`,
    'prepTime': `PT${Math.round(before)}M`,
    'cookTime': `PT${Math.round(fire)}M`,
    'recipeIngredient': dish.ingredients.map(
      one => `${recipeGrams(one.perBase * baseG)} ${rowOf(one.ingredient).name}`,
    ),
    'recipeInstructions': words.steps.map(step => ({ '@type': 'HowToStep', ...step })),
    'nutrition': {
      '@type': 'NutritionInformation',
      'servingSize': `${Math.round(comes.serving.massG)} g`,
      'calories': `${Math.round(comes.serving.energyKj / KJ_PER_KCAL)} kcal`,
      'fatContent': recipeGrams(comes.serving.fatG),
      'sugarContent': recipeGrams(comes.serving.sugarG),
      'fiberContent': recipeGrams(comes.serving.fibreG),
      'proteinContent': recipeGrams(comes.serving.proteinG),
    },
    'yonHearthDish': card,
  }
}
