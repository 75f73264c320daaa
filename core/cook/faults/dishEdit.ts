import type { DishCard, Part } from '../../formulation/dish/dish'
import { withChoice } from '../../formulation/dish/withChoice'
import type { Ingredient } from '../../materials/composition/ingredient'
import type { LikedFor, Liking } from '../../record/marks/afterFire'
import type { BatchRecord } from '../compare/difference'
import { mainLine } from '../../formulation/dish/mainLine'
import { boundaryIndex } from '../../formulation/dish/boundaryIndex'
import { doneIndex } from '../../formulation/dish/doneIndex'
import type { FaultCause } from './causes'

/** A change of a dish that can be made at a touch. */
export type DishEdit =
  | { readonly kind: 'amount', readonly role: 'liquid' | 'fat' | 'sugar', readonly times: number }
  | { readonly kind: 'choice', readonly key: 'sugar' | 'pour', readonly value: string }
  | { readonly kind: 'minutes', readonly stages: readonly string[], readonly times: number }

const PARTS: Readonly<Record<'liquid' | 'fat' | 'sugar', readonly Part[]>> = {
  liquid: ['water', 'milk', 'juice'],
  fat: ['fat'],
  sugar: ['sugar', 'jaggery', 'condensed'],
}
/** Usual size of a change, share (estimate): enough to be noticed, too little to turn the fault round. */
const STEP = 0.1
/** Least and most that weights suggest. */
const LEAST = 0.04
const MOST = 0.18
/** Minutes are moved by this share. */
const MINUTES = 0.2

/**
 * What to change of the dish next time for a cause, as far as the dish and not the hand is to be changed.
 *
 * @param cause taken for the true one
 * @param record the batch: how far its weight was off says how much
 * @returns a change; null where only the hand, the flame or the pan is to change
 */
export function editFor(cause: FaultCause, record: BatchRecord): DishEdit | null {
  const { plan } = record
  const line = mainLine(plan.dish)
  const roast = line.filter(stage => stage.does === 'roast').map(stage => stage.id)
  const after = line
    .slice(boundaryIndex(plan.dish, plan.dish.keystone), doneIndex(plan.dish))
    .filter(stage => stage.does !== 'pour')
    .map(stage => stage.id)
  switch (cause) {
    case 'too-wet':
      return { kind: 'amount', role: 'liquid', times: 1 - offBy(record, 1) }
    case 'too-dry':
      return { kind: 'amount', role: 'liquid', times: 1 + offBy(record, -1) }
    case 'more-fat':
      return { kind: 'amount', role: 'fat', times: 1 - STEP }
    case 'less-fat':
    case 'rolled-cool':
      return { kind: 'amount', role: 'fat', times: 1 + STEP }
    case 'more-sugar':
      return { kind: 'amount', role: 'sugar', times: 1 - STEP }
    case 'less-sugar':
      return { kind: 'amount', role: 'sugar', times: 1 + STEP }
    case 'sugar-early':
      return plan.dish.choices?.sugar === 'in-liquid' ? { kind: 'choice', key: 'sugar', value: 'after-swelling' } : null
    case 'poured-fast':
    case 'cold-liquid':
      return plan.dish.choices?.pour === 'at-once' ? { kind: 'choice', key: 'pour', value: 'in-parts' } : null
    case 'roast-short':
      return roast.length > 0 ? { kind: 'minutes', stages: roast, times: 1 + MINUTES } : null
    case 'roast-long':
      return roast.length > 0 ? { kind: 'minutes', stages: roast, times: 1 - MINUTES } : null
    case 'off-early':
      return after.length > 0 ? { kind: 'minutes', stages: after, times: 1 + MINUTES } : null
    case 'off-late':
      return after.length > 0 ? { kind: 'minutes', stages: after, times: 1 - MINUTES } : null
    default:
      return null
  }
}

/** How much of its liquid the finished weight was off by, on the side that is asked for. */
function offBy({ plan, summary }: BatchRecord, side: 1 | -1): number {
  const liquidG = plan.dish.ingredients
    .filter(one => one.part && PARTS.liquid.includes(one.part))
    .reduce((sum, one) => sum + one.perBase * summary.baseG, 0)
  if (!summary.weighed || summary.finishedG === null || summary.plannedFinishedG === null || !(liquidG > 0)) return STEP
  return Math.min(MOST, Math.max(LEAST, side * (summary.finishedG - summary.plannedFinishedG) / liquidG))
}

/**
 * What those who ate it would have changed.
 *
 * @param of what was asked
 * @param liking their answer
 * @returns a change; null where it was right
 */
export function editForLiking(of: LikedFor, liking: Liking): DishEdit | null {
  if (liking === 'right') return null
  const times = liking === 'less' ? 1 - STEP : 1 + STEP
  if (of === 'sweetness') return { kind: 'amount', role: 'sugar', times }
  if (of === 'richness') return { kind: 'amount', role: 'fat', times }
  return { kind: 'amount', role: 'liquid', times: liking === 'less' ? 1 - STEP / 2 : 1 + STEP / 2 }
}

/**
 * The changed copy of a dish: its next version.
 *
 * @param card the newest version
 * @param edit what to change
 * @param rowOf rows of the ingredient table
 * @param note why, for the dish's own page
 * @returns the next version; null where the dish has nothing to change so
 */
export function editedDish(
  card: DishCard,
  edit: DishEdit,
  rowOf: (ingredient: string) => Ingredient,
  note: string,
): DishCard | null {
  const next = { ...card, version: card.version + 1, note: note.slice(0, 400) }
  if (edit.kind === 'choice')
    return card.choices[edit.key] === edit.value
      ? null
      : withChoice(next, { [edit.key]: edit.value }, rowOf)
  if (edit.kind === 'minutes') {
    const known = edit.stages.filter(stage => card.usual.minutes[stage] !== undefined)
    if (known.length === 0) return null
    const minutes = Object.fromEntries(
      known.map(stage => [stage, Math.max(0.5, Math.round((card.usual.minutes[stage] ?? 1) * edit.times * 2) / 2)]),
    )
    return { ...next, usual: { ...card.usual, minutes: { ...card.usual.minutes, ...minutes } } }
  }
  const parts = PARTS[edit.role]
  if (!card.ingredients.some(one => one.part && parts.includes(one.part))) return null
  return {
    ...next,
    ingredients: card.ingredients.map(one =>
      one.part && parts.includes(one.part) && one.id !== card.base
        ? { ...one, perBase: Math.round(one.perBase * edit.times * 1e4) / 1e4 }
        : one,
    ),
  }
}
