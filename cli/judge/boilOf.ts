import { oneNormal } from '../../core/maths/random/fillNormal'
import { pivotWatts } from '../../core/process/belief/pivotWatts'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import type { MemberValues } from '../../core/process/belief/memberValues'
import type { BoilCheck } from '../../core/process/boil/boilCheck'
import { boilProgram } from '../../core/process/boil/boilProgram'
import { SET_AGAIN } from '../../core/process/boil/readBoilCheck'
import { mainLine } from '../../core/formulation/dish/mainLine'
import type { Program } from '../../core/process/engine/program'
import { ensembleRecord, type EnsembleRecord } from '../../core/process/engine/record'
import { SIGN } from '../../core/process/engine/signs'
import { simulate } from '../../core/process/engine/simulate'
import type { CookPlan } from '../../core/record/plan/plan'
import type { Uniform } from '../../core/maths/random/seededRandom'

const WATER_G = 700
const FROM_C = 26
const BOIL_ON_S = 240
/** Longer than this nobody waits for water to boil: the next mark up is taken, s. */
const PATIENCE_S = 1200

/**
 * A boil check of the pan on the mark a dish is roasted on, or the lowest mark above it that boils the water in good
 * time; done in a world just before the cook, read with a hand on the clock and a kitchen scale.
 *
 * @param hidden the day's truth
 * @param plan pan, fire and mark
 * @param step laws of the world
 * @param uniform source of chance
 * @returns what was read
 */
export function boilOf(hidden: MemberValues, plan: CookPlan, step: Program['step'], uniform: Uniform): BoilCheck {
  const pivot = pivotWatts(plan)
  const vessel = plan.vessels[mainLine(plan.dish)[0]!.vessel]!
  const fire = FIRST_KITCHEN.fires[0]!
  const again = Math.exp(SET_AGAIN * oneNormal(uniform))
  const marks = fire.marks.filter(mark => mark.watts >= pivot - 1)
  for (const mark of marks) {
    const truth = {
      ...hidden,
      mainLadder: 0,
      mainFire: hidden.mainFire * again * Math.exp(hidden.mainLadder * Math.log(mark.watts / pivot)),
    }
    const check: BoilCheck = {
      id: 'boil',
      fire: { id: fire.id, kind: 'gas', mark: mark.id, watts: mark.watts },
      pan: { id: vessel.id, vessel: vessel.vessel, massGuessed: false },
      lid: true,
      waterG: WATER_G,
      fromC: FROM_C,
      boilS: 5400,
      half: null,
      boiledOn: null,
      atBoilC: null,
      airC: plan.airC,
      altitudeM: plan.altitudeM,
      when: plan.plannedAt,
    }
    const boilS = run(check, truth, step).signs[SIGN.boil]!
    if (boilS > PATIENCE_S && mark !== marks.at(-1)) continue
    if (!Number.isFinite(boilS)) break
    const read = Math.max(20, boilS * Math.exp(0.03 * oneNormal(uniform)) + 4 * oneNormal(uniform))
    const left = run({ ...check, boilS, boiledOn: { seconds: BOIL_ON_S, lostG: 0 } }, truth, step).readings[0]!
    return {
      ...check,
      boilS: read,
      boiledOn: { seconds: BOIL_ON_S, lostG: Math.max(0, WATER_G - left + 3 * oneNormal(uniform)) },
    }
  }
  throw new Error('No mark of this fire brings the water to the boil.')
}

function run(check: BoilCheck, truth: MemberValues, step: Program['step']): EnsembleRecord {
  const program = { ...boilProgram(check), step }
  const record = ensembleRecord(1, program.stages.length, program.queries.length, 0)
  simulate(program, truth, record, 0)
  return record
}
