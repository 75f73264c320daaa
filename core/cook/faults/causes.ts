import { keysOf } from '../../records'
import { mainLine } from '../../formulation/dish/mainLine'
import { dryG } from '../../process/program/contentsNow'
import { flamesNow } from '../../record/replay/flamesNow'
import type { Bench } from '../remedies/bench'
import { wantedWaterG } from '../remedies/wetness'
import type { Feature } from './features'

/** Where a feature lies under a cause, and how far it spreads, in the feature's own unit. */
export type Expectation = readonly [middle: number, spread: number]

/** How features lie where a cause is not at work: a batch as forecast. */
export const USUAL: Readonly<Record<Feature, Expectation>> = {
  roastTime: [0, 1.1],
  roastColour: [0, 0.8],
  aromaTime: [0, 1.1],
  roastFlame: [0, 0.5],
  afterTime: [0, 1.1],
  afterFlame: [0, 0.5],
  weight: [0, 1.1],
  pourTime: [0, 1.1],
  liquidBoil: [0.4, 0.7],
  uptake: [0.3, 0.7],
  coolTime: [0, 1.1],
  syrupTime: [0, 1.1],
  thinPan: [0, 0.8],
  unstirred: [0.1, 0.5],
}

/** What a running cook's own record says of a cause: for it, against it, or nothing. */
export type RecordSays = 'for' | 'against' | 'open'
type Test = (bench: Bench) => RecordSays

const open: Test = () => 'open'
/** What is still on the fire was not taken off it. */
const stillOn: Test = ({ cook }) => (cook.offFireS === null ? 'against' : 'open')

/** The flame after the pour stands lower than the plan says. */
const lowFlame: Test = ({ plan, cook }) => {
  const stage = mainLine(plan.dish)[cook.stage]
  if (!stage || stage.flame === 'off') return 'open'
  const marks = plan.fires[stage.vessel]?.marks.map(one => one.id) ?? []
  const [is, planned] = [
    marks.indexOf(flamesNow(plan, cook)[stage.vessel]?.mark ?? ''),
    marks.indexOf(plan.flames[stage.id] ?? ''),
  ]
  return is < planned ? 'for' : 'against'
}
const highFlame: Test = ({ plan, cook }) => {
  const stage = mainLine(plan.dish).find(one => one.does === 'roast')
  const marks = plan.fires[stage?.vessel ?? '']?.marks.map(one => one.id) ?? []
  const planned = marks.indexOf(plan.flames[stage?.id ?? ''] ?? '')
  return cook.slips.some(one => one.what === 'flame-too-high')
    || cook.controls.some(one => one.what.mark !== undefined && marks.indexOf(one.what.mark) > planned)
    ? 'for'
    : 'open'
}

/** The liquid was poured before anybody saw it boil. */
const coldLiquid: Test = (bench) => {
  const { plan, cook } = bench
  if (cook.slips.some(one => one.what === 'liquid-cold')) return 'for'
  const pour = mainLine(plan.dish).find(stage => stage.from !== undefined)
  return pour?.from === undefined || cook.ready[pour.from] === undefined ? 'open' : 'against'
}

/** The roast was left before the colour the dish asks for was seen. */
const underRoasted: Test = ({ plan, cook }) => {
  if (cook.slips.some(one => one.what === 'poured-early')) return 'for'
  const roast = [...mainLine(plan.dish)].reverse().find(stage => stage.does === 'roast')
  const sign = roast && 'sign' in roast.until ? roast.until.sign : null
  return sign === null ? 'open' : [...cook.signs, ...cook.looks].some(one => one.what === sign) ? 'against' : 'open'
}

/** What is in it is off the plan by more than a twentieth. */
const off = (part: 'waterG' | 'fatG' | 'sugarG', more: boolean): Test => (bench) => {
  const { now, toCome, aim } = bench
  const ratio = part === 'waterG'
    ? now.waterG / Math.max(1e-9, wantedWaterG(bench))
    : (now[part] + toCome[part]) / Math.max(1e-9, dryG(now) + dryG(toCome)) / Math.max(1e-9, aim[part] / dryG(aim))
  return (more ? ratio > 1.05 : ratio < 0.95) ? 'for' : 'against'
}

const unstirred: Test = ({ cook }) => (cook.unstirred.length > 0 ? 'for' : 'open')
const sugarEarly: Test = ({ plan, cook }) =>
  plan.dish.choices?.sugar === 'in-liquid'
    ? 'for'
    : cook.signs.some(one => one.what === 'taken-up')
      ? 'against'
      : 'open'
const keptBack: Test = ({ cook }) => (cook.keptBack.length > cook.restPoured.length ? 'for' : 'against')
const forgotten: Test = ({ cook }) => (cook.forgotten.length > 0 ? 'for' : 'open')
const sour: Test = ({ plan }) =>
  plan.dish.ingredients.some(one => one.part === 'fruit' || one.part === 'juice' || one.part === 'jaggery')
  || plan.dish.family === 'fruit'
    ? 'for'
    : 'open'
const thinPan: Test = ({ plan, tareG }) =>
  plan.vessels.pan && tareG > 0
    ? plan.vessels.pan.vessel.material === 'aluminium' || tareG < 700
      ? 'for'
      : 'against'
    : 'open'

/** What a fault can come from. */
interface CauseRow {
  /** What the record of the running cook says of it. */
  readonly atFire: Test
  /**
   * How it moves what is marked of a batch, by physics alone (estimates in standard deviations): what is taken off
   * early was shorter on the fire and weighs more; too much liquid weighs more in the usual time; a low flame after the
   * turn weighs more though it stood as long; a hotter fire brings the smell early. What is not named stays as usual.
   * Null where nothing of a finished batch could tell: it is asked of at the fire alone.
   */
  readonly features: Readonly<Partial<Record<Feature, Expectation>>> | null
}

const ROWS = {
  'flame-high': {
    atFire: highFlame,
    features: { aromaTime: [-1.8, 1.2], roastTime: [-0.8, 1.3], roastColour: [0.8, 1.4], roastFlame: [1.2, 1] },
  },
  'roast-short': { atFire: underRoasted, features: { roastTime: [-2, 1.2], roastColour: [-1.4, 0.9] } },
  'roast-long': { atFire: open, features: { roastTime: [2, 1.2], roastColour: [1.5, 1] } },
  'too-wet': {
    atFire: off('waterG', true),
    features: { weight: [2, 1.3], uptake: [-0.6, 0.7], afterTime: [0.3, 1.1] },
  },
  'too-dry': {
    atFire: off('waterG', false),
    features: { weight: [-2, 1.3], uptake: [0.8, 0.6], afterTime: [-0.2, 1.1] },
  },
  'off-early': { atFire: stillOn, features: { afterTime: [-2, 1.2], weight: [1.4, 1.2] } },
  'off-late': { atFire: open, features: { afterTime: [2, 1.2], weight: [-1.4, 1.2] } },
  'low-after-turn': {
    atFire: lowFlame,
    features: { afterFlame: [-1.2, 0.8], weight: [1.2, 1.2], afterTime: [0.2, 1.2] },
  },
  'cold-liquid': { atFire: coldLiquid, features: { liquidBoil: [-1.5, 1] } },
  'poured-fast': { atFire: open, features: { pourTime: [-2, 1.2] } },
  'sugar-early': { atFire: sugarEarly, features: {} },
  'more-fat': { atFire: off('fatG', true), features: { weight: [0.5, 1.2] } },
  'less-fat': { atFire: off('fatG', false), features: { weight: [-0.5, 1.2] } },
  'more-sugar': { atFire: off('sugarG', true), features: { weight: [0.5, 1.2] } },
  'less-sugar': { atFire: off('sugarG', false), features: { weight: [-0.5, 1.2] } },
  'syrup-weak': { atFire: open, features: { syrupTime: [-2, 1.2], weight: [1, 1.2] } },
  'syrup-far': { atFire: open, features: { syrupTime: [2, 1.2], weight: [-1, 1.2] } },
  'unstirred': { atFire: unstirred, features: { unstirred: [1.6, 1] } },
  'thin-pan': { atFire: thinPan, features: { thinPan: [1, 0.5] } },
  'rolled-warm': { atFire: open, features: { coolTime: [-2, 1.2] } },
  'rolled-cool': { atFire: open, features: { coolTime: [2, 1.2] } },
  'sour': { atFire: sour, features: {} },
  'kept-back': { atFire: keptBack, features: null },
  'forgotten': { atFire: forgotten, features: null },
  'sugar-runs': { atFire: open, features: null },
  'fat-drawn-later': { atFire: open, features: null },
  'too-early': { atFire: open, features: null },
  'produce-sweet': { atFire: open, features: null },
  'produce-plain': { atFire: open, features: null },
  'grated-fine': { atFire: open, features: null },
  'mashed': { atFire: open, features: null },
} satisfies Readonly<Record<string, CauseRow>>
export type FaultCause = keyof typeof ROWS

/** What faults come from: what speaks for each while it cooks, and what of a finished batch. */
export const CAUSES: Readonly<Record<FaultCause, CauseRow>> = ROWS

/** The codes of all causes. */
export const FAULT_CAUSES: readonly FaultCause[] = keysOf(ROWS)
