import { z } from 'zod'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import { COLOUR_STEPS, SIGN_IDS, type SignId } from '../../formulation/signs/signIds'
import { isTerm } from '../../formulation/signs/terms'
import type { CookDraft } from './cookState'
import { Id } from './ids'
import { changing, listed, type MarkInHand, type MarkTraits } from './kind'
import { panChange, PanChangeSchema } from './panChange'

/** How fast a mass takes up what is poured. */
export const UPTAKE_PACES = ['quickly', 'slowly', 'no-more'] as const
export type UptakePace = (typeof UPTAKE_PACES)[number]

/** Slips a cook can own up to, so that what is seen is read rightly. */
export const SLIPS = ['poured-early', 'liquid-cold', 'flame-too-high', 'spilt'] as const
export type Slip = (typeof SLIPS)[number]

/** A change of one vessel's flame or lid. */
export interface ControlChange { readonly vessel: string, readonly mark?: string, readonly lid?: boolean }

/** Liquid of another vessel that did not go in with the pour, as a share of what it held. */
export interface KeptBack { readonly vessel: string, readonly share: number }

/** Longest line of an outcome, and text of a note, characters. */
export const MOST_LINE_TEXT = 400
export const MOST_NOTE_TEXT = 2000
/** As much of an outcome as a batch keeps, whatever stands in the log: faults, and characters of one. */
const MOST_FAULTS = 20
const MOST_FAULT = 40
/** Deepest that is read with a ruler, mm; longest that a pan is left, s; a day, s. */
const MOST_DEPTH_MM = 500
const MOST_LEFT_S = 7200
const DAY_S = 86_400

const Grams = z.number().min(0).max(100_000)
const Code = z.string().max(60)
const Nothing: z.ZodType<object> = z.object({})
/** What is told of a batch as a whole; it says nothing of the pan. */
const TELLING: MarkTraits = { span: 'any-time', settles: 'telling', ofPan: false }
const above = (value: number, most = Infinity): boolean => value > 0 && value <= most

/**
 * Every kind of mark that is made while a dish is cooked: what it holds, what it does to the cook, and how it is taken.
 * A new kind is a row here, and its words.
 */
export const AT_THE_FIRE = {
  'cook.started': changing(z.object({ from: z.string().max(20).optional() }), () => true, { settles: 'run' }),
  'stage.began': changing(z.object({ stage: Id }), beginStage),
  'sign.seen': changing(z.object({ sign: z.enum(SIGN_IDS) }), seeSign),
  'looks.like': listed('looks', z.object({ step: z.enum(COLOUR_STEPS) }), ({ step }) => step),
  'flame.changed': listed('controls', z.object({ mark: Id }), ({ mark }, { vessel }): ControlChange => ({
    vessel,
    mark,
  })),
  'lid.changed': listed('controls', z.object({ lid: z.boolean() }), ({ lid }, { vessel }): ControlChange => ({
    vessel,
    lid,
  })),
  'vessel.lit': changing(Nothing, (cook, _, { vessel, timeS }) => {
    cook.lit = { ...cook.lit, [vessel]: timeS }
    return true
  }),
  'off.fire': changing(Nothing, (cook, _, { timeS }) => {
    cook.offFireS = timeS
    return true
  }, { span: 'from-fire' }),
  'weighed': listed(
    'weighings',
    z.object({ grossG: Grams }),
    ({ grossG }, { vessel }) => (above(grossG) ? { vessel, grossG } : undefined),
    { settles: 'run' },
  ),
  'temperature': listed('temperatures', z.object({ tempC: z.number().min(-50).max(1000) }), ({ tempC }, { vessel }) =>
    above(tempC) ? { vessel, tempC } : undefined,
  ),
  'depth.measured': listed(
    'depths',
    z.object({ depthMm: z.number().min(0).max(MOST_DEPTH_MM) }),
    ({ depthMm }, { vessel }) => (above(depthMm) ? { vessel, depthMm } : undefined),
  ),
  'uptake.seen': listed('uptakes', z.object({ pace: z.enum(UPTAKE_PACES) }), ({ pace }) => pace),
  // A release of the valve that was heard.
  'release.heard': listed('releases', Nothing, () => null),
  'added': listed('changes', PanChangeSchema, told => panChange(told, null)),
  'repaired': listed(
    'changes',
    z.object({ fault: Code, way: Code, ...PanChangeSchema.shape }),
    ({ fault, way, ...told }) => panChange(told, { fault, way }),
  ),
  // What should have gone in by then and did not, by its id in the dish.
  'forgotten': listed(
    'forgotten',
    z.object({ ingredient: Id }),
    ({ ingredient }, { plan }) => plan.dish.ingredients.find(one => one.id === ingredient)?.id,
  ),
  'kept.back': listed(
    'keptBack',
    z.object({ share: z.number().min(0).max(1) }),
    ({ share }, { vessel }): KeptBack | undefined => (above(share) ? { vessel, share } : undefined),
  ),
  // Other vessels whose rest was poured in later, by id.
  'rest.poured': listed(
    'restPoured',
    z.object({ vessel: Id }),
    ({ vessel }, { plan }) => sideStages(plan.dish).find(stage => stage.vessel === vessel)?.vessel,
  ),
  // How long the pan was left unstirred, s.
  'unstirred': listed('unstirred', z.object({ seconds: z.number().min(0).max(1e7) }), ({ seconds }) =>
    above(seconds, MOST_LEFT_S) ? seconds : undefined,
  ),
  'slip': listed('slips', z.object({ what: z.enum(SLIPS) }), ({ what }) => what),
  // A sign that was asked for and had not come yet.
  'not.yet': listed('notYet', z.object({ sign: z.enum(SIGN_IDS) }), ({ sign }) => sign),
  // What was smelled, seen, heard or felt beside the signs that the forecast times.
  'perceived': listed('perceived', z.object({ as: Code }), ({ as }) => (isTerm(as) ? as : undefined)),
  // What was looked into after a surprise and found to be as thought: such as `flame`.
  'checked': listed('checked', z.object({ what: Code }), ({ what }) => what),
  // A reading of a scale that fits nothing, g: a person has to say what it is.
  'reading.unsure': listed('unsure', z.object({ readG: z.number() }), ({ readG }, { vessel }) =>
    above(readG, 1e5) ? { vessel, readG } : undefined,
  ),
  'step.done': changing(z.object({ stage: Id }), (cook, { stage }, { plan, timeS }) => {
    if (!plan.dish.stages.some(each => each.id === stage)) return false
    cook.steps = { ...cook.steps, [stage]: timeS }
    return true
  }, TELLING),
  // It may be written afterwards for a moment of the cook.
  'note': {
    ...listed(
      'notes',
      z.object({ text: z.string().optional(), atS: z.number().optional() }),
      ({ text }) => text,
      TELLING,
      ({ atS }, timeS) => (atS !== undefined && atS >= 0 && atS <= DAY_S ? atS : timeS),
    ),
    limits: z.looseObject({ text: z.string().max(MOST_NOTE_TEXT).optional() }),
  },
  'cook.finished': changing(Nothing, (cook, _, { timeS }) => {
    cook.finishedS = timeS
    return true
  }, { span: 'from-fire', settles: 'run', ofPan: false }),
  'outcome': {
    ...changing(
      z.object({ faults: z.array(z.string()).readonly().optional().catch([]), line: z.string().optional().catch('') }),
      (cook, { faults = [], line = '' }) => {
        cook.outcome = {
          faults: faults.filter(fault => fault.length <= MOST_FAULT).slice(0, MOST_FAULTS),
          line: line.slice(0, MOST_LINE_TEXT),
        }
        return true
      },
      { ...TELLING, span: 'from-fire' },
    ),
    limits: z.looseObject({
      faults: z.array(z.string().max(MOST_FAULT)).max(MOST_FAULTS).optional(),
      line: z.string().max(MOST_LINE_TEXT).optional(),
    }),
  },
}

function beginStage(cook: CookDraft, payload: { readonly stage: string }, { plan, timeS }: MarkInHand): boolean {
  const stage = mainLine(plan.dish).findIndex(each => each.id === payload.stage)
  if (stage < 0) return false
  // Two screens that were touched for the same step mean one: the first stands.
  if (cook.stage === stage && cook.stageStarts[stage] !== null) return true
  cook.stageStarts[stage] = timeS
  cook.stage = Math.max(cook.stage, stage)
  return true
}

/** A sign of another vessel is that vessel's: it is ready. Without a name it is the first that is on and not ready. */
function seeSign(
  cook: CookDraft,
  { sign }: { readonly sign: SignId },
  { plan, id, timeS, vessel, named }: MarkInHand,
): boolean {
  const own = mainLine(plan.dish)[cook.stage]?.until
  if (!(own && 'sign' in own && own.sign === sign)) {
    const side = sideStages(plan.dish).find(
      stage =>
        'sign' in stage.until
        && stage.until.sign === sign
        && cook.ready[stage.vessel] === undefined
        && (named ? stage.vessel === vessel : cook.lit[stage.vessel] !== undefined),
    )
    if (side) cook.ready = { ...cook.ready, [side.vessel]: timeS }
  }
  // A sign shows once in a stage: what a second screen marks of it is no second look.
  const began = cook.stageStarts[cook.stage] ?? 0
  if (!cook.signs.some(tap => tap.what === sign && tap.timeS >= began)) cook.signs.push({ id, timeS, what: sign })
  return true
}
