import { itemAt } from '../../maths/table/itemAt'
import { COLOUR_STEPS, type SignId } from '../../formulation/signs/signIds'
import type { Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import type { Forecast } from '../../record/plan/forecast'
import { askedNow, dueSide } from './cue'
import { dueTurn } from './dueTurn'
import type { AnyMark } from '../../record/marks/kinds'
import type { LiveCook } from '../../record/marks/liveCook'
import type { CookPlan } from '../../record/plan/plan'
import { isStage } from '../../formulation/dish/stageRole'

/** Actions that name nothing but themselves. */
export type PlainAction =
  'start' | 'looks' | 'finish' | 'release' | 'uptake.quickly' | 'uptake.slowly' | 'uptake.no-more' | 'asked-not'
/** Actions that name a stage, a sign or a flame. */
type NamingAction = `${'begin' | 'asked' | 'light' | 'ready' | 'turn' | 'sign'}.${string}`

/** One of the big actions: what it marks, or that it opens the colours to choose from. */
export interface Action {
  readonly role: 'smelled' | 'seen' | 'done' | 'other'
  /** Which words it carries: a code of `words/`. */
  readonly code: PlainAction | NamingAction
  readonly marks: AnyMark | null
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
  if (!stage) return [action('done', 'start', { kind: 'cook.started', payload: {} })]
  const next = line[cook.stage + 1]
  const done = action('done', next ? `begin.${next.id}` : 'finish', goOn(next))
  const asks = askedNow(plan, cook, forecast)
  if (asks) {
    const agoS = Math.max(0, Math.round(nowS - asks.atS))
    return [
      { ...done, code: `asked.${next?.id ?? 'finish'}`, marks: goOn(next, agoS) },
      done,
      asks.sign === null
        ? action('other', 'asked-not', { kind: 'checked', payload: { what: 'going-on' } })
        : action('other', 'asked-not', { kind: 'not.yet', payload: { sign: asks.sign } }),
    ]
  }
  const first = called(plan, cook, forecast, nowS, stage)
  const seen = [...first, ...seenIn(stage, cook)]
  const here = (
    goesOn(stage, cook) ? [...first, done, ...seen.slice(first.length)] : [...seen.slice(0, MOST - 1), done]
  ).slice(0, MOST)
  // What the other vessel waits for does not push out what the pan does.
  return [itemAt(here, 0), ...readyBeside(plan, cook, forecast, nowS).slice(0, 1), ...here.slice(1)]
}

/** What the moment calls for: the other vessel, a turn of the flame. */
function called(plan: CookPlan, cook: LiveCook, forecast: Forecast | null, nowS: number, stage: Stage): Action[] {
  const due = dueSide(plan, cook, forecast, nowS)
  const turn = dueTurn(plan, cook)
  return [
    ...(due
      ? [
          action('other', `light.${sideStages(plan.dish).find(one => one.vessel === due)?.id ?? due}`, {
            kind: 'vessel.lit',
            payload: { vessel: due },
          }),
        ]
      : []),
    ...(turn
      ? [
          action('other', `turn.${turn.mark}`, {
            kind: 'flame.changed',
            payload: { vessel: stage.vessel, mark: turn.mark },
          }),
        ]
      : []),
  ]
}

/** What can be seen, smelled or heard in a stage and was not marked yet. */
function seenIn(stage: Stage, cook: LiveCook): Action[] {
  const tapped = (sign: string): boolean => cook.signs.some(tap => tap.what === sign)
  const actions: Action[] = []
  if (stage.does === 'press') actions.push(action('seen', 'release', { kind: 'release.heard', payload: {} }))
  if (poursInParts(stage) && lastUptake(cook) !== 'no-more') {
    actions.push(
      action('seen', 'uptake.quickly', { kind: 'uptake.seen', payload: { pace: 'quickly' } }),
      action('seen', 'uptake.no-more', { kind: 'uptake.seen', payload: { pace: 'no-more' } }),
    )
  }
  if (stage.does === 'roast' && !isStage(stage, 'paste') && !tapped('aroma'))
    actions.push(signAction('smelled', 'aroma'))
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
    const waits = cook.lit[side.vessel] !== undefined && cook.ready[side.vessel] === undefined
    if (!waits || !('sign' in side.until) || !boils || nowS < boils.early - READY_SOON_S) return []
    return [
      action('seen', `ready.${side.id}`, {
        kind: 'sign.seen',
        payload: { sign: side.until.sign, vessel: side.vessel },
      }),
    ]
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

/** What says that the next stage has begun, or that all is done; so many seconds ago where that is said. */
function goOn(next: Stage | undefined, agoS?: number): AnyMark {
  const ago = agoS === undefined ? {} : { agoS }
  return next ? { kind: 'stage.began', payload: { stage: next.id, ...ago } } : { kind: 'cook.finished', payload: ago }
}

function action(role: Action['role'], code: Action['code'], marks: AnyMark): Action {
  return { role, code, marks, opens: null }
}

function signAction(role: 'smelled' | 'seen', sign: SignId): Action {
  return action(role, `sign.${sign}`, { kind: 'sign.seen', payload: { sign } })
}
