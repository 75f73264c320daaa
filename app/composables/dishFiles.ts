import { z } from 'zod'
import { DishCardSchema } from '../../contracts/dish'
import { JsonSchema } from '../../contracts/recipeLd'
import { SharedDishSchema, type SharedDish } from '../../contracts/sharedDish'
import type { Ingredient } from '../../contracts/ingredient'
import { yieldOf } from '../../core/formulation/yield/yieldOf'
import { goesInAgain } from '../../core/formulation/dish/goesInAgain'
import type { DishCard } from '../../core/formulation/dish/dish'
import { stageDish } from '../../core/formulation/stages/stageDish'
import { findRecipes } from '../../core/formulation/exchange/recipe/findRecipes'
import { recipeGrams } from '../../core/formulation/exchange/recipe/recipeGrams'
import { toRecipeLd } from '../../core/formulation/exchange/recipe/toRecipeLd'
import { familyName } from '../../words/dish'
import { stepTexts } from '../../words/recipe'
import { readPage } from './readPage'

/** Largest file that is read, bytes: a saved page with its styles in it is large. */
const MOST_BYTES = 8_000_000
/** Most recipes of one file that are offered. */
const MOST_RECIPES = 60

/** A recipe's name and its ingredient lines, to be decided. */
export interface FoundLines { readonly name: string, readonly lines: string }

/** What was found in a file: dishes of ours, or recipes whose ingredient lines are to be decided. */
export type FoundInFile =
  | { readonly kind: 'dish', readonly dish: DishCard, readonly ingredients: SharedDish['ingredients'] }
  | { readonly kind: 'lines', readonly recipes: readonly FoundLines[], readonly says: string }
  | { readonly kind: 'refused', readonly says: string }

/**
 * Reads a file somebody gives: a dish of ours, a schema.org Recipe as JSON-LD in any of its shapes, or a saved page
 * that holds one.
 *
 * @param file any file
 * @returns what was found; a refusal says what happened and what to do, and nothing stored is touched
 */
export async function readDishFile(file: File): Promise<FoundInFile> {
  if (file.size > MOST_BYTES)
    return refused(
      `${file.name} is ${Math.round(file.size / 1e6)} MB, and ${MOST_BYTES / 1e6} MB are read. Save the page without its pictures, or paste its ingredient lines.`,
    )
  return readDishText(await file.text(), file.name)
}

/**
 * As `readDishFile`, for the file's text.
 *
 * @param text of the file
 * @param where how it is called in a refusal
 * @returns what was found
 */
export function readDishText(text: string, where: string): FoundInFile {
  const bare = text.replace(/^\ufeff/, '').trim()
  if (bare === '') return refused(`${where} is empty.`)
  if (/^[{[]/.test(bare)) {
    try {
      return readDishValue(JSON.parse(bare), where)
    }
    catch (error) {
      return refused(
        `${where} breaks off or is not JSON (${error instanceof Error ? error.message : 'unreadable'}). Save it again, or paste its ingredient lines.`,
      )
    }
  }
  if (/<(?:!doctype|html|head|body|script|div)\b/i.test(bare)) {
    const { values, broken } = readPage(bare)
    if (values.length === 0) {
      const why = broken[0]
      return refused(
        why
          ? `${where} is a page whose recipe data cannot be read (${why}).`
          : `${where} is a page without a marked-up recipe in it. Copy its ingredient lines and paste them instead.`,
      )
    }
    return readDishValue(values, where)
  }
  return refused(`${where} is neither JSON nor a page. Paste its ingredient lines instead.`)
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
  const ours = ourDish(value)
  if (ours) return { kind: 'dish', ...ours }
  const json = JsonSchema.safeParse(value)
  const { recipes, isBare, types } = json.success ? findRecipes(json.data) : { recipes: [], isBare: false, types: [] }
  if (recipes.length === 0) return refused(noRecipe(where, isBare, types, value, own.error))
  const [first] = recipes
  const carried = recipes.length === 1 ? ourDish(first!.carried) : null
  if (carried) return { kind: 'dish', ...carried }
  const lines = recipes
    .slice(0, MOST_RECIPES)
    .filter(one => one.lines.length > 0)
    .map(one => ({ name: plainName(one.name), lines: one.lines.join('\n') }))
  if (lines.length === 0)
    return refused(
      `${where} carries a dish of a form this house does not know: ${firstFault(DishCardSchema.safeParse(first!.carried).error)}. It may come from a newer house.`,
    )
  const beyond = recipes.length - MOST_RECIPES
  const damaged =
    first!.carried === undefined
      ? ''
      : 'The dish it carries is of a form this house does not know, so its lines are read instead. '
  return {
    kind: 'lines',
    recipes: lines,
    says: `${damaged}${beyond > 0 ? `${where} holds ${recipes.length} recipes; the first ${MOST_RECIPES} are offered. ` : ''}`.trim(),
  }
}

/** A dish of ours: alone, or with the ingredients that no other house knows. */
function ourDish(value: unknown): SharedDish | null {
  const card = DishCardSchema.safeParse(value)
  if (card.success) return { dish: card.data, ingredients: [] }
  const shared = SharedDishSchema.safeParse(value)
  return shared.success ? shared.data : null
}

/** What is written of a dish: the card alone where every house knows its ingredients. */
const written = (shared: SharedDish): unknown => (shared.ingredients.length > 0 ? shared : shared.dish)

/** Why nothing was found, as it truly is. */
function noRecipe(
  where: string,
  isBare: boolean,
  types: readonly string[],
  value: unknown,
  fault: Parameters<typeof firstFault>[0],
): string {
  if (isBare)
    return `${where} holds a recipe that names no ingredients. Copy its ingredient lines and paste them instead.`
  if (types.length > 0) return `${where} holds ${types.join(', ')}, and no recipe.`
  // A dish of ours has a family: then it is said what is wrong with it.
  const isOurs = z.looseObject({ family: z.string(), choices: z.unknown() }).safeParse(value).success
  return isOurs
    ? `${where} is a dish of ours with a fault in it: ${firstFault(fault)}.`
    : `${where} is JSON, but neither a dish of ours nor a recipe.`
}

function firstFault(
  error:
    { readonly issues: readonly { readonly path: readonly PropertyKey[], readonly message: string }[] } | undefined,
): string {
  const what = error?.issues[0]
  return what ? `${what.path.join('.') || 'the whole'}: ${what.message}` : 'nothing known in it'
}

/** A name as plain text of at most 60 characters; what looks like markup stays letters on the screen. */
function plainName(name: string): string {
  const plain = name
    .replace(/<[^>]*>/g, ' ')
    // eslint-disable-next-line no-control-regex -- control characters are what is taken out
    .replace(/[\u0000-\u001f\u007f]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 60)
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

const fileName = (dish: DishCard): string =>
  dish.name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'dish'

/**
 * A dish as its own file, see docs/formats.md.
 *
 * @param shared a dish, with ingredients of the household's own
 * @returns the file; it reads back without loss
 */
export function dishFile(shared: SharedDish): GivenFile {
  return {
    name: `${fileName(shared.dish)}.dish.json`,
    text: JSON.stringify(written(shared), null, 2),
    type: 'application/json',
  }
}

/**
 * A dish as a schema.org Recipe in JSON-LD, at its usual amounts.
 *
 * @param shared a dish that can be laid out, with ingredients of the household's own
 * @param rowOf rows of the ingredient table
 * @returns the file; it carries our dish, so that it too reads back without loss
 */
export function recipeFile(shared: SharedDish, rowOf: (ingredient: string) => Ingredient): GivenFile {
  const { dish } = shared
  const staged = stageDish(dish)
  const madeOf = (id: string) => staged.ingredients.find(one => one.id === id)!
  const goesIn = (stage: (typeof staged.stages)[number]): string => stage.adds.map((add) => {
    const name = rowOf(madeOf(add.ingredient).ingredient).name.toLowerCase()
    return goesInAgain(staged.stages, stage.id, add.ingredient)
      ? `the ${name} set aside`
      : `${recipeGrams(madeOf(add.ingredient).perBase * dish.usual.baseG * add.share)} ${name}`
  }).join(', ')
  const recipe = toRecipeLd(
    staged,
    dish.usual.baseG,
    yieldOf(dish, dish.usual.baseG, rowOf),
    { category: familyName(dish), steps: stepTexts(staged, goesIn) },
    rowOf,
    written(shared),
  )
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
