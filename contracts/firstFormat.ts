import type { Choices } from '../core/formulation/dish/choices'
import type { DishCard, Part } from '../core/formulation/dish/dish'
import { DishCardSchema, DishSchema } from './dish'

/** Parts of the ingredients that dishes of the first format could have. */
const FIRST_PARTS: Readonly<Record<string, Part>> = {
  'semolina-medium': 'base',
  'ghee': 'fat',
  'sugar': 'sugar',
  'water': 'water',
  'cashew-halves': 'nuts',
  'cardamom-ground': 'spice',
}
/** The one school that the first format knew. */
const FIRST_CHOICES: Choices = {
  form: 'soft',
  preparation: 'as-bought',
  roast: 'pale',
  fat: 'half-and-half',
  liquid: 'water',
  pour: 'at-once',
  sugar: 'in-liquid',
  nuts: 'first',
  cooking: 'open',
  finish: 'stirred',
  tasting: 'tasted',
  lots: false,
}

/**
 * A dish as it was kept, in this format or the first one, which held stages in the place of choices.
 *
 * @param value parsed JSON
 * @returns the dish as it is kept now
 * @throws ZodError where it is neither
 */
export function readDishCard(value: unknown): DishCard {
  const isFirst = typeof value === 'object' && value !== null && 'stages' in value && !('choices' in value)
  if (!isFirst) return DishCardSchema.parse(value)
  const { id, version, name, otherNames, family, base, ingredients, portionG, usual, kept } = DishSchema.parse(value)
  return DishCardSchema.parse({
    id, version, name, otherNames, family, base, portionG, usual, kept, choices: FIRST_CHOICES,
    ingredients: ingredients.map(one => ({ ...one, part: FIRST_PARTS[one.ingredient] ?? 'spice' })),
  })
}
