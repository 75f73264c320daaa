import type { CookPlan } from '../core/live/plan'
import { KIND_WORDS, SIGN_WORDS, STEP_WORDS, vesselText } from './cook'
import { stageName } from './stages'

/**
 * A moment of a cook in a few words.
 *
 * @param plan whose stages and marks are named
 * @param kind of the observation
 * @param payload of the observation
 * @returns such as `seen nuts`, `began roast`, `flame half-low`; the bare kind for an unknown one
 */
export function momentText(plan: CookPlan, kind: string, payload: Readonly<Record<string, unknown>>): string {
  const text = (name: string): string => (typeof payload[name] === 'string' || typeof payload[name] === 'number' ? String(payload[name]) : '')
  const stage = plan.dish.stages.find(one => one.id === text('stage'))
  const mark = text('mark') === 'off' ? 'off' : Object.values(plan.fires).flatMap(fire => fire.marks).find(one => one.id === text('mark'))?.label
  const what = SIGN_WORDS[text('sign')]?.short ?? STEP_WORDS[text('step')] ?? (stage ? stageName(stage) : undefined) ?? mark
    ?? (text('grossG') ? `${text('grossG')} g` : undefined) ?? (text('tempC') ? `${text('tempC')} °C` : undefined)
    ?? (typeof payload.lid === 'boolean' ? (payload.lid ? 'on' : 'off') : undefined) ?? (text('vessel') ? vesselText(plan, text('vessel')) : '')
  return `${KIND_WORDS[kind] ?? kind} ${what}`.trim()
}
