import { baseNumbers } from '../program/basesNumbers'
import { LID, OPEN, type Cover } from '../engine/cover'
import type { Program, ProgramStage } from '../engine/program'
import { SIGN } from '../engine/signs'
import { vesselConditions } from '../engine/vesselConditions'
import { stepVessel } from '../engine/stepVessel'
import { SEMOLINA } from '../../formulation/family/semolina'
import { FIRE_KINDS } from '../../materials/fire/fireKinds'
import { airPressurePa } from '../../materials/water/airPressurePa'
import type { BoilCheck } from './boilCheck'

/** A member that takes this many times longer than was read is out of the question. */
const HOPELESS = 3

/**
 * A boil check as a program: water to the boil, then boiling on; every member is asked for what was read.
 *
 * @param check what was done
 * @returns a program of one vessel
 */
export function boilProgram(check: BoilCheck): Program {
  const { fire, pan, half, boiledOn, boilS } = check
  const flame = { fire: 'mainFire' as const, watts: fire.watts, ladder: 0, lagS: FIRE_KINDS[fire.kind].lagS }
  const cover: Cover = check.lid ? LID : OPEN
  const bare = {
    vessel: 0,
    adds: [],
    tips: null,
    nutsLeave: false,
    flame,
    cover,
    seconds: 0,
    pours: 0,
    from: null,
    fromShare: 1,
    wet: false,
    roasts: false,
    stepS: 6,
    leastS: 0,
    underPressure: false,
    pressureS: null,
    watches: [],
    tapped: [],
    tint: 0,
  }
  const water = { water: check.waterG, solids: 0, fat: 0, sugar: 0, invert: 0, nuts: 0, base: false, dry: false }
  const heat: ProgramStage = {
    ...bare,
    startS: 0,
    adds: [water],
    sign: SIGN.boil,
    watches: [SIGN.boil],
    tapped: [SIGN.boil],
  }
  const on: ProgramStage = { ...bare, startS: boilS, cover: OPEN, sign: null, seconds: boiledOn?.seconds ?? 0 }
  const conditions = vesselConditions(pan.vessel, check.airC, airPressurePa(check.altitudeM), check.fromC)
  return {
    family: baseNumbers(SEMOLINA),
    beside: baseNumbers(SEMOLINA, false, 0),
    colours: SEMOLINA,
    cooked: false,
    syrupShare: 0.7,
    step: stepVessel,
    vessels: [conditions],
    stages: [heat, on],
    sides: [],
    controls: [],
    changes: [],
    turns: [],
    queries: [
      ...(half ? [{ timeS: half.timeS, of: 'temp-c' as const }] : []),
      ...(boiledOn ? [{ timeS: boilS + boiledOn.seconds, of: 'content-g' as const }] : []),
    ],
    nowS: 0,
    mostS: HOPELESS * boilS + (boiledOn?.seconds ?? 0) + 60,
  }
}
