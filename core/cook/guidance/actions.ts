import { COLOUR_STEPS } from '../../formulation/signs/signIds'
import type { Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import type { Forecast } from '../../record/plan/forecast'
import { askedNow, dueSide } from './cue'
import { dueTurn } from './dueTurn'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'

/** One of the big actions: what it marks, or that it opens the colours to choose from. */
export interface Action {
  readonly role: 'smelled' | 'seen' | 'done' | 'other'
  /** Which words it carries: a code of `words/`. */
  readonly code: string
  readonly marks: { readonly kind: string, readonly payload: Readonly<Record<string, unknown>> } | null
  readonly opens: 'colours' | null
}

const COLOURS: readonly string[] = COLOUR_STEPS

/** At most this many actions of the pan are shown. */
const MOST = 3
/** The other vessel's sign can be marked so long before its window begins, s. */
const READY_SOON_S = 45

/**
 * The big actions of a moment, the one that is waited for first; never more than three, and one for the other vessel.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param forecast the forecast at hand, or null while there is none
 * @param nowS how far the cook is, s
 * @returns actions in order
 */
export function actionsOf(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number): Action[] {
  if (cook.finishedS !== null) return []
  const line = mainLine(plan.dish)
  const stage = line[cook.stage]
  if (!stage) return [action('done', 'start', 'cook.started', {})]
  const next = line[cook.stage + 1]
  const done = next ? action('done', `begin.${next.id}`, 'stage.began', { stage: next.id }) : action('done', 'finish', 'cook.finished', {})
  const asks = askedNow(plan, cook, forecast)
  if (asks) {
    const agoS = Math.max(0, Math.round(nowS - asks.atS))
    return [
      { ...done, code: `asked.${next?.id ?? 'finish'}`, marks: { kind: done.marks!.kind, payload: { ...done.marks!.payload, agoS } } },
      done,
      asks.sign === null ? action('other', 'asked-not', 'checked', { what: 'going-on' }) : action('other', 'asked-not', 'not.yet', { sign: asks.sign }),
    ]
  }
  const first = called(plan, cook, forecast, nowS, stage)
  const seen = [...first, ...seenIn(stage, cook)]
  const here = (goesOn(stage, cook) ? [...first, done, ...seen.slice(first.length)] : [...seen.slice(0, MOST - 1), done]).slice(0, MOST)
  // What the other vessel waits for does not push out what the pan does.
  return [here[0]!, ...readyBeside(plan, cook, forecast, nowS).slice(0, 1), ...here.slice(1)]
}

/** What the moment calls for: the other vessel, a turn of the flame. */
function called(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number, stage: Stage): Action[] {
  const due = dueSide(plan, cook, forecast, nowS)
  const turn = dueTurn(plan, cook)
  return [
    ...(due ? [action('other', `light.${sideStages(plan.dish).find(one => one.vessel === due)?.id ?? due}`, 'vessel.lit', { vessel: due })] : []),
    ...(turn ? [action('other', `turn.${turn.mark}`, 'flame.changed', { vessel: stage.vessel, mark: turn.mark })] : []),
  ]
}

/** What can be seen, smelled or heard in a stage and was not marked yet. */
function seenIn(stage: Stage, cook: LiveCook): Action[] {
  const tapped = (sign: string): boolean => cook.signs.some(tap => tap.what === sign)
  const actions: Action[] = []
  if (stage.does === 'press') actions.push(action('seen', 'release', 'release.heard', {}))
  if (poursInParts(stage) && lastUptake(cook) !== 'no-more') {
    actions.push(action('seen', 'uptake.quickly', 'uptake.seen', { pace: 'quickly' }), action('seen', 'uptake.no-more', 'uptake.seen', { pace: 'no-more' }))
  }
  if (stage.does === 'roast' && stage.id !== 'paste' && !tapped('aroma')) actions.push(signAction('smelled', 'aroma'))
  if ('sign' in stage.until) {
    const { sign } = stage.until
    if (COLOURS.includes(sign)) actions.push({ role: 'seen', code: 'looks', marks: null, opens: 'colours' })
    else if (!tapped(sign) && sign !== 'aroma') actions.push(signAction('seen', sign))
  }
  return actions
}

/** The sign of a vessel beside the pan, once it may show. */
function readyBeside(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number): Action[] {
  return sideStages(plan.dish).flatMap((side) => {
    const here = forecast?.sides.find(one => one.vessel === side.vessel)
    if (!here || cook.stage >= here.meets) return []
    const { boils } = here
    const waits = cook.lit[side.vessel] !== undefined && cook.ready[side.vessel] === undefined && 'sign' in side.until
    if (!waits || !boils || nowS < boils.early - READY_SOON_S) return []
    return [action('seen', `ready.${side.id}`, 'sign.seen', { sign: 'sign' in side.until ? side.until.sign : '', vessel: side.vessel })]
  })
}

const poursInParts = (stage: Stage): boolean => stage.does === 'pour' && (stage.watch ?? []).includes('in-parts')

function lastUptake(cook: LiveCook): string | undefined {
  const began = cook.stageStarts[cook.stage] ?? 0
  return cook.uptakes.filter(one => one.timeS >= began).at(-1)?.what
}

/** True where going on is the likeliest thing now: a colour of the roast was seen, or the pour is over. */
function goesOn(stage: Stage, cook: LiveCook): boolean {
  if (poursInParts(stage)) return lastUptake(cook) === 'no-more'
  return 'sign' in stage.until && stage.does === 'roast' && cook.looks.length > 0
}

function action(role: Action['role'], code: string, kind: string, payload: Readonly<Record<string, unknown>>): Action {
  return { role, code, marks: { kind, payload }, opens: null }
}

function signAction(role: 'smelled' | 'seen', sign: string): Action {
  return action(role, `sign.${sign}`, 'sign.seen', { sign })
}
