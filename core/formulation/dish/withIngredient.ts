import { itemAt } from '../../maths/table/itemAt'
import type { Ingredient } from '../../materials/composition/ingredient'
import { CoreError } from '../../error'
import { familyOf } from '../family/families'
import type { Choices, Preparation } from './choices'
import type { DishCard, DishIngredient, Part } from './dish'
import { PREPARATIONS_OF } from './troublesOf'

/** As much of a row as an ingredient's part needs. */
type Row = Pick<Ingredient, 'id' | 'families'>

/** A dish takes in no more than so many ingredients, and no more than this much of one, g for each g of base. */
const MOST_INGREDIENTS = 30
const MOST_RATIO = 20

/**
 * The dish with one more ingredient, in the part it plays; what it is wetted with follows.
 *
 * @param card the dish
 * @param row of the ingredient table
 * @param part what it does in the dish; as a base it stands beside the first one
 * @param perBase g for each g of base, above 0, to 20
 * @returns the dish; an ingredient that stands in that part already becomes more
 * @throws CoreError `out-of-range` where it is too much, or the dish is full; `unknown-name` for a base of no family
 */
export function withIngredient(card: DishCard, row: Row, part: Part, perBase: number): DishCard {
  if (!(perBase > 0 && perBase <= MOST_RATIO))
    throw new CoreError('out-of-range', 'withIngredient.perBase', {
      given: perBase,
      min: 'more than nothing',
      max: MOST_RATIO,
    })
  const known = card.ingredients.find(one => one.ingredient === row.id && one.part === part)
  if (known)
    return {
      ...card,
      ingredients: card.ingredients.map(one =>
        one === known ? { ...one, perBase: Math.min(MOST_RATIO, one.perBase + perBase) } : one,
      ),
    }
  if (card.ingredients.length >= MOST_INGREDIENTS)
    throw new CoreError('out-of-range', 'withIngredient.ingredients', {
      given: card.ingredients.length + 1,
      max: MOST_INGREDIENTS,
    })
  const one = { id: freeId(card, row.id), ingredient: row.id, perBase, ...played(card, row, part) }
  return wetted({ ...card, ingredients: [...card.ingredients, one] })
}

/**
 * The dish with an ingredient in another part.
 *
 * @param card the dish
 * @param id of the ingredient within the dish; the base stays the base
 * @param part what it does from now on
 * @param row its row of the ingredient table, for a base's family
 * @returns the dish, what it is wetted with following
 */
export function inPart(card: DishCard, id: string, part: Part, row: Row): DishCard {
  if (id === card.base) return card
  const as = played(card, row, part)
  const ingredients = card.ingredients.map(({ asBase, ...one }) =>
    (one.id === id ? { ...one, ...as } : asBase ? { ...one, asBase } : one))
  return wetted({ ...card, ingredients })
}

/** A second base is got ready as the first is where its family knows that way, else as its family usually is. */
function played(card: DishCard, row: Row, part: Part): Pick<DishIngredient, 'part' | 'asBase'> {
  if (part !== 'base') return { part }
  const [family] = row.families
  if (family === undefined) throw new CoreError('unknown-name', 'withIngredient.row', { missing: row.id })
  const known = PREPARATIONS_OF[family] ?? ['as-bought']
  return {
    part,
    asBase: { family, preparation: known.find(one => one === card.choices.preparation) ?? itemAt(known, 0) },
  }
}

/**
 * The dish with its second base got ready in another way.
 *
 * @param card the dish
 * @param id of the second base within the dish
 * @param preparation how it is got ready from now on
 * @returns the dish; as it was where the ingredient is no second base
 */
export function inPreparation(card: DishCard, id: string, preparation: Preparation): DishCard {
  const ingredients = card.ingredients.map(one =>
    (one.id === id && one.asBase ? { ...one, asBase: { ...one.asBase, preparation } } : one))
  return { ...card, ingredients }
}

/**
 * The dish without an ingredient.
 *
 * @param card the dish
 * @param id of the ingredient within the dish; the base stays
 * @returns the dish, what it is wetted with following
 */
export function withoutIngredient(card: DishCard, id: string): DishCard {
  return id === card.base ? card : wetted({ ...card, ingredients: card.ingredients.filter(one => one.id !== id) })
}

/**
 * Wetted with what is there: choices that name no liquid of the dish, or leave one of them out, follow its ingredients.
 *
 * @param card the dish
 * @returns the dish; as it was where its choice holds
 */
export function wetted(card: DishCard): DishCard {
  const has = (part: Part): boolean => card.ingredients.some(one => one.part === part && one.perBase > 0)
  const there = { milk: has('milk'), water: has('water'), juice: has('juice') }
  const { sugar } = card.choices
  // A syrup takes the water; balls rubbed in dry take none at all.
  if (sugar === 'off-fire') return card
  const fresh = familyOf(card.family).fresh
  const liquid: Choices['liquid'] = there.milk && there.water && !fresh && sugar !== 'syrup'
    ? 'water-then-milk'
    : there.milk ? 'milk' : there.juice ? 'juice' : there.water ? 'water' : 'none'
  const holds =
    card.choices.liquid === liquid
    || (card.choices.liquid === 'milk' && there.milk)
    || (card.choices.liquid === 'water-then-milk' && there.milk && there.water)
    || (card.choices.liquid === 'water' && there.water && !there.milk)
    || (card.choices.liquid === 'juice' && there.juice && !there.milk)
  return holds ? card : { ...card, choices: { ...card.choices, liquid } }
}

function freeId(card: DishCard, wanted: string): string {
  const taken = new Set(card.ingredients.map(one => one.id))
  if (!taken.has(wanted)) return wanted
  let n = 2
  while (taken.has(`${wanted}-${n}`)) n++
  return `${wanted}-${n}`
}
