import type { Ingredient } from '../../contracts/ingredient'
import type { Kitchen, Measure } from '../../contracts/kitchen'
import type { DishCard } from '../../core/dish/dish'
import { CoreError } from '../../core/error'
import { baseOf, type ScaleFacts } from '../../core/scale/baseOf'
import { parseScale } from '../../core/scale/parseScale'
import { requestText } from '../../words/scale'

/** What a spoken amount is measured against. */
export interface SaidAgainst {
  readonly card: DishCard | null
  readonly facts: ScaleFacts | null
  readonly cup: Measure | null
  readonly kitchen: Kitchen | null
  rowOf(id: string): Ingredient
}

/** What came of something said: a new weight of the base, and what was understood; or a sentence of refusal. */
export type Said = { readonly baseG: number, readonly heard: string } | { readonly trouble: string }

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
    const request = parseScale(text, { dish: card, rowOf, cup, measures: kitchen?.measures ?? [], trays: kitchen?.trays ?? [] })
    return { baseG: baseOf(request, facts), heard: requestText(request, card, rowOf) }
  }
  catch (error) {
    if (!(error instanceof CoreError)) throw error
    return {
      trouble: error.code === 'out-of-range'
        ? 'That is outside what a kitchen cooks: between 5 g and 20 kg of the base. Nothing was changed.'
        : error.code === 'unknown-name'
          ? 'The dish has no such ingredient, or no pan is chosen. Nothing was changed.'
          : `"${text}" was not understood. Say it as 2 glasses, 300 g, 6 people, 900 g carrots peeled, 24 balls of 30 g, ×2, tray 20 x 20 x 2 cm, or fill the pan. Nothing was changed.`,
    }
  }
}
