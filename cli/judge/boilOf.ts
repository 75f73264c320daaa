import { FIRST_KITCHEN } from '../../book/firstKitchen'
import type { BoilCheck } from '../../core/boil/boilCheck'
import { boilProgram } from '../../core/boil/boilProgram'
import type { MemberValues } from '../../core/belief/memberValues'
import { mainLine } from '../../core/dish/mainLine'
import type { Program } from '../../core/forecast/program'
import { ensembleRecord } from '../../core/forecast/record'
import { SIGN } from '../../core/forecast/signs'
import { simulate } from '../../core/forecast/simulate'
import type { CookPlan } from '../../core/live/plan'
import type { Uniform } from '../../core/random/seededRandom'
import { normal, pivotWatts } from './household'

const WATER_G = 700
const FROM_C = 26
const BOIL_ON_S = 240

/**
 * A boil check of the pan and the mark a dish is roasted on, done in a world just before the cook, read with a hand on the
 * clock and a kitchen scale.
 *
 * @param hidden the day's truth
 * @param plan pan, fire and mark
 * @param step laws of the world
 * @param uniform source of chance
 * @returns what was read; null where this mark never brings the water to the boil
 */
export function boilOf(hidden: MemberValues, plan: CookPlan, step: Program['step'], uniform: Uniform): BoilCheck | null {
  const watts = pivotWatts(plan)
  const vessel = plan.vessels[mainLine(plan.dish)[0]!.vessel]!
  const fire = FIRST_KITCHEN.fires[0]!
  const truth = { ...hidden, mainLadder: 0 }
  const check: BoilCheck = {
    id: 'boil', fire: { id: fire.id, kind: 'gas', mark: 'any', watts }, pan: { id: vessel.id, vessel: vessel.vessel, massGuessed: false },
    lid: true, waterG: WATER_G, fromC: FROM_C, boilS: 5400, half: null, boiledOn: null, atBoilC: null, airC: plan.airC, altitudeM: plan.altitudeM, when: plan.plannedAt,
  }
  const run = (asked: BoilCheck) => {
    const program = { ...boilProgram(asked), step }
    const record = ensembleRecord(1, program.stages.length, program.queries.length, 0)
    simulate(program, truth, record, 0)
    return record
  }
  const boilS = run(check).signs[SIGN.boil]!
  if (!Number.isFinite(boilS)) return null
  const read = Math.max(20, boilS * Math.exp(0.03 * normal(uniform)) + 4 * normal(uniform))
  const left = run({ ...check, boilS, boiledOn: { seconds: BOIL_ON_S, lostG: 0 } }).readings[0]!
  return { ...check, boilS: read, boiledOn: { seconds: BOIL_ON_S, lostG: Math.max(0, WATER_G - left + 3 * normal(uniform)) } }
}
