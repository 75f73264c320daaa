import type { CookPlan } from '../core/record/plan/plan'
import { isTerm, TERMS } from '../core/formulation/signs/terms'
import { KIND_WORDS, SIGN_WORDS, STEP_WORDS, vesselText } from './cook'
import { SLIP_WORDS, UPTAKE_WORDS, WAY_WORDS } from './repairs'
import { TERM_WORDS } from './senses'
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
 * @returns such as `marked nuts`, `began roast`, `felt: hard centre`; the bare kind for an unknown one
 */
export function momentText(plan: CookPlan, kind: string, payload: Readonly<Record<string, unknown>>, say: Readings = METRIC): string {
  const text = (name: string): string => (typeof payload[name] === 'string' || typeof payload[name] === 'number' ? String(payload[name]) : '')
  if (isTerm(payload.as)) return `${TERMS[payload.as].sense}: ${lower(TERM_WORDS[payload.as].text)}`
  const stage = plan.dish.stages.find(one => one.id === text('stage'))
  const mark = text('mark') === 'off' ? 'off' : Object.values(plan.fires).flatMap(fire => fire.marks).find(one => one.id === text('mark'))?.label
  const what = SIGN_WORDS[text('sign')]?.short ?? STEP_WORDS[text('step')] ?? (stage ? stageName(stage) : undefined) ?? mark
    ?? (text('grossG') ? say.grams(Number(text('grossG'))) : undefined) ?? (text('tempC') ? say.degrees(Number(text('tempC'))) : undefined)
    ?? wentIn(payload, say) ?? (text('depthMm') ? `${text('depthMm')} mm` : undefined) ?? SLIP_WORDS[text('what')]?.toLowerCase() ?? UPTAKE_WORDS[text('pace')]
    ?? (text('ingredient') ? text('ingredient').replaceAll('-', ' ') : undefined) ?? (text('seconds') ? `${text('seconds')} s` : undefined)
    ?? (typeof payload.lid === 'boolean' ? (payload.lid ? 'on' : 'off') : undefined) ?? (text('vessel') ? vesselText(plan, text('vessel')) : '')
  return `${KIND_WORDS[kind] ?? kind} ${what}`.trim()
}

/** What a change of the pan put in or took off; its way where it did neither. */
function wentIn(payload: Readonly<Record<string, unknown>>, say: Readings): string | undefined {
  const adds = Array.isArray(payload.adds) ? payload.adds as readonly { readonly ingredient?: unknown, readonly massG?: unknown }[] : []
  const parts = adds.filter(one => typeof one.massG === 'number' && typeof one.ingredient === 'string').map(one => `${say.grams(one.massG as number)} ${String(one.ingredient).replaceAll('-', ' ')}`)
  const off = typeof payload.liftsFatG === 'number' && payload.liftsFatG > 0 ? [`${say.grams(payload.liftsFatG)} fat off`] : []
  const way = typeof payload.way === 'string' ? WAY_WORDS[payload.way]?.title.toLowerCase() : undefined
  return [...parts, ...off].join(', ') || way
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
