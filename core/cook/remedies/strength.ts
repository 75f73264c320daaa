import { constant } from '../../materials/constants/constants'
import { mainLine } from '../../formulation/dish/mainLine'
import { sideStages } from '../../formulation/dish/sideStages'
import { additionsOf } from '../../process/program/additionsOf'
import type { Forecast } from '../../record/plan/forecast'
import { STRONGEST, WEAKEST } from '../../materials/syrup/syrup'
import { syrupAtShare } from '../../materials/syrup/syrupAtShare'
import { syrupShareOf } from '../../formulation/dish/syrupShareOf'
import { remedy, some, type Bench } from './bench'
import { contentsG } from '../../process/program/contentsNow'
import type { Remedy } from './remedy'
import type { PanContents } from '../../materials/composition/panContents'
import { wantedWaterG } from './wetness'

/** Smallest change of water worth making in a set mass, as a share of it (estimate). */
const STEP = constant('setStep')

/**
 * Where the syrup is: its contents, and the weight of its vessel. Null once it has gone into the mass, or where there
 * is none.
 */
export function syrupOf(
  { plan, cook, now, tareG }: Bench,
  forecast: Forecast | null,
): { readonly contents: PanContents, readonly tareG: number } | null {
  const stage = mainLine(plan.dish)[cook.stage]
  if (stage?.does === 'boil-syrup') return { contents: now, tareG }
  const side = sideStages(plan.dish).find(one => one.does === 'boil-syrup')
  const here = forecast?.sides.find(one => one.vessel === side?.vessel)
  if (!side || !here?.now || cook.stage >= here.meets) return null
  const adds = additionsOf(plan, side)
  const sugarG = adds.reduce((all, one) => all + one.sugar + one.invert, 0)
  return {
    contents: { waterG: Math.max(0, here.now.contentG - sugarG), solidsG: 0, fatG: 0, sugarG, nutsG: 0 },
    tareG: plan.vessels[side.vessel]?.vessel.massG ?? 0,
  }
}

/** Water a syrup holds at the strength the dish wants, g. */
function wantedG(bench: Bench, contents: PanContents): number {
  return contents.sugarG * (1 / syrupShareOf(bench.plan.dish) - 1)
}

function boilsAtC(bench: Bench): number {
  const share = Math.min(STRONGEST, Math.max(WEAKEST, syrupShareOf(bench.plan.dish)))
  return syrupAtShare(share, 0, bench.airPressurePa).boilsAtC + (bench.plan.thermometerK ?? 0)
}

/** Syrup too weak: boil it on, to a weight and a temperature. */
export function syrupWeak(bench: Bench, forecast: Forecast | null): Remedy[] {
  const syrup = syrupOf(bench, forecast)
  if (!syrup) return []
  const off = Math.max(STEP * contentsG(syrup.contents), syrup.contents.waterG - wantedG(bench, syrup.contents))
  return [
    remedy({ ...bench, now: syrup.contents, tareG: syrup.tareG }, 'boil-syrup-on', {
      drivesOffG: off,
      weighs: true,
      tempC: boilsAtC(bench),
      notes: ['no-stirring'],
    }),
  ]
}

/** Syrup too far: work hot water in and let it come together again. */
export function syrupFar(bench: Bench, forecast: Forecast | null): Remedy[] {
  const syrup = syrupOf(bench, forecast)
  if (!syrup) return []
  const missing = Math.max(STEP * contentsG(syrup.contents), wantedG(bench, syrup.contents) - syrup.contents.waterG)
  return [
    remedy({ ...bench, now: syrup.contents, tareG: syrup.tareG }, 'thin-syrup', {
      adds: some('water', missing, bench.pantry.water),
      weighs: true,
      tempC: boilsAtC(bench),
      notes: ['hot', 'spits-steam'],
    }),
  ]
}

/** Slab will not set: warm it and drive off what is too much. */
export function slabSoft(bench: Bench): Remedy[] {
  const off = Math.max(STEP * contentsG(bench.now), bench.now.waterG - wantedWaterG(bench))
  return [
    remedy(bench, 'reheat-drive-off', {
      drivesOffG: Math.min(off, 0.8 * bench.now.waterG),
      weighs: true,
      notes: ['low-stir-always', 'scrape-back'],
    }),
  ]
}

/** Slab too hard: work hot water in over a low flame. */
export function slabHard(bench: Bench): Remedy[] {
  const missing = Math.max(STEP * contentsG(bench.now), wantedWaterG(bench) - bench.now.waterG)
  return [
    remedy(bench, 'work-in-water', {
      adds: some('water', missing, bench.pantry.water),
      weighs: true,
      notes: ['hot', 'low-stir-always'],
    }),
  ]
}
