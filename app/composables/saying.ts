import type { Ingredient } from '../../contracts/ingredient'
import type { Kitchen, Measure } from '../../contracts/kitchen'
import type { DishCard } from '../../core/formulation/dish/dish'
import { CoreError } from '../../core/error'
import { inRatio, parseRatio, type SaidRatio } from '../../core/formulation/proportions/ratio'
import { baseOf, type ScaleFacts } from '../../core/formulation/scale/baseOf'
import { parseScale } from '../../core/formulation/scale/parseScale'
import { fromStore } from '../../core/formulation/store/fromStore'
import { requestText } from '../../words/scale'

/** What a spoken amount is measured against. */
export interface SaidAgainst {
  readonly card: DishCard | null
  readonly facts: ScaleFacts | null
  readonly cup: Measure | null
  readonly kitchen: Kitchen | null
  rowOf(id: string): Ingredient
  /** Ids of what stands on the shelf, in its order. */
  readonly shelf: readonly string[]
}

/**
 * What came of something said: a new weight of the base, new proportions where a ratio was said, and what was
 * understood; or a sentence of refusal.
 */
export type Said =
  { readonly baseG: number, readonly dish?: DishCard, readonly heard: string } | { readonly trouble: string }

/** What the placeholder offers: as much as the store is enough for. */
const ON_HAND =
  /^(?:(?:what(?:ever)?|all)(?: that)?(?: is)? )?(?:on hand|at hand|in the house|in the store|we have|i have|there is)$/i

/**
 * Scales a dish as somebody says it.
 *
 * @param text what was typed
 * @param against the dish in hand, the cup and the kitchen
 * @returns the base asked for in g, or a refusal that says what to do; nothing is changed here
 */
export function sayScale(text: string, against: SaidAgainst): Said | null {
  const { card, facts, cup, kitchen } = against
  if (!card || !facts || !cup || text.trim() === '') return null
  const rowOf = (id: string): Ingredient => against.rowOf(id)
  try {
    const ratio = parseRatio(text)
    if (ratio) return sayRatio(ratio, against, card, facts.baseG)
    if (ON_HAND.test(text.trim())) return sayOnHand(against, card)
    const request = parseScale(text, {
      dish: card,
      rowOf,
      cup,
      measures: kitchen?.measures ?? [],
      trays: kitchen?.trays ?? [],
    })
    return { baseG: baseOf(request, facts), heard: requestText(request, card, rowOf) }
  }
  catch (error) {
    if (!(error instanceof CoreError)) throw error
    return {
      trouble:
        error.code === 'out-of-range'
          ? 'That is outside what a kitchen cooks: between 5 g and 20 kg of the base. Nothing was changed.'
          : error.code === 'unknown-name'
            ? 'The dish has no such ingredient, or no pan is chosen. Nothing was changed.'
            : `"${text}" was not understood. Say it as 2 glasses, 300 g, 6 people, 1 : 1 : 1 : 3, 900 g carrots peeled, 24 balls of 30 g, ×2, tray 20 x 20 cm, 12 mm, what is on hand, or fill the pan. Nothing was changed.`,
    }
  }
}

/** The names of a part, as they are said back. */
const named = (ids: readonly string[], card: DishCard, rowOf: (id: string) => Ingredient): string =>
  ids
    .map(id =>
      (rowOf(card.ingredients.find(one => one.id === id)?.ingredient ?? id).name.split(',')[0] ?? id).toLowerCase(),
    )
    .join(' with ')

function sayRatio(ratio: SaidRatio, { shelf, rowOf }: SaidAgainst, card: DishCard, baseG: number): Said {
  try {
    const { dish, meant } = inRatio({ dish: card, baseG }, ratio, shelf, rowOf)
    return {
      baseG,
      dish,
      heard: `Taken by ${ratio.by}: ${meant.map((ids, i) => `${ratio.parts[i]} ${named(ids, card, rowOf)}`).join(', ')}. What it does not speak of stays.`,
    }
  }
  catch (error) {
    if (!(error instanceof CoreError) || error.code !== 'not-understood') throw error
    return {
      trouble: `${ratio.parts.length} parts do not fit this dish: say ${shelf.length}, for ${shelf.map(id => named([id], card, rowOf)).join(' : ')}. Nothing was changed.`,
    }
  }
}

function sayOnHand({ kitchen, rowOf }: SaidAgainst, card: DishCard): Said {
  const enough = fromStore(card, kitchen?.store ?? [], rowOf)
  const base = named([card.base], card, rowOf)
  if (!enough || enough.baseG < 5)
    return {
      trouble: `The store knows of no ${base}. Say how much there is, as 900 g ${base}; or put it in the store on the kitchen page. Nothing was changed.`,
    }
  const missing =
    enough.missing.length > 0
      ? ` Not counted, for the store does not know of it: ${enough.missing.map(id => named([id], card, rowOf)).join(', ')}.`
      : ''
  return {
    baseG: Math.min(20_000, enough.baseG),
    heard: `As much as the store is enough for: ${named([enough.runsOut], card, rowOf)} runs out first.${missing}`,
  }
}
