import { isTerm, TERMS } from '../core/formulation/signs/terms'
import { isMarkKind, MARK_KINDS, type AnyMark, type MarkKind, type MarkOf } from '../core/record/marks/kinds'
import type { CookPlan } from '../core/record/plan/plan'
import { SIGN_WORDS, STEP_WORDS, vesselText } from './cook'
import { SLIP_WORDS, UPTAKE_WORDS, WAY_WORDS } from './repairs'
import { TERM_WORDS } from './senses'
import { stageName } from './stages'
import { wordFor } from './wordFor'

/** How weights (g) and temperatures (°C) are said. */
export interface Readings { grams(massG: number): string, degrees(tempC: number): string }

/** What a mark names is said with: the plan whose stages and flames it names, and how readings are said. */
interface Saying { readonly plan: CookPlan, readonly say: Readings }

/** How marks of a kind are said: what was done, and, where it names something, what. */
interface MarkWords<K extends MarkKind> {
  readonly verb: string
  readonly what?: (payload: MarkOf<K>['payload'], saying: Saying) => string | undefined
}

const METRIC: Readings = { grams: massG => `${massG} g`, degrees: tempC => `${tempC} °C` }

/** Every kind of mark in a few words. */
export const MARK_WORDS: { readonly [K in MarkKind]: MarkWords<K> } = {
  'cook.started': { verb: 'fire lit' },
  'stage.began': { verb: 'began', what: ({ stage }, { plan }) => stageText(plan, stage) },
  'sign.seen': { verb: 'marked', what: ({ sign }) => SIGN_WORDS[sign].short },
  'looks.like': { verb: 'looked', what: ({ step }) => STEP_WORDS[step] },
  'flame.changed': {
    verb: 'flame',
    what: ({ mark, vessel }, { plan }) => flameText(plan, mark) ?? vesselOf(plan, vessel),
  },
  'lid.changed': { verb: 'lid', what: ({ lid }) => (lid ? 'on' : 'off') },
  'vessel.lit': { verb: 'put on', what: ({ vessel }, { plan }) => vesselOf(plan, vessel) },
  'off.fire': { verb: 'off the fire', what: ({ vessel }, { plan }) => vesselOf(plan, vessel) },
  'weighed': { verb: 'weighed', what: ({ grossG }, { say }) => say.grams(grossG) },
  'temperature': { verb: 'temperature', what: ({ tempC }, { say }) => say.degrees(tempC) },
  'depth.measured': { verb: 'depth', what: ({ depthMm }) => `${depthMm} mm` },
  'uptake.seen': { verb: 'taken up', what: ({ pace }) => UPTAKE_WORDS[pace] },
  'release.heard': { verb: 'release heard', what: ({ vessel }, { plan }) => vesselOf(plan, vessel) },
  'added': { verb: 'beside the plan:', what: (payload, { say }) => changeText(payload, say) },
  'repaired': {
    verb: 'put right',
    what: (payload, { say }) => changeText(payload, say) ?? wordFor(WAY_WORDS, payload.way)?.title.toLowerCase(),
  },
  'forgotten': { verb: 'forgotten', what: ({ ingredient }) => ingredient.replaceAll('-', ' ') },
  'kept.back': { verb: 'kept back', what: ({ vessel }, { plan }) => vesselOf(plan, vessel) },
  'rest.poured': { verb: 'rest poured', what: ({ vessel }, { plan }) => vesselOf(plan, vessel) },
  'unstirred': { verb: 'left unstirred', what: ({ seconds }) => `${seconds} s` },
  'slip': { verb: 'slip', what: ({ what }) => SLIP_WORDS[what].toLowerCase() },
  'not.yet': { verb: 'not yet', what: ({ sign }) => SIGN_WORDS[sign].short },
  'perceived': { verb: 'perceived' },
  'checked': { verb: 'looked into' },
  'reading.unsure': { verb: 'scale, unsure', what: ({ readG }, { say }) => say.grams(readG) },
  'step.done': { verb: 'done', what: ({ stage }, { plan }) => stageText(plan, stage) },
  'note': { verb: 'note' },
  'cook.finished': { verb: 'finished' },
  'outcome': { verb: 'how it turned out' },
  'shaped': { verb: 'shaped' },
  'put.away': { verb: 'put away' },
  'given.out': { verb: 'given out' },
  'gone': { verb: 'nothing left' },
  'liked': { verb: 'how it was liked' },
  'dish.changed': { verb: 'dish changed' },
  'corrected': { verb: 'corrected' },
  'withdrawn': { verb: 'taken back' },
}

/**
 * What was done, by the kind of a mark.
 *
 * @param kind of the mark
 * @returns such as `marked`; the bare kind for one of a newer version
 */
export function markVerb(kind: string): string {
  return isMarkKind(kind) ? MARK_WORDS[kind].verb : kind
}

/**
 * A moment of a cook in a few words.
 *
 * @param plan whose stages and marks are named
 * @param kind of the mark
 * @param payload of the mark
 * @param say how weights and temperatures are read in this house
 * @returns such as `marked nuts`, `began roast`, `felt: hard centre`; the bare kind for an unknown one
 */
export function momentText(
  plan: CookPlan,
  kind: string,
  payload: Readonly<Record<string, unknown>>,
  say: Readings = METRIC,
): string {
  if (isTerm(payload.as)) return `${TERMS[payload.as].sense}: ${lower(TERM_WORDS[payload.as].text)}`
  if (!isMarkKind(kind) || !MARK_KINDS[kind].schema.safeParse(payload).success) return markVerb(kind)
  // What the kind's own schema has taken is what its words are made for.
  const { verb, what } = MARK_WORDS[kind] as MarkWords<MarkKind>
  return `${verb} ${what?.(payload as AnyMark['payload'], { plan, say }) ?? ''}`.trim()
}

function stageText(plan: CookPlan, id: string): string | undefined {
  const stage = plan.dish.stages.find(one => one.id === id)
  return stage && stageName(stage)
}

function flameText(plan: CookPlan, id: string): string | undefined {
  return id === 'off' ? 'off' : Object.values(plan.fires).flatMap(fire => fire.marks).find(one => one.id === id)?.label
}

const vesselOf = (plan: CookPlan, vessel: string | undefined): string | undefined =>
  vessel === undefined ? undefined : vesselText(plan, vessel)

/** What a change of the pan put in or took off. */
function changeText({ adds = [], liftsFatG = 0 }: MarkOf<'added'>['payload'], say: Readings): string | undefined {
  const parts = adds.map(one => `${say.grams(one.massG)} ${one.ingredient.replaceAll('-', ' ')}`)
  return [...parts, ...(liftsFatG > 0 ? [`${say.grams(liftsFatG)} fat off`] : [])].join(', ') || undefined
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
