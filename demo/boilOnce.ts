import { firstBelief } from '../core/process/belief/firstBelief'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../core/process/belief/memberValues'
import type { BoilCheck } from '../core/process/boil/boilCheck'
import { boilProgram } from '../core/process/boil/boilProgram'
import { ensembleRecord } from '../core/process/engine/record'
import { SIGN } from '../core/process/engine/signs'
import { simulate } from '../core/process/engine/simulate'
import type { Lesson } from '../contracts/lesson'
import { DEMO_KITCHEN, HIDDEN } from './house'

const WATER_G = 720
const BOIL_ON_S = 240
/** What the hand and the scale of this house were off that day. */
const READ_LATE = 1.02
const SCALE_OFF_G = 4

/**
 * The demo house's boil check: four glasses of water in the wide pan on the front fire, done by the imaginary pan.
 *
 * @param at when, ms since 1970
 * @returns the lesson
 */
export function boilOnce(at: number): Lesson {
  const pan = DEMO_KITCHEN.pans.find(one => one.id === 'wide')!
  const fire = DEMO_KITCHEN.fires.find(one => one.id === 'front')!
  const mark = fire.marks[3]!
  const { innerDiameterMm, depthMm, massG, material } = pan
  const check: BoilCheck = {
    id: 'demo-boil',
    fire: { id: fire.id, kind: fire.kind ?? 'gas', mark: mark.id, watts: mark.watts },
    pan: { id: pan.id, vessel: { innerDiameterMm, depthMm, massG, material }, massGuessed: pan.massOrigin === 'guess' },
    lid: true,
    waterG: WATER_G,
    fromC: 26,
    boilS: 5000,
    half: null,
    boiledOn: null,
    atBoilC: null,
    airC: 26,
    altitudeM: 240,
    when: at,
  }
  const truth = {
    ...memberValues(beliefColumns(firstBelief()), new Float64Array(MEMBER_NAMES.length), 0),
    mainFire: HIDDEN.mainFire,
  }
  const happens = (of: BoilCheck) => {
    const program = boilProgram(of)
    const record = ensembleRecord(1, program.stages.length, program.queries.length, 0)
    simulate(program, truth, record, 0)
    return record
  }
  const boilS = happens(check).signs[SIGN.boil]!
  const left = happens({ ...check, boilS, boiledOn: { seconds: BOIL_ON_S, lostG: 0 } }).readings[0]!
  return {
    kind: 'boil-check', id: check.id, at, pan: pan.name, fire: fire.name, mark: mark.label,
    check: {
      ...check,
      boilS: Math.round(boilS * READ_LATE),
      boiledOn: { seconds: BOIL_ON_S, lostG: Math.round(WATER_G - left + SCALE_OFF_G) },
    },
  }
}
