import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import { boundaryIndex } from '../../formulation/dish/boundaryIndex'
import { doneIndex } from '../../formulation/dish/doneIndex'
import { COLOUR_STEPS } from '../../formulation/signs/signIds'
import type { BatchRecord } from '../compare/difference'
import type { Window } from '../../maths/random/window'

/** What a batch's own record says, each as so many standard deviations from what was forecast, or as a count. */
export const FEATURES = [
  'roastTime',
  'roastColour',
  'aromaTime',
  'roastFlame',
  'afterTime',
  'afterFlame',
  'weight',
  'pourTime',
  'liquidBoil',
  'uptake',
  'coolTime',
  'syrupTime',
  'thinPan',
  'unstirred',
] as const
export type Feature = (typeof FEATURES)[number]

/** One feature, null where nothing was marked that would tell. */
export type Features = Readonly<Record<Feature, number | null>>

/** Width of a window from its 10th to its 90th percentile in standard deviations. */
const Z_WIDTH = 2.563
/** Least spread of a time in log, and of a weight as a share: marks and scales are no finer. */
const LEAST_TIME = 0.12
const LEAST_WEIGHT = 0.015

/**
 * Reads the features of a batch from its record.
 *
 * @param record plan with the forecast it was cooked under, what was marked, and the summary
 * @returns features
 */
export function featuresOf(record: BatchRecord): Features {
  const { plan, cook, summary } = record
  const forecast = plan.forecast
  const line = mainLine(plan.dish)
  const roast = line.findLastIndex(stage => stage.does === 'roast')
  const turn = boundaryIndex(plan.dish, plan.dish.keystone)
  const done = doneIndex(plan.dish)
  const starts = (k: number): number | null =>
    k >= line.length ? cook.finishedS : (cook.stageStarts[k] ?? (k === done ? cook.offFireS : null))
  /** Log of how long it took over how long it was forecast to take. */
  const took = (from: number, to: number): number | null => {
    const [begun, ended] = [from < 0 ? null : starts(from), starts(to)]
    const planned = forecast?.stages[to]
    const before = forecast?.stages[from]
    if (begun === null || ended === null || !planned || !before || !(ended > begun)) return null
    return scored(ended - begun, {
      early: planned.early - before.middle,
      middle: planned.middle - before.middle,
      late: planned.late - before.middle,
    })
  }
  const cool = line.findIndex(stage => stage.does === 'cool')
  const pour = line.findIndex(stage => stage.does === 'pour')
  const syrup = line.findIndex(stage => stage.does === 'boil-syrup')
  return {
    roastTime: took(roast, roast + 1),
    roastColour: colourOff(record, roast),
    aromaTime: aromaOff(record, roast),
    roastFlame: flameOff(record, roast, roast, roast + 1),
    afterTime: took(turn, done),
    afterFlame: flameOff(record, turn, turn, done),
    weight:
      summary.weighed && summary.finishedG !== null && forecast
        ? weightOff(summary.finishedG, forecast.finishedG)
        : null,
    pourTime: took(pour, pour + 1),
    liquidBoil: boilOff(record),
    uptake: uptakeOff(record),
    coolTime: took(cool, cool + 1),
    syrupTime: took(syrup, syrup + 1),
    thinPan: thinness(record),
    unstirred: cook.unstirred.length > 0 ? Math.min(3, cook.unstirred.reduce((sum, one) => sum + one.what, 0) / 60) : 0,
  }
}

function scored(is: number, window: Window): number | null {
  if (!(window.middle > 1)) return null
  const spread = Math.max(
    LEAST_TIME,
    Math.log(Math.max(1.05, window.late) / Math.max(1, Math.min(window.early, window.middle))) / Z_WIDTH,
  )
  return Math.log(is / window.middle) / spread
}

function weightOff(is: number, { early, middle, late }: Window): number {
  return (is - middle) / Math.max(LEAST_WEIGHT * middle, (late - early) / Z_WIDTH)
}

/** Colour steps past the one the roast was to end at. */
function colourOff({ plan, summary }: BatchRecord, roast: number): number | null {
  const until = mainLine(plan.dish)[roast]?.until
  if (!until || !('sign' in until) || roast < 0) return null
  const place = (step: string | null): number =>
    step === null ? -1 : COLOUR_STEPS.findIndex(one => one === step)
  const wanted = place(until.sign)
  return until.sign === 'aroma' || wanted >= 0
    ? place(summary.darkestStep) - (until.sign === 'aroma' ? -0.5 : wanted)
    : null
}

/** How much earlier or later the smell came than was forecast. */
function aromaOff({ plan, cook }: BatchRecord, roast: number): number | null {
  const smelled = cook.signs.find(one => one.what === 'aroma')?.timeS
  const window = plan.forecast?.signs.aroma
  const begun = cook.stageStarts[roast]
  const before = plan.forecast?.stages[roast]?.middle
  if (
    smelled === undefined
    || !window
    || begun === null
    || begun === undefined
    || before === undefined
    || !(smelled > begun)
  )
    return null
  return scored(smelled - begun, {
    early: window.early - before,
    middle: window.middle - before,
    late: window.late - before,
  })
}

/** Marks above or below the plan's, weighed by how long they were. */
function flameOff({ plan, cook }: BatchRecord, of: number, from: number, to: number): number | null {
  const stage = mainLine(plan.dish)[of]
  const [begun, ended] = [cook.stageStarts[from] ?? null, cook.stageStarts[to] ?? cook.offFireS ?? cook.finishedS]
  if (!stage || of < 0 || begun === null || ended === null || !(ended > begun)) return null
  const marks = plan.fires[stage.vessel]?.marks.map(one => one.id) ?? []
  const planned = marks.indexOf(plan.flames[stage.id] ?? '')
  if (planned < 0) return null
  let sum = 0
  let at = begun
  let stands = planned
  for (const control of cook.controls.filter(
    one =>
      one.what.vessel === stage.vessel && one.what.mark !== undefined && one.timeS > begun - 30 && one.timeS < ended,
  )) {
    sum += (stands - planned) * Math.max(0, control.timeS - at)
    at = Math.max(at, control.timeS)
    stands = control.what.mark === 'off' ? -1 : Math.max(-1, marks.indexOf(control.what.mark ?? ''))
  }
  return (sum + (stands - planned) * (ended - at)) / (ended - begun)
}

/** Above zero where the liquid boiled before it was poured, below where it cannot have. */
function boilOff({ plan, cook }: BatchRecord): number | null {
  const line = mainLine(plan.dish)
  const pour = line.findIndex(stage => stage.from !== undefined)
  const vessel = line[pour]?.from
  const at = cook.stageStarts[pour] ?? null
  if (vessel === undefined || at === null || !sideStages(plan.dish).some(one => one.vessel === vessel)) return null
  if (cook.slips.some(one => one.what === 'liquid-cold')) return -3
  if ((cook.ready[vessel] ?? Infinity) <= at) return 1
  const lit = cook.lit[vessel]
  const needs = plan.forecast?.sides.find(one => one.vessel === vessel)?.needs
  if (!needs) return null
  if (lit === undefined) return null
  const spread = Math.max(LEAST_TIME, Math.log(needs.late / Math.max(1, needs.early)) / Z_WIDTH)
  return Math.max(-3, Math.min(1, Math.log(Math.max(1, at - lit) / needs.middle) / spread / 2))
}

/** Taken up slowly, or no more: below zero; quickly: above. */
function uptakeOff({ cook }: BatchRecord): number | null {
  if (cook.uptakes.length === 0) return null
  const of = { 'quickly': 1, 'slowly': -0.7, 'no-more': -1 } as const
  return cook.uptakes.reduce((sum, one) => sum + of[one.what], 0) / cook.uptakes.length
}

/** A light pan of aluminium, or any below 700 g, is thin: 1; a heavy one −1. */
function thinness({ plan }: BatchRecord): number | null {
  const pan = plan.vessels.pan?.vessel
  if (!pan) return null
  const perArea = pan.massG / (Math.PI / 4 * (pan.innerDiameterMm / 100) ** 2)
  return pan.material === 'cast-iron' ? -1 : perArea < 130 ? 1 : perArea > 220 ? -1 : 0
}
