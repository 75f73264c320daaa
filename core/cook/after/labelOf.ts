import { formOf } from '../../formulation/dish/forms'
import type { Allergen, Ingredient } from '../../materials/composition/ingredient'
import { mainLine } from '../../formulation/dish/mainLine'
import { usualMinutes } from '../../formulation/dish/usualMinutes'
import { familyOf } from '../../formulation/family/families'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import { contentMass, contentVolume, stageContents } from '../../formulation/yield/contents'
import type { Standing } from './standing'

/** What stands on a label. Times in ms since 1970, masses in g. */
export interface LabelFacts {
  readonly name: string
  readonly massG: number
  /** The same as a kitchen says it: so many pieces, or the volume of a soft mass, ml; null where it holds nothing. */
  readonly about: { readonly pieces: number, readonly eachG: number } | { readonly volumeMl: number } | null
  readonly madeAt: number
  readonly eatBy: readonly [number, number]
  /** It has to be in the cold by then, or is to be thrown out; null where it is, or need not be. */
  readonly coldBy: number | null
  readonly cold: boolean
  /** Ids of the ingredients in falling weight, as they went in. */
  readonly ingredients: readonly string[]
  readonly allergens: readonly Allergen[]
}

/**
 * The label of a batch: ingredients in falling weight as they went in, what was added beside the plan among them and
 * what was forgotten not; allergens by name.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param standing how it stands
 * @param rowOf rows of the ingredient table; undefined where a batch of another house names one that is not known here
 * @returns what stands on it; it is to be kept cold where it stands cold or must
 */
export function labelOf(
  plan: CookPlan,
  cook: LiveCook,
  standing: Standing,
  rowOf: (ingredient: string) => Ingredient | undefined,
): LabelFacts {
  const weights = new Map<string, number>()
  const forgotten = new Set(cook.forgotten.map(one => one.what))
  const went = [...plan.amounts.filter(one => !forgotten.has(one.id)), ...cook.changes.flatMap(one => one.what.adds)]
  for (const { ingredient, massG } of went) weights.set(ingredient, (weights.get(ingredient) ?? 0) + massG)
  const ingredients = [...weights]
    .filter(([, massG]) => massG > 0)
    .sort((p, q) => q[1] - p[1])
    .map(([id]) => id)
  return {
    name: plan.dish.name,
    massG: standing.leftG,
    about: aboutOf(plan, standing.leftG),
    madeAt: standing.madeAt,
    eatBy: standing.coldBy === null ? standing.eatBy : standing.inCold,
    coldBy: standing.coldBy,
    cold: standing.place === 'cold' || standing.keeping.standsH !== null,
    ingredients,
    allergens: [...new Set(ingredients.flatMap(id => rowOf(id)?.allergens ?? []))],
  }
}

/** Slabs and balls by their portions, a soft mass by the density it ends with. */
function aboutOf({ dish, amounts }: CookPlan, massG: number): LabelFacts['about'] {
  const { portionG } = dish
  if (formOf(dish).shapedBy !== 'spoon')
    return { pieces: Math.max(1, Math.round(massG / portionG)), eachG: portionG }
  const end = stageContents({ dish, amounts }, mainLine(dish).map(stage => 60 * usualMinutes(dish, stage))).at(-1)?.to
  const volumeMl = end ? contentVolume(end, familyOf(dish.family).fresh, 1) : 0
  return end && volumeMl > 0 ? { volumeMl: massG * volumeMl / contentMass(end) } : null
}
