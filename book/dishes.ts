import type { DishCard } from '../core/formulation/dish/dish'
import { FLOUR_DISHES } from './dishes/flours'
import { FRESH_DISHES } from './dishes/fresh'
import { GRAIN_DISHES } from './dishes/grains'
import { LENTIL_DISHES } from './dishes/lentils'

/**
 * The starter book: dishes of our own that between them use every family, preparation and school. Amounts lie inside the
 * spans of the craft; usual minutes and flames are common kitchen knowledge, and the household's batches replace them.
 */
export const STARTER_DISHES: readonly DishCard[] = [...GRAIN_DISHES, ...FLOUR_DISHES, ...LENTIL_DISHES, ...FRESH_DISHES]
