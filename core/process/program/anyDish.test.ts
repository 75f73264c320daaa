import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STARTER_DISHES } from '../../../book/dishes'
import { CookPlanSchema } from '../../../contracts/cook'
import { ForecastSchema } from '../../../contracts/forecast'
import { heated, member, pan, vessel } from '../../../test/support/pans'
import { marked, starterPlan } from '../../../test/support/plans'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../belief/memberValues'
import type { Stage } from '../../formulation/dish/dish'
import { mainLine } from '../../formulation/dish/mainLine'
import { SIGN_IDS } from '../../formulation/signs/signIds'
import { FIRE_KIND_IDS } from '../../materials/fire/fireKinds'
import type { Observation } from '../../record/marks/observation'
import type { CookPlan } from '../../record/plan/plan'
import { replay } from '../../record/replay/replay'
import { fillNormal } from '../../maths/random/fillNormal'
import { seededRandom } from '../../maths/random/seededRandom'
import { MATERIALS } from '../../materials/vessel/vessel'
import { compileProgram } from './compileProgram'
import { contentG } from '../engine/contentG'
import { OPEN } from '../engine/cover'
import { evaporate } from '../engine/evaporate'
import { exchangeHeat } from '../engine/exchangeHeat'
import { forecastCook } from '../forecast/forecastCook'
import { heatCapacity } from '../engine/heatCapacity'
import { HEAT, HELD, PAN_TEMP, POWER, TEMP, VAPOUR, VAPOUR_HEAT, vesselIn, WATER, type VesselState } from '../engine/layout'
import { ensembleRecord } from '../engine/record'
import { simulate } from '../engine/simulate'
import type { TracePoint } from '../engine/trace'
import { baseNumbers } from './basesNumbers'
import { SEMOLINA } from '../../formulation/family/semolina'

const dishes = fc.constantFrom(...STARTER_DISHES.map(dish => dish.id))
/**
 * Where more power may be later and no law is broken: cooling begins hotter, a slurry that loses more water is sweeter
 * and swells later, and half is half of what a stage began with.
 */
const mayBeLater = ({ does, until }: Stage, fresh: boolean): boolean =>
  does === 'cool'
  || does === 'wait'
  || (does === 'cook-down' && (!fresh || ('sign' in until && until.sign === 'halved')))
const freeG = ({ all }: TracePoint): number => all[WATER]! - all[HELD]!

/** Stages in which the base takes up the last free water: grain that has it sooner holds it harder. */
function boundIn(trace: readonly TracePoint[]): Set<number> {
  return new Set(
    trace
      .filter(
        (point, i) => i > 0 && trace[i - 1]!.stage === point.stage && freeG(trace[i - 1]!) > 0 && freeG(point) <= 0,
      )
      .map(point => point.stage),
  )
}

const seeds = fc.integer({ min: 1, max: 1e6 })

function traced(plan: CookPlan, seed: number, more = 0) {
  const program = compileProgram(plan, replay(plan, [marked(0, 0, 'cook.started')]), 0)
  const drawn = memberValues(
    beliefColumns(plan.belief),
    fillNormal(new Float64Array(MEMBER_NAMES.length), seededRandom(seed)),
    0,
  )
  const values = { ...drawn, mainFire: drawn.mainFire * Math.exp(more) }
  const record = ensembleRecord(1, program.stages.length, program.queries.length, program.sides.length)
  const trace: TracePoint[] = []
  simulate(program, values, record, 0, { everyS: 0, points: trace })
  return { program, values, record, trace }
}

describe('any dish', () => {
  it('keeps its mass and its energy at every step', () => {
    let checked = 0
    fc.assert(fc.property(dishes, seeds, fc.double({ min: -0.6, max: 0.6, noNaN: true }), (id, seed, more) => {
      const { trace, program, values } = traced(starterPlan(id), seed, more)
      const vessels = [...program.vessels, ...program.sides.map(side => side.vessel)]
      const mass = (own: VesselState): number => contentG(own) + own[VAPOUR]
      const heat = (own: VesselState, v: number): number =>
        vessels[v]!.panHeat * values.panMass * own[PAN_TEMP] + heatCapacity(own) * own[TEMP]
      const flow = (own: VesselState): number => own[HEAT] - own[VAPOUR_HEAT]
      for (let i = 1; i < trace.length; i++) {
        if (trace[i - 1]!.stage !== trace[i]!.stage) continue
        for (let v = 0; v < vessels.length; v++) {
          const [before, after] = [vesselIn(trace[i - 1]!.all, v), vesselIn(trace[i]!.all, v)]
          if (contentG(before) < 1 || contentG(after) < 1) continue
          expect(Math.abs(mass(after) / mass(before) - 1)).toBeLessThan(1e-9)
          const change = heat(after, v) - heat(before, v) - (flow(after) - flow(before))
          expect(Math.abs(change) / heat(after, v)).toBeLessThan(1e-9)
          checked++
        }
      }
    }), { numRuns: 40 })
    expect(checked).toBeGreaterThan(4000)
  })

  it('gets through its roasts and its boiling down never later with more power', () => {
    let compared = 0
    fc.assert(fc.property(dishes, seeds, fc.double({ min: 0.02, max: 0.5, noNaN: true }), (id, seed, more) => {
      const plan = starterPlan(id)
      const { record: slow, program } = traced(plan, seed)
      const { record: fast, trace } = traced(plan, seed, more)
      const bound = boundIn(trace)
      for (let k = 1; k < slow.stages; k++) {
        if (
          mainLine(plan.dish)
            .slice(0, k)
            .some((stage, i) => mayBeLater(stage, program.family.fresh) || bound.has(i))
        )
          break
        compared++
        expect(fast.starts[k]!, `${id} ${k}`).toBeLessThanOrEqual(slow.starts[k]! + 2)
      }
    }), { numRuns: 60, examples: [['lamp-eve-coconut', 361, 0.067], ['harbour-banana', 89, 0.020960000000001172]] })
    expect(compared).toBeGreaterThan(60)
  })
})

const contents = fc.record({
  water: fc.double({ min: 50, max: 3000, noNaN: true }),
  solids: fc.double({ min: 0, max: 600, noNaN: true }),
  fat: fc.double({ min: 0, max: 400, noNaN: true }),
  sugar: fc.double({ min: 0, max: 800, noNaN: true }),
})
const powers = fc.double({ min: 300, max: 2500, noNaN: true })

describe('any pan', () => {
  it('boils off more water never sooner', () => {
    const secondsTo = (own: VesselState, left: number, power: number): number => {
      let t = 0
      for (; own[WATER]! > left && t < 20_000; t += 6) {
        heated(own, power, OPEN, 6)
        evaporate(own, vessel, member, OPEN, 6)
      }
      return t
    }
    fc.assert(fc.property(contents, powers, fc.double({ min: 1.02, max: 1.6, noNaN: true }), (what, power, more) => {
      const left = 0.5 * what.water
      expect(secondsTo(pan({ ...what, water: what.water * more }, 60), left, power)).toBeGreaterThanOrEqual(
        secondsTo(pan(what, 60), left, power),
      )
    }), { numRuns: 60 })
  })

  it('is never hotter sooner from cold for being heavier', () => {
    const base = baseNumbers(SEMOLINA)
    fc.assert(fc.property(contents, powers, fc.double({ min: 1.05, max: 3, noNaN: true }), (what, power, heavier) => {
      const [light, heavy] = [pan(what, 27), pan(what, 27)]
      for (let t = 0; t < 1200; t += 6) {
        for (const [own, mass] of [[light, 1], [heavy, heavier]] as const) {
          own[POWER] = power
          exchangeHeat(own, vessel, base, { ...member, panMass: mass }, OPEN, 6)
          evaporate(own, vessel, member, OPEN, 6)
        }
        // Once it boils or dries, what is left in the pan is no longer the same.
        if (light[WATER]! < 0.995 * what.water) return
        expect(heavy[PAN_TEMP]!).toBeLessThanOrEqual(light[PAN_TEMP]! + 1e-9)
        expect(heavy[TEMP]!).toBeLessThanOrEqual(light[TEMP]! + 1e-9)
        expect(heavy[HELD]!).toBe(light[HELD]!)
      }
    }), { numRuns: 60 })
  })
})

describe('anything the contracts admit', () => {
  const plans = fc.record({
    id: dishes,
    scale: fc.double({ min: 0.02, max: 40, noNaN: true }),
    altitudeM: fc.double({ min: -400, max: 6000, noNaN: true }),
    airC: fc.double({ min: -20, max: 55, noNaN: true }),
    watts: fc.double({ min: 20, max: 900, noNaN: true }),
    kind: fc.constantFrom(...FIRE_KIND_IDS),
    material: fc.constantFrom(...MATERIALS),
    diameter: fc.double({ min: 80, max: 700, noNaN: true }),
    depth: fc.double({ min: 20, max: 500, noNaN: true }),
    mass: fc.double({ min: 50, max: 20_000, noNaN: true }),
    factor: fc.double({ min: 0.06, max: 19, noNaN: true }),
    spread: fc.double({ min: 0, max: 2, noNaN: true }),
    nowS: fc.double({ min: 0, max: 20_000, noNaN: true }),
  })
  const taps = fc.array(
    fc.tuple(
      fc.double({ min: 0, max: 20_000, noNaN: true }),
      fc.constantFrom(...SIGN_IDS, 'stage', 'weighed', 'temperature', 'off'),
    ),
    { maxLength: 6 },
  )

  it('has a forecast of finite numbers in the form of the contract', () => {
    fc.assert(fc.property(plans, taps, (one, told) => {
      const bare = starterPlan(one.id)
      const baseG = Math.min(20_000, Math.max(5, bare.dish.usual.baseG * one.scale))
      const scale = baseG / bare.amounts.find(amount => amount.id === bare.dish.base)!.massG
      const plan: CookPlan = {
        ...bare, altitudeM: one.altitudeM, airC: one.airC,
        amounts: bare.amounts.map(amount => ({ ...amount, massG: Math.min(20_000, amount.massG * scale) })),
        vessels: Object.fromEntries(
          Object.entries(bare.vessels).map(([id, found]) => [
            id,
            {
              ...found,
              vessel: { innerDiameterMm: one.diameter, depthMm: one.depth, massG: one.mass, material: one.material },
            },
          ]),
        ),
        fires: Object.fromEntries(
          Object.entries(bare.fires).map(([id, fire]) => [
            id,
            {
              ...fire,
              kind: one.kind,
              lagS: 60,
              marks: fire.marks.map((mark, i) => ({ ...mark, watts: Math.min(6000, one.watts * (i + 1)) })),
            },
          ]),
        ),
        belief: {
          entries: bare.belief.entries.map(entry =>
            entry.kind === 'factor'
              ? { ...entry, median: entry.median * Math.min(2, Math.max(0.5, one.factor)), spread: one.spread }
              : entry,
          ),
        },
      }
      expect(CookPlanSchema.safeParse(plan).error?.issues ?? []).toEqual([])
      const main = mainLine(plan.dish)
      const story: Observation[] = [marked(0, 0, 'cook.started'), ...told.map(([timeS, what], i) => {
        if (what === 'stage')
          return marked(i + 1, timeS, 'stage.began', { stage: main[Math.min(main.length - 1, 1 + i)]!.id })
        if (what === 'weighed') return marked(i + 1, timeS, 'weighed', { vessel: main[0]!.vessel, grossG: 1800 })
        if (what === 'temperature') return marked(i + 1, timeS, 'temperature', { vessel: main[0]!.vessel, tempC: 120 })
        return what === 'off'
          ? marked(i + 1, timeS, 'off.fire', { vessel: main[0]!.vessel })
          : marked(i + 1, timeS, 'sign.seen', { sign: what })
      })]
      const forecast = forecastCook(plan, one.nowS > 10_000 ? [] : story, one.nowS > 10_000 ? 0 : one.nowS, 24)
      const parsed = ForecastSchema.safeParse(JSON.parse(JSON.stringify(forecast)))
      expect(parsed.error?.issues ?? []).toEqual([])
    }), { numRuns: 25 })
  })
})
