import { stageOf } from '../../formulation/dish/stageOf'
import { fieldAt, itemAt, known, lastOf } from '../../maths/table/itemAt'
import type { Dish, Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { rainsIn } from '../../formulation/dish/rainsIn'
import { sideStages } from '../../formulation/dish/sideStages'
import type { Activity, DayDish, Durations, ServedHow } from '../problem/day'
import { layAfter } from './layAfter'
import { follow, LID_OFF, stepOf, WAITS, type FireStep, type Laying } from './laying'
import { keeps, layFirst, laySeconds } from './layReady'
import { chilledDish, standingDish } from '../problem/outsideCold'
import { THICKENED } from './thickenedMilk'
import { isStage } from '../../formulation/dish/stageRole'

/** What the day says of a dish. */
export interface OnTheDay {
  readonly id: string
  readonly meal: string
  readonly serve: ServedHow
  /** Whether it needs a large pan. */
  readonly large: boolean
  /** What perishes: minutes it stands outside the cold at most, and minutes that would warm it through. */
  readonly stands?: { readonly most: number, readonly warms: Durations } | undefined
  /** Whether it stands in the cold until its meal. */
  readonly chills?: boolean | undefined
}

const AGAIN: Durations = [3, 4, 6]
const PUT_TO_STEEP: Durations = [1, 2, 3]
/** On the table after the last stir: into bowls, minutes (estimate). */
const SERVED = 2

/**
 * The steps of a dish for the day, derived from its stages: work of the hands and of the fire as activities that are
 * not interrupted; soaking, cooling, setting and opening as waits with a least and a most; vessels held from the first
 * to the last step; the liquid that must be hot at the pour.
 *
 * @param dish with its stages
 * @param spans minutes of every stage, from `stageSpans`; of thickened milk where it is made here
 * @param day what the day says of it
 * @example dishSteps(dish, stageSpans(dish, forecast), { id: 'd1', meal: 'm1', serve: 'hot', large: true })
 */
export function dishSteps(dish: Dish, spans: Readonly<Record<string, Durations>>, day: OnTheDay): DayDish {
  const laying: Laying = { activities: [], lags: [], holds: [], last: null, min: 0, max: null, kind: 'prep' }
  const before = dish.stages.filter(stage => stage.phase === 'before')
  const chained = before.filter(one => !isStage(one, 'steep', 'melt'))
  layFirst(laying, chained, spans)
  const { first, fire } = layFire(laying, dish, spans)
  laySeconds(laying, dish, chained, spans, fire)
  for (const stage of before.filter(one => isStage(one, 'steep', 'melt')))
    layAside(
      laying,
      stage,
      spans,
      stepOf(
        fire,
        isStage(stage, 'melt')
          ? jaggeryStage(dish)
          : lastOf(mainLine(dish)
              .filter(one => one.does !== 'rest')),
      ),
    )
  const hotPour = laySides(laying, dish, spans, fire)
  const begins = layRoastingPan(laying, dish, fire) ?? first
  const rest = layAfter(laying, dish, spans)
  if (begins) laying.holds.push({ need: day.large ? 'heavyL' : 'heavy', first: begins, last: lastOf(fire).id })
  if (spans[THICKENED.step]) layThickened(laying, dish, spans, fire, day.large)
  const laid: DayDish = {
    id: day.id,
    template: dish.id,
    meal: day.meal,
    serve: day.serve,
    sink: known(laying.last, dish.id),
    ready: Math.max(rest, SERVED),
    activities: laying.activities,
    lags: laying.lags,
    holds: laying.holds,
    ...(hotPour ? { hotPour } : {}),
  }
  const heated =
    fire.findLast(step => laying.activities.some(one => one.id === step.id && one.burner > 0)) ?? fire.at(-1)
  const kept = day.stands && heated ? standingDish(laid, day.stands.most, heated.id, day.stands.warms) : laid
  return day.serve === 'cold' || (day.chills && kept.stands) ? chilledDish(kept, day.large) : kept
}

function jaggeryStage(dish: Dish): Stage {
  const jaggery = new Set(dish.ingredients.filter(one => one.part === 'jaggery').map(one => one.id))
  const line = mainLine(dish)
  const adding = line.find(stage => stage.adds.some(one => jaggery.has(one.ingredient)))
  const side = sideStages(dish).find(stage => stage.adds.some(one => jaggery.has(one.ingredient)))
  return adding ?? line.find(stage => stage.id === side?.meets.stage) ?? itemAt(line, 0)
}

/** The main line as steps: stages of the same hands and flame go on as one; the pour begins one. */
function layFire(
  laying: Laying,
  dish: Dish,
  spans: Readonly<Record<string, Durations>>,
): { first: string | null, fire: FireStep[] } {
  const line = mainLine(dish).filter(stage => stage.does !== 'rest')
  const fire: FireStep[] = []
  let first: string | null = null
  let wait: Durations | null = null
  let waits = keeps(dish)
  for (const [index, stage] of line.entries()) {
    const previous = line[index - 1]
    const dur = fieldAt(spans, stage.id)
    if (stage.does === 'wait') {
      laying.holds.push({ need: 'ppan', first: 'press', last: 'open' })
      follow(laying, { id: 'open', dur: LID_OFF, hands: 1, burner: 0 }, WAITS.open[0], WAITS.open[1], 'cool')
      fire.push({ id: 'open', stages: [stage] })
      waits = WAITS.warm
      continue
    }
    if (stage.does === 'cool') {
      wait = dur
      lastOf(fire).stages.push(stage)
      continue
    }
    const joined = fire.at(-1)
    const fried = stage.does === 'fry' && first === null
    const breaks =
      !previous
      || previous.does === 'fry'
      || previous.does === 'cool'
      || previous.does === 'press'
      || previous.does === 'wait'
      || stage.id === dish.keystone.stage
      || (previous.hands ?? 1) !== (stage.hands ?? 1)
      || (previous.flame === 'off') !== (stage.flame === 'off')
    if (joined && !breaks) {
      joined.stages.push(stage)
      const at = laying.activities.findIndex(one => one.id === joined.id)
      const activity = itemAt(laying.activities, at)
      laying.activities[at] = {
        ...activity,
        dur: [activity.dur[0] + dur[0], activity.dur[1] + dur[1], activity.dur[2] + dur[2]],
      }
      continue
    }
    const activity: Activity = {
      id: stage.id,
      dur,
      hands: stage.hands ?? 1,
      burner: stage.flame === 'off' ? 0 : 1,
      hot: true,
    }
    if (isStage(stage, 'soften-2') && dish.choices?.lots) layNextLot(laying, spans)
    if (fried)
      layFried(
        laying,
        activity,
        line.slice(index + 1).find(one => !['wait', 'press', 'cool'].includes(one.does)),
        fire,
        stage,
      )
    else {
      if (wait) follow(laying, activity, wait[0], wait[1] + WAITS.cool, 'cool')
      else if (stage.id === dish.keystone.stage) follow(laying, activity, 0, ...turning(stage, line.slice(0, index)))
      else if (first === null) follow(laying, activity, 0, laying.last === null ? null : waits, laying.kind)
      else follow(laying, activity, 0, WAITS.hot, 'hot')
      wait = null
      if (stage.does !== 'press') first ??= stage.id
      fire.push({ id: stage.id, stages: [stage] })
    }
  }
  return { first, fire: fire.filter(step => step.id !== 'nuts' || fire.length === 1) }
}

/**
 * How long what stands before the turn may wait: a roasted base minutes, grain out of its pan and what was mixed cold
 * an hour.
 */
function turning(turn: Stage, before: readonly Stage[]): [number, string] {
  if (rainsIn(turn)) return [WAITS.mixed, 'prep']
  return before.some(stage => stage.flame !== 'off') ? [WAITS.hotBase, 'hotbase'] : [WAITS.mixed, 'prep']
}

/** The second lot is grated, half by half, while the first cooks. */
function layNextLot(laying: Laying, spans: Readonly<Record<string, Durations>>): void {
  const grate = spans.grate
  if (!grate) return
  laying.activities.push({ id: 'grate-2', dur: grate, hands: 0.5, burner: 0 })
  laying.lags.push(
    { from: 'grate', to: 'grate-2', min: 0, max: null, kind: 'lots' },
    { from: 'grate-2', to: 'soften-2', min: 0, max: WAITS.grated, kind: 'grated' },
  )
}

/** Nuts fried first can be fried at any time before. */
function layFried(laying: Laying, activity: Activity, next: Stage | undefined, fire: FireStep[], stage: Stage): void {
  laying.activities.push(activity)
  laying.holds.push({ need: 'heavy', first: activity.id, last: activity.id })
  if (next) laying.lags.push({ from: activity.id, to: next.id, min: 0, max: null, kind: 'nuts' })
  fire.push({ id: activity.id, stages: [stage] })
}

/** Steeping and melting: any time before the step they go into. */
function layAside(laying: Laying, stage: Stage, spans: Readonly<Record<string, Durations>>, into: string): void {
  const melt = isStage(stage, 'melt')
  laying.activities.push({
    id: stage.id,
    dur: melt ? fieldAt(spans, stage.id) : PUT_TO_STEEP,
    hands: melt ? 0.5 : 1,
    burner: melt ? 1 : 0,
  })
  laying.lags.push({
    from: stage.id,
    to: into,
    min: melt ? 0 : WAITS.steep[0],
    max: melt ? null : WAITS.steep[1],
    kind: melt ? 'melted' : 'steep',
  })
  if (melt) laying.holds.push({ need: 'pot', first: stage.id, last: stage.id })
}

/** Milk boiled down in a wide pan, at any time from two days before until it has cooled for the step it goes into. */
function layThickened(
  laying: Laying,
  dish: Dish,
  spans: Readonly<Record<string, Durations>>,
  fire: readonly FireStep[],
  large: boolean,
): void {
  const { step, ingredient } = THICKENED
  const ids = new Set(dish.ingredients.filter(one => one.ingredient === ingredient).map(one => one.id))
  const into = mainLine(dish).find(stage => stage.adds.some(one => ids.has(one.ingredient)))
  if (!into) return
  laying.activities.push({ id: step, dur: fieldAt(spans, step), hands: 0.5, burner: 1 })
  laying.lags.push({
    from: step,
    to: stepOf(fire, into),
    min: WAITS.thickenedCools,
    max: WAITS.thickenedKeeps,
    kind: 'thickened',
  })
  laying.holds.push({ need: large ? 'heavyL' : 'heavy', first: step, last: step })
}

/** Liquids and syrups in other vessels, and nuts fried last. */
function laySides(
  laying: Laying,
  dish: Dish,
  spans: Readonly<Record<string, Durations>>,
  fire: readonly FireStep[],
): DayDish['hotPour'] {
  let hotPour: DayDish['hotPour']
  for (const stage of sideStages(dish)) {
    if (stage.does === 'fry') {
      laying.activities.push({ id: stage.id, dur: fieldAt(spans, stage.id), hands: stage.hands ?? 0.5, burner: 1 })
      const after = dish.stages.find(one => one.phase === 'after')
      if (after) laying.lags.push({ from: stage.id, to: after.id, min: 0, max: null, kind: 'nuts' })
      continue
    }
    const target = stageOf(dish, stage.meets.stage)
    const pour = stepOf(fire, target)
    laying.activities.push({ id: stage.id, dur: fieldAt(spans, stage.id), hands: stage.hands ?? 0, burner: 1 })
    if (stage.vessel !== target.vessel) laying.holds.push({ need: 'pot', first: stage.id, last: pour })
    const [max, maxWait] = stage.does === 'boil-syrup' ? WAITS.syrup : WAITS.liquid
    // A step that begins earlier than the pour inside it cannot hold the liquid to the minute.
    if (hotPour || pour !== target.id) laying.lags.push({ from: stage.id, to: pour, min: 0, max, kind: 'hotliquid' })
    else hotPour = { heat: stage.id, pour, max, reheat: { dur: AGAIN, maxWait } }
  }
  return hotPour
}

/**
 * Grain that is rained has a pan of its own until it goes in; its liquid is the first thing in the deep one: its step.
 */
function layRoastingPan(laying: Laying, dish: Dish, fire: readonly FireStep[]): string | null {
  const rain = mainLine(dish).find(rainsIn)
  const roasts = fire.find(step => step.stages.some(stage => stage.does === 'roast'))
  if (!rain || !roasts) return null
  laying.holds.push({ need: 'heavy', first: roasts.id, last: stepOf(fire, rain) })
  return sideStages(dish).find(stage => stage.meets.stage === rain.id)?.id ?? null
}
