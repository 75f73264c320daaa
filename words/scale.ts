import type { Ingredient } from '../core/materials/composition/ingredient'
import type { DishCard } from '../core/formulation/dish/dish'
import type { ScaleRequest } from '../core/formulation/scale/request'

/**
 * What was understood of a request, where it may be other than meant.
 *
 * @param request as it was understood
 * @param dish in hand
 * @param rowOf rows of the ingredient table
 * @returns a sentence; empty where there is nothing to say
 */
export function requestText(
  request: ScaleRequest,
  dish: Pick<DishCard, 'ingredients' | 'portionG'>,
  rowOf: (id: string) => Pick<Ingredient, 'name' | 'yields'>,
): string {
  switch (request.by) {
    case 'on-hand': {
      const one = dish.ingredients.find(known => known.id === request.id)
      if (!one) return ''
      const row = rowOf(one.ingredient)
      return request.asBought
        ? `Taken as bought: ${Math.round(request.massG)} g is left of it, peeled and trimmed. Say "peeled" if it is.`
        : `From ${Math.round(request.massG)} g of ${row.name.toLowerCase()}, ready to go in.`
    }
    case 'times':
      return `${request.factor} times the usual amount of the dish.`
    case 'balls':
      return request.eachG === null
        ? `Balls of ${dish.portionG <= 60 ? dish.portionG : 30} g; say "of 25 g" for others.`
        : ''
    case 'tray':
      return `A layer of ${Math.round(request.depthMm)} mm in ${request.tray.shape === 'round' ? `a round tray of ${Math.round(request.tray.widthMm / 10)} cm` : `a tray of ${Math.round(request.tray.widthMm / 10)} × ${Math.round(request.tray.lengthMm / 10)} cm`}.`
    case 'pan':
      return 'As much as the chosen pan holds with room to stir.'
    default:
      return ''
  }
}
