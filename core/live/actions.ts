import { mainLine } from '../dish/mainLine'
import { COLOUR_STEPS } from '../dish/signIds'
import { sideStages } from '../dish/sideStages'
import { dueTurn } from './dueTurn'
import type { CookPlan } from './plan'
import type { LiveCook } from './replay'

/** One of the big actions: what it marks, or that it opens the colours to choose from. */
export interface Action {
  readonly role: 'smelled' | 'seen' | 'done' | 'other'
  /** Which words it carries: a code of `words/`. */
  readonly code: string
  readonly marks: { readonly kind: string, readonly payload: Readonly<Record<string, unknown>> } | null
  readonly opens: 'colours' | null
}

const COLOURS: readonly string[] = COLOUR_STEPS

/** At most this many actions are shown. */
const MOST = 3

/**
 * The big actions of a moment, the one that is waited for first; never more than three.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param due side vessel that should go on now, or null
 * @returns actions in order
 */
export function actionsOf(plan: CookPlan, cook: LiveCook, due: string | null): Action[] {
  if (cook.finishedS !== null) return []
  const line = mainLine(plan.dish)
  const stage = line[cook.stage]
  if (!stage) return [{ role: 'done', code: 'start', marks: { kind: 'cook.started', payload: {} }, opens: null }]
  const actions: Action[] = []
  if (due) actions.push({ role: 'other', code: `light.${sideStages(plan.dish).find(one => one.vessel === due)?.id ?? due}`, marks: { kind: 'vessel.lit', payload: { vessel: due } }, opens: null })
  const turn = dueTurn(plan, cook)
  if (turn) actions.push({ role: 'other', code: `turn.${turn.mark}`, marks: { kind: 'flame.changed', payload: { vessel: stage.vessel, mark: turn.mark } }, opens: null })
  const tapped = (sign: string): boolean => cook.signs.some(tap => tap.what === sign)
  if (stage.does === 'roast' && stage.id !== 'paste' && !tapped('aroma')) actions.push(signAction('smelled', 'aroma'))
  if ('sign' in stage.until) {
    const { sign } = stage.until
    if (COLOURS.includes(sign)) actions.push({ role: 'seen', code: 'looks', marks: null, opens: 'colours' })
    else if (!tapped(sign) && sign !== 'aroma') actions.push(signAction('seen', sign))
  }
  const next = line[cook.stage + 1]
  const done: Action = next
    ? { role: 'done', code: `begin.${next.id}`, marks: { kind: 'stage.began', payload: { stage: next.id } }, opens: null }
    : { role: 'done', code: 'finish', marks: { kind: 'cook.finished', payload: {} }, opens: null }
  const reached = 'sign' in stage.until && stage.does === 'roast' && cook.looks.length > 0
  return [...(reached ? [done, ...actions] : [...actions.slice(0, MOST - 1), done])].slice(0, MOST)
}

function signAction(role: 'smelled' | 'seen', sign: string): Action {
  return { role, code: `sign.${sign}`, marks: { kind: 'sign.seen', payload: { sign } }, opens: null }
}
