import { mainLine } from '../../formulation/dish/mainLine'
import { mainVessel } from '../../formulation/dish/mainVessel'
import { COLOUR_STEPS, SIGN_IDS } from '../../formulation/signs/signIds'
import { sideStages } from '../../formulation/dish/sideStages'
import { isTerm } from '../../formulation/signs/terms'
import { AFTER_KINDS, APPLY_AFTER, type AfterKind } from './afterFire'
import { SLIPS, UPTAKE_PACES, type CookDraft, type PanChange } from './liveCook'
import type { Marked } from './marked'
import type { KnownKind } from './kinds'
import type { CookPlan } from '../plan/plan'
import { readAdded } from './readAdded'
import type { Moment } from './moment'

type Payload = Moment['payload']
interface Mark { readonly cook: CookDraft, readonly plan: CookPlan, readonly id: string, readonly timeS: number, readonly payload: Payload }
/** False where the payload is not what this version can use. */
type Apply = (mark: Mark) => boolean

/** Deepest that is read with a ruler, mm; longest that a pan is left, s. */
const MOST_DEPTH_MM = 500
const MOST_LEFT_S = 7200
/** As much of an outcome as a batch keeps, whatever stands in the log: faults, and characters of one and of its line. */
const MOST_FAULTS = 20
const MOST_FAULT = 40
const MOST_LINE = 400

const vesselOf = ({ payload, plan }: Mark): string => (typeof payload.vessel === 'string' ? payload.vessel : mainVessel(plan.dish))

/** Puts a marked value at the end of a list, unless there is none. */
function put<T>(list: Marked<T>[], { id, timeS }: Mark, what: T | undefined): boolean {
  if (what === undefined) return false
  list.push({ id, timeS, what })
  return true
}

function within<T>(value: unknown, most: number, make: (value: number) => T): T | undefined {
  return typeof value === 'number' && value > 0 && value <= most ? make(value) : undefined
}

/** A note may be written afterwards for a moment of the cook. */
const noteS = ({ payload, timeS }: Pick<Mark, 'payload' | 'timeS'>): number => (typeof payload.atS === 'number' && payload.atS >= 0 && payload.atS <= 86_400 ? payload.atS : timeS)

const one = <T extends string>(of: readonly T[], value: unknown): T | undefined => of.find(known => known === value)

const KINDS: Readonly<Record<Exclude<KnownKind, 'corrected' | 'withdrawn'>, Apply>> = {
  'cook.started': () => true,
  'stage.began': applyStage,
  'sign.seen': applySign,
  'looks.like': mark => put(mark.cook.looks, mark, one(COLOUR_STEPS, mark.payload.step)),
  'flame.changed': mark => put(mark.cook.controls, mark, typeof mark.payload.mark === 'string' ? { vessel: vesselOf(mark), mark: mark.payload.mark } : undefined),
  'lid.changed': mark => put(mark.cook.controls, mark, typeof mark.payload.lid === 'boolean' ? { vessel: vesselOf(mark), lid: mark.payload.lid } : undefined),
  'vessel.lit': (mark) => {
    mark.cook.lit = { ...mark.cook.lit, [vesselOf(mark)]: mark.timeS }
    return true
  },
  'off.fire': (mark) => {
    mark.cook.offFireS = mark.timeS
    return true
  },
  'weighed': mark => put(mark.cook.weighings, mark, within(mark.payload.grossG, 1e5, grossG => ({ vessel: vesselOf(mark), grossG }))),
  'temperature': mark => put(mark.cook.temperatures, mark, within(mark.payload.tempC, 1000, tempC => ({ vessel: vesselOf(mark), tempC }))),
  'depth.measured': mark => put(mark.cook.depths, mark, within(mark.payload.depthMm, MOST_DEPTH_MM, depthMm => ({ vessel: vesselOf(mark), depthMm }))),
  'uptake.seen': mark => put(mark.cook.uptakes, mark, one(UPTAKE_PACES, mark.payload.pace)),
  'release.heard': mark => put<null>(mark.cook.releases, mark, null),
  'added': mark => applyChange(mark, null),
  'repaired': (mark) => {
    const { fault, way } = mark.payload
    return typeof fault === 'string' && typeof way === 'string' && applyChange(mark, { fault, way })
  },
  'forgotten': mark => put(mark.cook.forgotten, mark, one(mark.plan.dish.ingredients.map(each => each.id), mark.payload.ingredient)),
  'kept.back': mark => put(mark.cook.keptBack, mark, within(mark.payload.share, 1, share => ({ vessel: vesselOf(mark), share }))),
  'rest.poured': mark => put(mark.cook.restPoured, mark, one(sideStages(mark.plan.dish).map(stage => stage.vessel), mark.payload.vessel)),
  'unstirred': mark => put(mark.cook.unstirred, mark, within(mark.payload.seconds, MOST_LEFT_S, seconds => seconds)),
  'slip': mark => put(mark.cook.slips, mark, one(SLIPS, mark.payload.what)),
  'not.yet': mark => put(mark.cook.notYet, mark, one(SIGN_IDS, mark.payload.sign)),
  'perceived': mark => put(mark.cook.perceived, mark, isTerm(mark.payload.as) ? mark.payload.as : undefined),
  'checked': mark => put(mark.cook.checked, mark, typeof mark.payload.what === 'string' ? mark.payload.what : undefined),
  'reading.unsure': mark => put(mark.cook.unsure, mark, within(mark.payload.readG, 1e5, readG => ({ vessel: vesselOf(mark), readG }))),
  'step.done': (mark) => {
    const stage = one(mark.plan.dish.stages.map(each => each.id), mark.payload.stage)
    if (stage !== undefined) mark.cook.steps = { ...mark.cook.steps, [stage]: mark.timeS }
    return stage !== undefined
  },
  'note': mark => put(mark.cook.notes, { ...mark, timeS: noteS(mark) }, typeof mark.payload.text === 'string' ? mark.payload.text : undefined),
  'cook.finished': (mark) => {
    mark.cook.finishedS = mark.timeS
    return true
  },
  'outcome': ({ cook, payload }) => {
    const faults = Array.isArray(payload.faults) ? payload.faults.filter((fault): fault is string => typeof fault === 'string' && fault.length <= MOST_FAULT) : []
    cook.outcome = { faults: faults.slice(0, MOST_FAULTS), line: typeof payload.line === 'string' ? payload.line.slice(0, MOST_LINE) : '' }
    return true
  },
  ...Object.fromEntries(AFTER_KINDS.map(kind => [kind, ({ cook, id, timeS, payload }: Mark) => APPLY_AFTER[kind]({ after: cook.after, id, timeS, payload })])) as Record<AfterKind, Apply>,
}

/**
 * Lays one moment over a cook.
 *
 * @param cook the cook so far, changed in place
 * @param plan its plan
 * @param moment what was marked
 * @param timeS when, s since the start
 * @returns false where this version does not know the kind or cannot use the payload: it is then shown as unknown
 */
export function applyMark(cook: CookDraft, plan: CookPlan, moment: Moment, timeS: number): boolean {
  const apply: Apply | undefined = Object.hasOwn(KINDS, moment.kind) ? KINDS[moment.kind as keyof typeof KINDS] : undefined
  return apply?.({ cook, plan, id: moment.id, timeS, payload: moment.payload }) ?? false
}

function applyStage({ cook, plan, payload, timeS }: Mark): boolean {
  const stage = mainLine(plan.dish).findIndex(each => each.id === payload.stage)
  if (stage < 0) return false
  // Two screens that were touched for the same step mean one: the first stands.
  if (cook.stage === stage && cook.stageStarts[stage] !== null) return true
  cook.stageStarts[stage] = timeS
  cook.stage = Math.max(cook.stage, stage)
  return true
}

/** A sign of another vessel is that vessel's: it is ready. Without a name it is the first that is on and not ready. */
function applySign(mark: Mark): boolean {
  const { cook, plan, payload, timeS } = mark
  const sign = one(SIGN_IDS, payload.sign)
  const own = mainLine(plan.dish)[cook.stage]?.until
  if (sign !== undefined && !(own && 'sign' in own && own.sign === sign)) {
    const side = sideStages(plan.dish).find(stage => 'sign' in stage.until && stage.until.sign === sign && cook.ready[stage.vessel] === undefined
      && (typeof payload.vessel === 'string' ? stage.vessel === payload.vessel : cook.lit[stage.vessel] !== undefined))
    if (side) cook.ready = { ...cook.ready, [side.vessel]: timeS }
  }
  // A sign shows once in a stage: what a second screen marks of it is no second look.
  const began = cook.stageStarts[cook.stage] ?? 0
  return cook.signs.some(tap => tap.what === sign && tap.timeS >= began) || put(cook.signs, mark, sign)
}

function applyChange(mark: Mark, repairs: PanChange['repairs']): boolean {
  const adds = mark.payload.adds === undefined ? [] : readAdded(mark.payload.adds)
  const { liftsFatG = 0 } = mark.payload
  const fits = adds !== undefined && typeof liftsFatG === 'number' && liftsFatG >= 0 && liftsFatG <= 5000
  if (!fits || (repairs === null && adds.length === 0 && liftsFatG === 0)) return false
  return put(mark.cook.changes, mark, { adds, liftsFatG, repairs })
}
