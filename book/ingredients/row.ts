import { fieldAt } from '../../core/maths/table/itemAt'
import { recordOf } from '../../core/records'
import { enginePartsOf } from '../../core/materials/composition/enginePartsOf'
import { energyOf } from '../../core/materials/composition/energyOf'
import type { Allergen, Ingredient, Kind, Piece } from '../../core/materials/composition/ingredient'
import { NOTHING } from '../../core/materials/composition/mixOf'
import { WEIGHT_PARTS, type Nutrients } from '../../core/materials/composition/nutrients'
import TABLE from '../composition.json'

/** Either a code of the national table, or parts with their citation. */
type From = keyof typeof TABLE | { readonly parts: Partial<Nutrients>, readonly cite: string }

/** What a row says beside its name. */
export interface RowText {
  readonly others?: readonly string[]
  readonly families?: readonly string[]
  /** Bulk density, g/ml, and where it comes from. */
  readonly density: readonly [value: number, source: string]
  readonly from: From
  readonly piece?: readonly [noun: string, plural: string, small: number, medium: number, large: number]
  readonly prepared?: number
  readonly soakGain?: number
  readonly ground?: number
  readonly whole?: boolean
  readonly coarse?: boolean
  readonly allergens?: readonly Allergen[]
  /** From when a fat smokes, °C. */
  readonly smokes?: number
  readonly colour: readonly [lightness: number, a: number, b: number]
  readonly packs?: readonly number[]
  readonly keeps?: number
}

/** Density words: a range a 240 ml cup is found to hold, from the craft; or an estimate. */
const CUP = /in a 240 ml cup|at 20 °C/

/**
 * One row of the ingredient table.
 *
 * @param id of the row
 * @param name as a kitchen says it
 * @param kind what it is to a cook
 * @param text everything else; parts are of 100 g
 * @returns the row, its energy reckoned where the citation gives none
 */
export function row(id: string, name: string, kind: Kind, text: RowText): Ingredient {
  const { from } = text
  const given = typeof from === 'string' ? tabled(from) : { nutrients: { ...NOTHING, ...from.parts }, cite: from.cite, recalled: from.cite.includes('recalled') }
  const nutrients: Nutrients = given.nutrients.energyKj > 0 ? given.nutrients : { ...given.nutrients, energyKj: Math.round(energyOf(given.nutrients)) }
  return {
    id, name, kind, nutrients,
    otherNames: text.others ?? [],
    families: text.families ?? [],
    bulkDensity: text.density[0],
    piece: text.piece ? pieceOf(text.piece) : null,
    yields: { prepared: text.prepared ?? 1, soakGain: text.soakGain ?? 0, ground: text.ground ?? 1 },
    composition: enginePartsOf(nutrients, text.whole === true),
    coarse: text.coarse === true,
    allergens: text.allergens ?? [],
    colour: { lightness: text.colour[0], a: text.colour[1], b: text.colour[2] },
    ...(text.smokes === undefined ? {} : { smokeC: text.smokes }),
    packagesG: text.packs ?? [500, 1000],
    keepsDays: text.keeps ?? 180,
    source: {
      density: text.density[1],
      densityOrigin: CUP.test(text.density[1]) ? 'table' : 'estimate',
      composition: given.cite,
      compositionOrigin: given.recalled ? 'recalled' : 'table',
    },
  }
}

function tabled(code: string): { readonly nutrients: Nutrients, readonly cite: string, readonly recalled: boolean } {
  const table = fieldAt(TABLE, code)
  return { nutrients: pick(table), cite: `Indian Food Composition Tables 2017 (National Institute of Nutrition), ${code} ${table.name}`, recalled: false }
}

function pick(table: { readonly [part: string]: number | string }): Nutrients {
  return recordOf([...WEIGHT_PARTS, 'energyKj'], part => Number(table[part]))
}

function pieceOf([noun, plural, small, medium, large]: NonNullable<RowText['piece']>): Piece {
  return { noun, plural, small, medium, large }
}
