import { z } from 'zod'
import { DishCardSchema } from '../../contracts/dish'
import { RecipeLdSchema } from '../../contracts/recipeLd'
import type { Ingredient } from '../../contracts/ingredient'
import { whatComes } from '../../core/comes/whatComes'
import type { DishCard } from '../../core/dish/dish'
import { stageDish } from '../../core/dish/stageDish'
import { toRecipeLd } from '../../core/exchange/toRecipeLd'
import { familyName } from '../../words/dish'
import { stepsOf } from '../../words/recipe'
import { gramsText } from './format'

/** Largest file that is read, bytes. */
const MOST_BYTES = 1_000_000

/** What was found in a file: one of our dishes, or a list of ingredient lines to be decided. */
export type FoundInFile =
  | { readonly kind: 'dish', readonly dish: DishCard }
  | { readonly kind: 'lines', readonly name: string, readonly lines: string }
  | { readonly kind: 'refused', readonly says: string }

/**
 * Reads a file somebody gives: a dish of ours, or a schema.org Recipe as JSON-LD, alone, in a list or in a graph.
 *
 * @param file any file
 * @returns what was found; a refusal says what happened and what to do, and nothing stored is touched
 */
export async function readDishFile(file: File): Promise<FoundInFile> {
  if (file.size > MOST_BYTES) return refused(`${file.name} is ${Math.round(file.size / 1e6)} MB: a dish is a few kB. Take the dish's own file.`)
  const text = await file.text()
  let value: unknown
  try {
    value = JSON.parse(text)
  }
  catch {
    return refused(`${file.name} is not JSON. A dish of ours or a Recipe as JSON-LD is; for anything else paste its ingredient lines.`)
  }
  return readDishValue(value, file.name)
}

/**
 * As `readDishFile`, for parsed JSON.
 *
 * @param value parsed JSON
 * @param where how it is called in a refusal
 * @returns what was found
 */
export function readDishValue(value: unknown, where: string): FoundInFile {
  const own = DishCardSchema.safeParse(value)
  if (own.success) return { kind: 'dish', dish: own.data }
  const recipe = candidates(value).map(one => RecipeLdSchema.safeParse(one)).find(parsed => parsed.success)?.data
  if (!recipe) {
    const what = own.error.issues[0]
    return refused(`${where} is neither a dish of ours nor a Recipe with its ingredients (${what ? `${what.path.join('.') || 'the whole'}: ${what.message}` : 'nothing known in it'}).`)
  }
  const carried = DishCardSchema.safeParse(recipe.yonHearthDish)
  if (carried.success) return { kind: 'dish', dish: carried.data }
  return { kind: 'lines', name: plainName(recipe.name), lines: recipe.recipeIngredient.join('\n') }
}

/** The object itself, the members of a list, and those of a `@graph`. */
function candidates(value: unknown): unknown[] {
  const list = z.array(z.unknown()).safeParse(value)
  if (list.success) return list.data.slice(0, 50).flatMap(candidates)
  const graph = z.looseObject({ '@graph': z.array(z.unknown()) }).safeParse(value)
  return graph.success ? graph.data['@graph'].slice(0, 50) : [value]
}

/** A name as plain text of at most 60 characters; what looks like markup stays letters on the screen. */
function plainName(name: string): string {
  // eslint-disable-next-line no-control-regex -- control characters are what is taken out
  const plain = name.replace(/<[^>]*>/g, ' ').replace(/[\u0000-\u001f\u007f]/g, ' ').replace(/\s+/g, ' ').trim().slice(0, 60)
  return plain === '' ? 'A dish from a file' : plain
}

function refused(says: string): FoundInFile {
  return { kind: 'refused', says: `${says} Nothing was changed.` }
}

/** A file that is given away. */
export interface GivenFile {
  readonly name: string
  readonly text: string
  /** Media type. */
  readonly type: string
}

const fileName = (dish: DishCard): string => dish.name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'dish'

/**
 * A dish as its own file, see docs/formats.md.
 *
 * @param dish a dish
 * @returns the file; it reads back without loss
 */
export function dishFile(dish: DishCard): GivenFile {
  return { name: `${fileName(dish)}.dish.json`, text: JSON.stringify(dish, null, 2), type: 'application/json' }
}

/**
 * A dish as a schema.org Recipe in JSON-LD, at its usual amounts.
 *
 * @param dish a dish that can be laid out
 * @param rowOf rows of the ingredient table
 * @returns the file; it carries our dish, so that it too reads back without loss
 */
export function recipeFile(dish: DishCard, rowOf: (ingredient: string) => Ingredient): GivenFile {
  const staged = stageDish(dish)
  const madeOf = (id: string) => staged.ingredients.find(one => one.id === id)!
  const goesIn = (stage: (typeof staged.stages)[number]): string => stage.adds
    .map(add => `${gramsText(madeOf(add.ingredient).perBase * dish.usual.baseG * add.share)} ${rowOf(madeOf(add.ingredient).ingredient).name.toLowerCase()}`).join(', ')
  const recipe = toRecipeLd(staged, dish.usual.baseG, whatComes(dish, dish.usual.baseG, rowOf), { category: familyName(dish), steps: stepsOf(staged, goesIn) }, rowOf, dish)
  return { name: `${fileName(dish)}.jsonld`, text: JSON.stringify(recipe, null, 2), type: 'application/ld+json' }
}

/**
 * Gives a text to the person as a file.
 *
 * @param name of the file
 * @param text its content
 * @param type media type
 */
export function giveFile(name: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type }))
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  URL.revokeObjectURL(address)
}
