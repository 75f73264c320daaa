import { keysOf } from '../../records'

/** What a form asks of everything else. */
interface FormRow {
  /** What divides it: a spoon into bowls, a knife in a tray, hands one by one. */
  readonly shapedBy: 'spoon' | 'knife' | 'hands'
  /** True where a dry base takes powdered sugar off the fire, and no liquid. */
  readonly dry: boolean
  /**
   * Sugar over all of the syrup it is made with, by weight: 65 % boils near 105 °C and stays soft, 78 % near 110 °C and
   * sets to a slab (kitchen rules, estimates).
   */
  readonly syrupShare: number
  /** A usual portion, g (estimate). */
  readonly portionG: number
}

const ROWS = {
  soft: { shapedBy: 'spoon', dry: false, syrupShare: 0.65, portionG: 120 },
  slab: { shapedBy: 'knife', dry: false, syrupShare: 0.78, portionG: 35 },
  balls: { shapedBy: 'hands', dry: true, syrupShare: 0.74, portionG: 35 },
} as const satisfies Readonly<Record<string, FormRow>>

/** What a dish is made into. */
export type Form = keyof typeof ROWS

/** Every form: what it asks of plan, fire, tray and keeping. A new one is a row here, its usual answers, its words. */
export const FORM_ROWS: Readonly<Record<Form, FormRow>> = ROWS

/** The forms in the order they are offered. */
export const FORMS: readonly Form[] = keysOf(ROWS)

/**
 * What the form of a dish asks for.
 *
 * @param dish with its choices; without any it is taken for a soft one
 * @returns the row of its form
 */
export function formOf(dish: { readonly choices?: { readonly form: Form } | undefined }): FormRow {
  return FORM_ROWS[dish.choices?.form ?? 'soft']
}
