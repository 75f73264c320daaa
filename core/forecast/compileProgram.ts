import type { Stage } from '../dish/dish'
import { boundaryIndex } from '../dish/boundaryIndex'
import { mainLine } from '../dish/mainLine'
import { mainVessel } from '../dish/mainVessel'
import { sideStages } from '../dish/sideStages'
import { CoreError } from '../error'
import { familyOf } from '../family/families'
import type { CookPlan, PlanFire } from '../live/plan'
import type { LiveCook } from '../live/replay'
import { airPressurePa } from '../water/airPressurePa'
import type { Addition, FireRole, FlameSetting, Program, ProgramControl, ProgramQuery, ProgramSide, ProgramStage } from './program'
import { BOIL, SIGNS } from './signs'
import { vesselConditions } from './vesselConditions'

const MOST_S = 3 * 3600

/**
 * Lays a cook as it stands over its plan, ready to be run by every member of an ensemble.
 *
 * @param plan the plan
 * @param cook the replayed cook
 * @param nowS how far the cook is, s since its start; zero before it
 * @returns the program
 * @throws CoreError `unknown-name` for a stage, sign, vessel or mark that is not there
 */
export function compileProgram(plan: CookPlan, cook: LiveCook, nowS: number): Program {
  const line = mainLine(plan.dish)
  const sides = sideStages(plan.dish)
  const room = { airC: plan.airC, pressure: airPressurePa(plan.altitudeM) }
  const starts = fillStarts(cook.stageStarts)
  return {
    family: familyOf(plan.dish.family),
    vessel: vesselConditions(vesselOf(plan, line[0].vessel), room.airC, room.pressure),
    stages: line.map((stage, i): ProgramStage => ({
      startS: i === 0 ? 0 : starts[i],
      adds: additions(plan, stage),
      nutsLeave: stage.takesOut.length > 0,
      flame: flameOf(plan, stage),
      lid: stage.lid,
      sign: 'sign' in stage.until ? signIndex(stage.until.sign) : null,
      seconds: 'minutes' in stage.until ? stage.until.minutes * 60 : 0,
      pours: stage.does === 'pour',
      from: stage.from === undefined ? null : sides.findIndex(side => side.vessel === stage.from),
    })),
    sides: sides.map((stage): ProgramSide => ({
      vessel: vesselConditions(vesselOf(plan, stage.vessel), room.airC, room.pressure),
      startS: cook.lit[stage.vessel] ?? null,
      adds: additions(plan, stage),
      flame: flameOf(plan, stage),
      lid: stage.lid,
      meets: boundaryIndex(plan.dish, stage.meets),
    })),
    controls: controlsOf(plan, cook),
    queries: queriesOf(cook, plan),
    tapped: [...new Set([
      ...cook.signs.map(tap => SIGNS.indexOf(tap.what)),
      ...cook.looks.flatMap(look => [SIGNS.indexOf(look.what), SIGNS.indexOf(look.what) + 1]),
      ...line.slice(0, Math.max(0, cook.stage)).flatMap(stage => ('sign' in stage.until ? [signIndex(stage.until.sign)] : [])),
    ])].filter(sign => sign !== BOIL),
    nowS,
    mostS: Math.max(MOST_S, nowS + 3600),
  }
}

/** A stage nobody marked, before one that somebody did, is taken to have begun when the marked one did. */
function fillStarts(starts: readonly (number | null)[]): (number | null)[] {
  const filled = [...starts]
  for (let i = filled.length - 2; i >= 0; i--) {
    const next = filled[i + 1]
    if (next === null) continue
    filled[i] = Math.min(filled[i] ?? next, next)
  }
  return filled
}

function signIndex(sign: string): number {
  const index = SIGNS.findIndex(known => known === sign)
  if (index < 0) throw new CoreError('unknown-name', 'compileProgram.sign', { given: sign })
  return index
}

function vesselOf(plan: CookPlan, id: string) {
  const found = plan.vessels[id]
  if (!found) throw new CoreError('unknown-name', 'compileProgram.vessel', { given: id })
  return found.vessel
}

function fireRole(plan: CookPlan, vessel: string): FireRole {
  return vessel === mainVessel(plan.dish) ? 'mainFire' : 'otherFire'
}

function flameOf(plan: CookPlan, stage: Stage): FlameSetting {
  const fire = fireRole(plan, stage.vessel)
  if (stage.flame === 'off') return { fire, watts: 0 }
  return { fire, watts: markWatts(plan.fires[stage.vessel], plan.flames[stage.id]) }
}

function markWatts(fire: PlanFire | undefined, mark: string | undefined): number {
  if (mark === 'off') return 0
  const found = fire?.marks.find(one => one.id === mark)
  if (!found) throw new CoreError('unknown-name', 'compileProgram.flame', { given: String(mark) })
  return found.watts
}

function additions(plan: CookPlan, stage: Stage): Addition[] {
  return stage.adds.flatMap(({ ingredient, share }) => {
    const amount = plan.amounts.find(one => one.id === ingredient)
    if (!amount) return []
    const { composition } = amount
    const massG = amount.massG * share
    return [{
      water: massG * composition.water,
      solids: massG * composition.solids,
      fat: massG * composition.fat,
      sugar: massG * composition.sugar,
      nuts: massG * composition.nuts,
      base: ingredient === plan.dish.base,
    }]
  })
}

function controlsOf(plan: CookPlan, cook: LiveCook): ProgramControl[] {
  const others = sideStages(plan.dish).map(stage => stage.vessel)
  const changes = cook.controls.flatMap(({ timeS, what }): ProgramControl[] => {
    const fire = fireRole(plan, what.vessel)
    const known = what.mark === undefined || what.mark === 'off'
      || plan.fires[what.vessel]?.marks.some(mark => mark.id === what.mark)
    if (!known) return []
    return [{
      timeS,
      vessel: others.indexOf(what.vessel) + 1,
      ...(what.mark === undefined ? {} : { flame: { fire, watts: markWatts(plan.fires[what.vessel], what.mark) } }),
      ...(what.lid === undefined ? {} : { lid: what.lid }),
    }]
  })
  if (cook.offFireS !== null) changes.push({ timeS: cook.offFireS, vessel: 0, flame: { fire: 'mainFire', watts: 0 } })
  return changes.sort((p, q) => p.timeS - q.timeS)
}

function queriesOf(cook: LiveCook, plan: CookPlan): ProgramQuery[] {
  const main = mainVessel(plan.dish)
  return [
    ...cook.weighings.filter(one => one.what.vessel === main).map(one => ({ timeS: one.timeS, of: 'content-g' as const })),
    ...cook.temperatures.filter(one => one.what.vessel === main).map(one => ({ timeS: one.timeS, of: 'temp-c' as const })),
  ].sort((p, q) => p.timeS - q.timeS)
}
