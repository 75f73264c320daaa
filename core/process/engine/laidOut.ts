import { blankMember, type MemberValues } from '../belief/memberValues'
import type { FlameSetting, Program, ProgramStage } from './program'

/**
 * A program with every object laid out in the same order, whoever made it: objects of one form are read many times
 * faster than those of several.
 *
 * @param program any program
 * @returns the same program
 */
export function laidOut(program: Program): Program {
  const {
    family,
    beside,
    colours,
    step,
    cooked,
    syrupShare,
    vessels,
    stages,
    sides,
    controls,
    changes,
    turns,
    queries,
    nowS,
    mostS,
  } = program
  return {
    family, step, cooked, syrupShare, vessels, controls, changes, turns, queries, nowS, mostS,
    beside,
    colours: { path: colours.path, rawLightness: colours.rawLightness, stepLightness: colours.stepLightness },
    stages: stages.map(stageLaidOut),
    sides,
  }
}

function stageLaidOut(one: ProgramStage): ProgramStage {
  return {
    startS: one.startS,
    vessel: one.vessel,
    adds: one.adds,
    tips: one.tips,
    nutsLeave: one.nutsLeave,
    flame: flameLaidOut(one.flame),
    cover: one.cover,
    sign: one.sign,
    seconds: one.seconds,
    pours: one.pours,
    from: one.from,
    fromShare: one.fromShare,
    wet: one.wet,
    roasts: one.roasts,
    stepS: one.stepS,
    leastS: one.leastS,
    underPressure: one.underPressure,
    pressureS: one.pressureS,
    watches: one.watches,
    tapped: one.tapped,
    tint: one.tint,
  }
}

function flameLaidOut({ fire, watts, ladder, lagS }: FlameSetting): FlameSetting {
  return { fire, watts, ladder, lagS }
}

/**
 * A member laid out the same way.
 *
 * @param member any values
 * @returns the same values
 */
export function memberLaidOut(member: MemberValues): MemberValues {
  return Object.assign(blankMember(), member)
}
