import { mainLine } from '../dish/mainLine'
import { mainVessel } from '../dish/mainVessel'
import { COLOUR_STEPS, SIGN_IDS, type ColourStep, type SignId } from '../dish/signIds'
import { KNOWN_KINDS, type Observation } from './observation'
import { orderObservations } from './orderObservations'
import type { CookPlan } from './plan'
import { resolveCorrections, type Moment } from './resolveCorrections'

/** Something marked, with its moment in seconds since the start of the cook. */
export interface Marked<T> { readonly id: string, readonly timeS: number, readonly what: T }

/** A change of one vessel's flame or lid. */
export interface ControlChange { readonly vessel: string, readonly mark?: string, readonly lid?: boolean }

/** How a batch turned out. */
export interface Outcome { readonly faults: readonly string[], readonly line: string }

/** A cook as it stands: everything replayed from its plan and its observations. */
export interface LiveCook {
  /** ms since 1970 of the start, or null before it. */
  readonly startedMs: number | null
  /** All moments in order, also the withdrawn and the unknown. */
  readonly moments: readonly (Moment & { readonly timeS: number, readonly known: boolean })[]
  /** Index into the dish's main line; −1 before the start. */
  readonly stage: number
  /** When each main-line stage began, s, or null. */
  readonly stageStarts: readonly (number | null)[]
  readonly signs: readonly Marked<SignId>[]
  readonly looks: readonly Marked<ColourStep>[]
  readonly controls: readonly Marked<ControlChange>[]
  /** When each other vessel was put on its fire, s. */
  readonly lit: Readonly<Record<string, number>>
  readonly weighings: readonly Marked<{ readonly vessel: string, readonly grossG: number }>[]
  readonly temperatures: readonly Marked<{ readonly vessel: string, readonly tempC: number }>[]
  readonly notes: readonly Marked<string>[]
  readonly offFireS: number | null
  readonly finishedS: number | null
  readonly outcome: Outcome | null
}

type Draft = { -readonly [K in keyof LiveCook]: LiveCook[K] extends readonly (infer T)[] ? T[] : LiveCook[K] }

/**
 * Replays a cook. Pure: the same plan and observations always give the same cook, in whatever order they arrived.
 *
 * @param plan the plan of the cook
 * @param observations all of its observations, acknowledged or not
 * @returns the cook as it stands
 */
export function replay(plan: CookPlan, observations: readonly Observation[]): LiveCook {
  const moments = resolveCorrections(orderObservations(observations))
  const started = moments.find(moment => moment.kind === 'cook.started' && !moment.withdrawn)
  const line = mainLine(plan.dish)
  const cook: Draft = {
    startedMs: started?.atMs ?? null, moments: [], stage: started ? 0 : -1,
    stageStarts: line.map((_, i) => (started && i === 0 ? 0 : null)),
    signs: [], looks: [], controls: [], lit: {}, weighings: [], temperatures: [], notes: [],
    offFireS: null, finishedS: null, outcome: null,
  }
  for (const moment of moments) {
    const timeS = started ? Math.max(0, (moment.atMs - started.atMs) / 1000) : 0
    const known = (KNOWN_KINDS as readonly string[]).includes(moment.kind)
      && (moment.withdrawn || apply(cook, plan, moment, timeS))
    cook.moments.push({ ...moment, timeS, known })
  }
  return cook
}

/** Returns false where the payload is not what this version can use: the moment is then shown as unknown. */
function apply(cook: Draft, plan: CookPlan, moment: Moment, timeS: number): boolean {
  const { id, payload } = moment
  const vessel = typeof payload.vessel === 'string' ? payload.vessel : mainVessel(plan.dish)
  switch (moment.kind) {
    case 'cook.started': return true
    case 'stage.began': return applyStage(cook, plan, payload.stage, timeS)
    case 'sign.seen': return put(cook.signs, id, timeS, SIGN_IDS.find(sign => sign === payload.sign))
    case 'looks.like': return put(cook.looks, id, timeS, COLOUR_STEPS.find(step => step === payload.step))
    case 'flame.changed': return put(cook.controls, id, timeS,
      typeof payload.mark === 'string' ? { vessel, mark: payload.mark } : undefined)
    case 'lid.changed': return put(cook.controls, id, timeS,
      typeof payload.lid === 'boolean' ? { vessel, lid: payload.lid } : undefined)
    case 'vessel.lit':
      cook.lit = { ...cook.lit, [vessel]: timeS }
      return true
    case 'off.fire':
      cook.offFireS = timeS
      return true
    case 'weighed': return put(cook.weighings, id, timeS, positive(payload.grossG, grossG => ({ vessel, grossG })))
    case 'temperature': return put(cook.temperatures, id, timeS, positive(payload.tempC, tempC => ({ vessel, tempC })))
    case 'note': return put(cook.notes, id, timeS, typeof payload.text === 'string' ? payload.text : undefined)
    case 'cook.finished':
      cook.finishedS = timeS
      return true
    default: return applyOutcome(cook, payload)
  }
}

function applyStage(cook: Draft, plan: CookPlan, name: unknown, timeS: number): boolean {
  const stage = mainLine(plan.dish).findIndex(one => one.id === name)
  if (stage < 0) return false
  cook.stageStarts[stage] = timeS
  cook.stage = Math.max(cook.stage, stage)
  return true
}

function applyOutcome(cook: Draft, payload: Readonly<Record<string, unknown>>): boolean {
  const faults = Array.isArray(payload.faults) ? payload.faults.filter((f): f is string => typeof f === 'string') : []
  cook.outcome = { faults, line: typeof payload.line === 'string' ? payload.line : '' }
  return true
}

function put<T>(list: Marked<T>[], id: string, timeS: number, what: T | undefined): boolean {
  if (what === undefined) return false
  list.push({ id, timeS, what })
  return true
}

function positive<T>(value: unknown, make: (value: number) => T): T | undefined {
  return typeof value === 'number' && Number.isFinite(value) && value > 0 ? make(value) : undefined
}
