import { CoreError } from '../../error'
import { energyOf } from './energyOf'
import { enginePartsOf } from './enginePartsOf'
import type { Allergen, Ingredient, Kind } from './ingredient'
import type { SUGARS, Nutrients} from './nutrients';
import { sugarsOf } from './sugarsOf'

/** What stands on a package, of 100 g: g. */
export interface PackageFigures {
  readonly fat: number
  /** All carbohydrate without fibre, sugars among it. */
  readonly carbohydrate: number
  readonly sugars: number
  readonly fibre: number
  readonly protein: number
  readonly salt: number
}

/** What a household says of an ingredient that is in no table. */
export interface SaidOfIngredient {
  readonly id: string
  readonly name: string
  /** The food of the table that it is most like: what is not said is taken from it. */
  readonly like: Ingredient
  /** What it is to a cook; missing: as the food it is like. */
  readonly kind?: Kind | undefined
  /** Poured, g/ml; null where it was not weighed. */
  readonly bulkDensity: number | null
  /** From its package; null where there is none. */
  readonly figures: PackageFigures | null
  readonly allergens: readonly Allergen[]
}

/** Figures of a package are rounded: they may add to this much, g of 100 g. */
const MOST_SUM = 103

/**
 * A row of the ingredient table for a food of the household's own.
 *
 * @param said what is known of it
 * @returns the row; each of its figures says where it comes from
 * @throws CoreError `out-of-range` where the parts add to more than the whole, sugars are more than the carbohydrate,
 *   or the density is no food's
 */
export function ownIngredient(said: SaidOfIngredient): Ingredient {
  const { like, figures, bulkDensity } = said
  if (bulkDensity !== null && !(bulkDensity >= 0.1 && bulkDensity <= 2))
    throw new CoreError('out-of-range', 'ownIngredient.bulkDensity', { given: bulkDensity, min: 0.1, max: 2 })
  const nutrients = figures ? nutrientsOf(figures, like.nutrients) : like.nutrients
  const kind = said.kind ?? like.kind
  const whole = like.composition.nuts === 1 && kind === 'nuts'
  return {
    ...like,
    id: said.id,
    name: said.name,
    otherNames: [],
    kind,
    families: kind === like.kind ? like.families : [],
    piece: kind === like.kind ? like.piece : null,
    bulkDensity: bulkDensity ?? like.bulkDensity,
    nutrients,
    composition: enginePartsOf(nutrients, whole),
    allergens: said.allergens,
    own: true,
    source: {
      density: bulkDensity === null ? `as ${like.name.toLowerCase()}` : 'weighed by the household',
      densityOrigin: bulkDensity === null ? 'estimate' : 'weighed',
      composition: figures ? 'its package, as the household typed it' : `as ${like.name.toLowerCase()}`,
      compositionOrigin: 'estimate',
    },
  }
}

/** Sugars by kind and acids in the proportions of the food it is like; what is left of 100 g is water. */
function nutrientsOf(figures: PackageFigures, like: Nutrients): Nutrients {
  const { fat, carbohydrate, sugars, fibre, protein, salt } = figures
  const named = { fat, carbohydrate, sugars, fibre, protein, salt }
  for (const [name, value] of Object.entries(named))
    if (!(value >= 0 && value <= 100))
      throw new CoreError('out-of-range', `ownIngredient.${name}`, { given: value, min: 0, max: 100 })
  if (sugars > carbohydrate + 0.5)
    throw new CoreError('out-of-range', 'ownIngredient.sugars', { given: sugars, max: carbohydrate })
  const sum = fat + carbohydrate + fibre + protein + salt
  if (sum > MOST_SUM)
    throw new CoreError('out-of-range', 'ownIngredient.figures', { given: Math.round(sum * 10) / 10, max: 100 })
  const scale = sum > 100 ? 100 / sum : 1
  const known = sugarsOf(like)
  const share = (kind: (typeof SUGARS)[number]): number =>
    (known > 0 ? like[kind] / known : kind === 'sucrose' ? 1 : 0) * Math.min(sugars, carbohydrate) * scale
  const parts: Nutrients = {
    water: Math.max(0, 100 - sum * scale),
    protein: protein * scale,
    fat: fat * scale,
    starch: Math.max(0, carbohydrate - sugars) * scale,
    fibre: fibre * scale,
    ash: salt * scale,
    acids: 0,
    sucrose: share('sucrose'),
    glucose: share('glucose'),
    fructose: share('fructose'),
    maltose: share('maltose'),
    lactose: share('lactose'),
    energyKj: 0,
  }
  return { ...parts, energyKj: Math.round(energyOf(parts)) }
}
