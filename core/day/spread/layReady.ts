import { fieldAt, known } from '../../maths/table/itemAt'
import { secondBases } from '../../formulation/dish/basesOf'
import type { Preparation } from '../../formulation/dish/choices'
import type { Dish, Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import { baseSuffix, stageOfBase } from '../../formulation/dish/stageOfBase'
import type { Durations, VesselKind } from '../problem/day'
import { follow, LID_OFF, stepOf, WAITS, type FireStep, type Laying } from './laying'
import { isStage } from '../../formulation/dish/stageRole'

/** Minutes of every stage. */
type Spans = Readonly<Record<string, Durations>>

const WASH: Durations = [4, 5, 7]

/** Which base a stage gets ready: `-2` for a second one that has its own way, nothing for the first. */
const ofBase = (stage: Stage): string => baseSuffix(stage.id)

/**
 * The first base got ready before the fire, one step after another.
 *
 * @param laying the dish's steps so far, changed in place
 * @param stages of the dish before the fire, none that stands beside
 * @param spans minutes of every stage
 */
export function layFirst(laying: Laying, stages: readonly Stage[], spans: Spans): void {
  for (const stage of stages.filter(one => ofBase(one) === '')) layBefore(laying, stage, spans)
}

/**
 * Every base that has its own way, got ready beside the first, to be there when it goes in.
 *
 * @param laying the dish's steps so far, changed in place
 * @param dish whose bases
 * @param stages of the dish before the fire, none that stands beside
 * @param spans minutes of every stage
 * @param fire steps of the main line
 */
export function laySeconds(
  laying: Laying,
  dish: Dish,
  stages: readonly Stage[],
  spans: Spans,
  fire: readonly FireStep[],
): void {
  for (const of of new Set(stages.map(ofBase).filter(one => one !== '')))
    laySecond(
      laying,
      dish,
      stages.filter(one => ofBase(one) === of),
      spans,
      fire,
    )
}

function laySecond(
  laying: Laying,
  dish: Dish,
  stages: readonly Stage[],
  spans: Spans,
  fire: readonly FireStep[],
): void {
  const id = known(stages[0]?.handles?.[0], 'base')
  const own = secondBases(dish).find(one => one.id === id)
  const into =
    mainLine(dish).find(stage => stage.adds.some(one => one.ingredient === id))
    ?? sideStages(dish).find(stage => stage.adds.some(one => one.ingredient === id))
  if (!own || !into) return
  const { last, min, max, kind } = laying
  Object.assign(laying, { last: null, min: 0, max: null, kind: 'prep' })
  for (const stage of stages) layBefore(laying, stage, spans)
  const step = into.meets ? into.id : stepOf(fire, into)
  if (laying.last)
    laying.lags.push({
      from: laying.last,
      to: step,
      min: laying.min,
      max: upTo(laying, keepsFor(own.asBase.preparation)),
      kind: laying.kind,
    })
  Object.assign(laying, { last, min, max, kind })
}

/** The longest wait of a chain that ends, minutes. */
function upTo({ min }: Laying, keep: number | null): number | null {
  return keep === null ? null : min + keep
}

function layBefore(laying: Laying, stage: Stage, spans: Spans): void {
  const dur = fieldAt(spans, stage.id)
  if (stage.hands === 0 && stage.does === 'prepare') {
    if (!laying.last)
      follow(laying, { id: `wash${ofBase(stage)}`, dur: WASH, hands: 1, burner: 0, night: true }, 0, null, 'prep')
    laying.min += dur[1]
    if (isStage(stage, 'soak')) laying.max = WAITS.soak - WAITS.paste
    laying.kind = stageOfBase(stage.id)
    return
  }
  if (stage.does === 'wait') {
    follow(laying, { id: 'open', dur: LID_OFF, hands: 1, burner: 0 }, WAITS.open[0], WAITS.open[1], 'cool')
    laying.holds.push({ need: 'ppan', first: 'press', last: 'open' })
    return
  }
  const grinds = isStage(stage, 'grind', 'puree')
  const at = stage.does === 'press' ? 'wait' : stage.vessel
  follow(
    laying,
    {
      id: stage.id,
      dur,
      hands: stage.hands ?? 1,
      burner: stage.flame === 'off' ? 0 : 1,
      ...(grinds ? { grinder: 1 as const } : {}),
    },
    0,
    laying.max === null ? maxBefore(stage) : 60,
    laying.kind,
  )
  laying.kind = kindAfter(stage)
  const need: VesselKind | null = at === 'pot' ? 'pot' : at === 'pan' ? 'heavy' : null
  if (need) laying.holds.push({ need, first: stage.id, last: stage.id })
}

/** How long what stands before a step may wait, minutes. */
function maxBefore(stage: Stage): number | null {
  return isStage(stage, 'puree') ? WAITS.openLate : null
}

function kindAfter(stage: Stage): string {
  return isStage(stage, 'grate') ? 'grated' : isStage(stage, 'grind', 'puree') ? 'paste' : 'prep'
}

/**
 * How long a prepared base keeps before it goes into the pan.
 *
 * @param dish a dish
 * @returns minutes; null for ever
 */
export function keeps(dish: Dish): number | null {
  return keepsFor(dish.choices?.preparation)
}

function keepsFor(preparation: Preparation | undefined): number | null {
  switch (preparation) {
    case 'raw-paste': return WAITS.paste
    case 'fine-paste': return WAITS.paste
    case 'cooked-puree': return WAITS.puree
    case 'grated': return WAITS.grated
    case 'dry-ground': return null
    default: return WAITS.prepared
  }
}
