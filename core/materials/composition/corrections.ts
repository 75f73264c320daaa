import type { Correction } from './correction'
import { densityOf } from './densityOf'
import type { Ingredient } from './ingredient'

/**
 * The ingredient table as this household knows it: what it has weighed stands in the place of the table's figures.
 *
 * @param table the ingredients
 * @param corrections what was weighed, by ingredient
 * @returns the rows, each telling where its density now comes from
 */
export function withCorrections(
  table: readonly Ingredient[],
  corrections: readonly Correction[],
): readonly Ingredient[] {
  if (corrections.length === 0) return table
  const known = new Map(corrections.map(one => [one.id, one]))
  return table.map(row => {
    const own = known.get(row.id)
    return own ? corrected(row, own) : row
  })
}

/** What of a kitchen says what its ingredients are. */
export interface KnownFoods {
  /** Ingredients of the household's own. */
  readonly ingredients: readonly Ingredient[]
  readonly corrections: readonly Correction[]
}

/**
 * Every ingredient of a house: those of the book and its own, as it knows them.
 *
 * @param table the book's ingredients
 * @param kitchen what the household added and weighed; null where it is not known yet
 * @returns the rows, the book's first
 */
export function houseTable(
  table: readonly Ingredient[],
  kitchen: KnownFoods | null | undefined,
): readonly Ingredient[] {
  return kitchen
    ? withCorrections(kitchen.ingredients.length > 0 ? [...table, ...kitchen.ingredients] : table, kitchen.corrections)
    : table
}

function corrected(row: Ingredient, own: Correction): Ingredient {
  const scale = own.pieceG !== undefined && row.piece ? own.pieceG / row.piece.medium : 1
  const density = densityOf(row, own)
  return {
    ...row,
    bulkDensity: density.middle,
    piece: row.piece
      ? {
          ...row.piece,
          small: row.piece.small * scale,
          medium: row.piece.medium * scale,
          large: row.piece.large * scale,
        }
      : null,
    yields: {
      prepared: own.prepared ?? row.yields.prepared,
      soakGain: own.soakGain ?? row.yields.soakGain,
      ground: own.ground ?? row.yields.ground,
    },
    source:
      density.weighings === 0
        ? row.source
        : { ...row.source, density: 'weighed by the household', densityOrigin: 'weighed' },
  }
}
