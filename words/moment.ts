import type { CookPlan } from '../core/live/plan'
import { KIND_WORDS, SIGN_WORDS, STEP_WORDS, vesselText } from './cook'
import { stageName } from './stages'

/** How weights (g) and temperatures (°C) are said. */
export interface Readings { grams(massG: number): string, degrees(tempC: number): string }

const METRIC: Readings = { grams: massG => `${massG} g`, degrees: tempC => `${tempC} °C` }

/**
 * A moment of a cook in a few words.
 *
 * @param plan whose stages and marks are named
 * @param kind of the observation
 * @param payload of the observation
 * @param say how weights and temperatures are read in this house
 * @returns such as `seen nuts`, `began roast`, `flame half-low`; the bare kind for an unknown one
 */
export function momentText(plan: CookPlan, kind: string, payload: Readonly<Record<string, unknown>>, say: Readings = METRIC): string {
  const text = (name: string): string => (typeof payload[name] === 'string' || typeof payload[name] === 'number' ? String(payload[name]) : '')
  const stage = plan.dish.stages.find(one => one.id === text('stage'))
  const mark = text('mark') === 'off' ? 'off' : Object.values(plan.fires).flatMap(fire => fire.marks).find(one => one.id === text('mark'))?.label
  const what = SIGN_WORDS[text('sign')]?.short ?? STEP_WORDS[text('step')] ?? (stage ? stageName(stage) : undefined) ?? mark
    ?? (text('grossG') ? say.grams(Number(text('grossG'))) : undefined) ?? (text('tempC') ? say.degrees(Number(text('tempC'))) : undefined)
    ?? (typeof payload.lid === 'boolean' ? (payload.lid ? 'on' : 'off') : undefined) ?? (text('vessel') ? vesselText(plan, text('vessel')) : '')
  return `${KIND_WORDS[kind] ?? kind} ${what}`.trim()
}
