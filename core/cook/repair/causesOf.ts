import { mainLine } from '../../formulation/dish/mainLine'
import { flamesNow } from '../../record/replay/flamesNow'
import type { Bench } from '../remedies/bench'
import { dryG } from '../../process/program/contentsNow'
import { wantedWaterG } from '../remedies/wetness'
import type { Cause, Fault } from '../remedies/repair'

type Says = Cause['record']
type Test = (bench: Bench) => Says

const open: Test = () => 'open'

/** The flame after the pour stands lower than the plan says. */
const lowFlame: Test = ({ plan, cook }) => {
  const stage = mainLine(plan.dish)[cook.stage]
  if (!stage || stage.flame === 'off') return 'open'
  const marks = plan.fires[stage.vessel]?.marks.map(one => one.id) ?? []
  const [is, planned] = [marks.indexOf(flamesNow(plan, cook)[stage.vessel]?.mark ?? ''), marks.indexOf(plan.flames[stage.id] ?? '')]
  return is < planned ? 'for' : 'against'
}
const highFlame: Test = ({ plan, cook }) => {
  const stage = mainLine(plan.dish).find(one => one.does === 'roast')
  const marks = plan.fires[stage?.vessel ?? '']?.marks.map(one => one.id) ?? []
  const planned = marks.indexOf(plan.flames[stage?.id ?? ''] ?? '')
  return cook.slips.some(one => one.what === 'flame-too-high') || cook.controls.some(one => one.what.mark !== undefined && marks.indexOf(one.what.mark) > planned) ? 'for' : 'open'
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
const sugarEarly: Test = ({ plan, cook }) => (plan.dish.choices?.sugar === 'in-liquid' ? 'for' : cook.signs.some(one => one.what === 'taken-up') ? 'against' : 'open')
const keptBack: Test = ({ cook }) => (cook.keptBack.length > cook.restPoured.length ? 'for' : 'against')
const forgotten: Test = ({ cook }) => (cook.forgotten.length > 0 ? 'for' : 'open')
const sour: Test = ({ plan }) => (plan.dish.ingredients.some(one => one.part === 'fruit' || one.part === 'juice' || one.part === 'jaggery') || plan.dish.family === 'fruit' ? 'for' : 'open')
const thinPan: Test = ({ plan, tareG }) => (plan.vessels.pan && tareG > 0 ? (plan.vessels.pan.vessel.material === 'aluminium' || tareG < 700 ? 'for' : 'against') : 'open')

/** Causes by fault, the usual ones first (craft, section 6). */
const CAUSES: Readonly<Record<Fault, readonly (readonly [string, Test])[]>> = {
  'runny': [['low-flame', lowFlame], ['too-wet', off('waterG', true)], ['cold-liquid', coldLiquid], ['sugar-runs', open]],
  'dry': [['too-dry', off('waterG', false)], ['kept-back', keptBack], ['too-long', open]],
  'lumpy': [['cold-liquid', coldLiquid], ['poured-fast', open], ['stirred-late', unstirred]],
  'gluey': [['under-roasted', underRoasted], ['low-flame', lowFlame], ['too-wet', off('waterG', true)]],
  'hard-grain': [['sugar-early', sugarEarly], ['cold-liquid', coldLiquid], ['too-dry', off('waterG', false)], ['kept-back', keptBack]],
  'raw-taste': [['under-roasted', underRoasted], ['low-flame', lowFlame]],
  'too-sweet': [['more-sugar', off('sugarG', true)], ['produce-sweet', open]],
  'not-sweet': [['forgotten', forgotten], ['less-sugar', off('sugarG', false)], ['produce-plain', open]],
  'greasy': [['more-fat', off('fatG', true)], ['fat-drawn-later', open], ['too-dry', off('waterG', false)]],
  'sticking': [['too-early', open], ['less-fat', off('fatG', false)], ['flame-high', highFlame]],
  'syrup-weak': [['too-short', open], ['low-flame', lowFlame]],
  'syrup-far': [['too-long', open], ['flame-high', highFlame]],
  'slab-soft': [['too-wet', off('waterG', true)], ['syrup-weak', open]],
  'slab-hard': [['too-dry', off('waterG', false)], ['syrup-far', open]],
  'balls-crumble': [['less-fat', off('fatG', false)], ['too-cool', open]],
  'balls-flatten': [['more-fat', off('fatG', true)], ['too-warm', open]],
  'milk-split': [['sour', sour], ['flame-high', highFlame]],
  'milk-catches': [['flame-high', highFlame], ['left-alone', unstirred], ['thin-pan', thinPan]],
  'pasty': [['grated-fine', open], ['mashed', open], ['too-wet', off('waterG', true)]],
  'scorched': [['flame-high', highFlame], ['left-alone', unstirred], ['thin-pan', thinPan]],
}
const RANK: Readonly<Record<Says, number>> = { for: 0, open: 1, against: 2 }

/**
 * Likely causes of a fault, those that this cook's own record speaks for first.
 *
 * @param bench the pan, the plan and what was marked
 * @param fault what is seen
 * @returns causes with what the record says
 */
export function causesOf(bench: Bench, fault: Fault): Cause[] {
  return CAUSES[fault].map(([cause, test]) => ({ cause, record: test(bench) })).sort((p, q) => RANK[p.record] - RANK[q.record])
}
