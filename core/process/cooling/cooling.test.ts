import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { firstBelief } from '../belief/firstBelief'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../belief/memberValues'
import { CoreError } from '../../error'
import { familyOf } from '../../formulation/family/families'
import { baseNumbers } from '../program/basesNumbers'
import { OPEN } from '../engine/cover'
import { exchangeHeat } from '../engine/exchangeHeat'
import { FAT, PAN_TEMP, vesselState, SOLIDS, SUGAR, TEMP, WATER } from '../engine/layout'
import { vesselConditions } from '../engine/vesselConditions'
import type { PanContents } from '../../materials/composition/panContents'
import type { Vessel } from '../../materials/vessel/vessel'
import { coolSlab } from './coolSlab'
import { coolingTimeS, rollingSpan } from './rollingSpan'
import { settingOf } from './settingOf'
import { slabOf, type Slab } from './slab'

const mass: PanContents = { waterG: 40, solidsG: 270, fatG: 210, sugarG: 240, nutsG: 0 }
const slab: Slab = slabOf({ waterG: 120, solidsG: 250, fatG: 250, sugarG: 380, nutsG: 0 }, 20, 110, 26)
const pan: Vessel = { innerDiameterMm: 260, depthMm: 85, massG: 1310, material: 'steel' }

describe('a layer cooling in its tray', () => {
  it('follows the one-term solution of a plane wall that loses from both faces alike (Incropera and DeWitt, Fundamentals of Heat and Mass Transfer)', () => {
    for (const [film, depthM] of [
      [8, 0.02],
      [20, 0.03],
      [40, 0.05],
    ] as const) {
      const wall: Slab = { ...slab, depthM, topW: film, baseW: film }
      const half = depthM / 2
      const biot = (film * half) / wall.conductivity
      let [low, high] = [0, Math.PI / 2]
      for (let i = 0; i < 80; i++) {
        const zeta = (low + high) / 2
        if (zeta * Math.tan(zeta) < biot) low = zeta
        else high = zeta
      }
      const zeta = low
      const first = (4 * Math.sin(zeta)) / (2 * zeta + Math.sin(2 * zeta))
      for (const one of coolSlab(wall, 40)
        .filter(each => (each.timeS * wall.conductivity) / wall.volumeHeat / half ** 2 > 0.3)
        .filter((_, i) => i % 40 === 0)) {
        const fourier = (one.timeS * wall.conductivity) / wall.volumeHeat / half ** 2
        const middleC = wall.airC + (wall.startC - wall.airC) * first * Math.exp(-zeta * zeta * fourier)
        expect(Math.abs(one.warmestC - middleC), `${film} W, ${one.timeS} s`).toBeLessThan(1)
      }
    }
  })

  it('loses through its faces exactly what it no longer holds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 60, noNaN: true }),
        fc.double({ min: 60, max: 130, noNaN: true }),
        fc.double({ min: -5, max: 35, noNaN: true }),
        (depthMm, startC, airC) => {
          const one = { ...slabOf(mass, depthMm, startC, airC) }
          const last = coolSlab(one, airC + 0.01).at(-1)!
          // What is left above the room is less than a hundredth of a kelvin.
          const held = one.volumeHeat * one.depthM * (startC - airC)
          expect(Math.abs(last.lostJ - held) / held).toBeLessThan(0.001)
        },
      ),
      { numRuns: 12 },
    )
  })

  it('cools later the deeper it lies and the warmer the room, never below the room', () => {
    const cameTo = (one: Slab): number => coolSlab(one, 45).at(-1)!.timeS
    expect(cameTo({ ...slab, depthM: 0.03 })).toBeGreaterThan(cameTo(slab))
    expect(cameTo({ ...slab, airC: 34 })).toBeGreaterThan(cameTo(slab))
    for (const one of coolSlab(slab, 26.5)) expect(one.coolestC).toBeGreaterThanOrEqual(26)
    expect(() => coolSlab({ ...slab, depthM: Number.NaN }, 40)).toThrow(CoreError)
  })

  it('is set when its warmest layer holds: harder syrup sooner, and never in a room too warm for its fat', () => {
    const [hard, firm, soft, thread] = (['hard', 'firm', 'soft', 'thread'] as const).map(
      by => settingOf(slab, by).cut!.middle,
    )
    expect(hard).toBeLessThan(firm!)
    expect(firm).toBeLessThan(soft!)
    expect(soft).toBeLessThan(thread!)
    const one = settingOf(slab, 'soft')
    expect(one.cut!.early).toBeLessThan(one.cut!.middle)
    expect(one.cut!.middle).toBeLessThan(one.cut!.late)
    expect(one.scoreUntilS).toBeLessThan(one.cut!.early)
    expect(one.lookS).toBe(one.cut!.early)
    expect(settingOf({ ...slab, airC: 34 }, 'fat').cut).toBeNull()
    expect(settingOf({ ...slab, airC: 5 }, 'fat').cut!.middle).toBeLessThan(
      settingOf({ ...slab, airC: 24 }, 'fat').cut!.middle,
    )
  })

  it('is set so long after it has cooled through, by films a share off and warmth four kelvin off', () => {
    const { holdsAtC, cut } = settingOf(slab, 'firm')
    const cooledS = (toC: number, share = 1): number =>
      coolSlab({ ...slab, topW: slab.topW * share, baseW: slab.baseW * share }, toC).at(-1)!.timeS
    expect(cut!.middle).toBeCloseTo(cooledS(holdsAtC) + 900, 6)
    expect(cut!.early - 900 * 0.6).toBeCloseTo(cooledS(holdsAtC + 4, 1.25), 6)
    expect(cut!.late - 900 * 1.4).toBeCloseTo(cooledS(holdsAtC - 4, 0.75), 6)
    // In a room so warm that the coldest thought of never comes, twice as long is said.
    const near = settingOf({ ...slab, airC: holdsAtC - 2 }, 'firm').cut!
    expect(near.late).toBeCloseTo(2 * near.middle, 6)
  })
})

describe('a mass that is to be rolled', () => {
  const lossW = 13

  it('cools by the forecast\'s own energy balance', () => {
    const family = baseNumbers(familyOf('gram-flour'))
    const member = {
      ...memberValues(beliefColumns(firstBelief()), new Float64Array(MEMBER_NAMES.length), 0),
      contact: 6,
      panMass: 1,
      heatLoss: lossW,
    }
    const state = vesselState()
    Object.assign(state, {
      [WATER]: mass.waterG,
      [SOLIDS]: mass.solidsG,
      [FAT]: mass.fatG,
      [SUGAR]: mass.sugarG,
      [TEMP]: 110,
      [PAN_TEMP]: 110,
    })
    const conditions = vesselConditions(pan, 26, 101325)
    const tauS = coolingTimeS(mass, pan, lossW)
    for (let timeS = 1; timeS <= 3600; timeS++) {
      exchangeHeat(state, conditions, family, member, OPEN, 1)
      if (timeS % 600 === 0) {
        const closed = 26 + 84 * Math.exp(-timeS / tauS)
        expect(Math.abs(closed - state[TEMP]!), `${timeS} s`).toBeLessThan(4)
      }
    }
  })

  it('waits to be hand-warm, then has a span until it is too stiff', () => {
    const { from, until } = rollingSpan(mass, pan, 120, 26, lossW)
    expect(from.early).toBeGreaterThan(300)
    expect(from.middle).toBeLessThan(until!.middle)
    expect(until!.early).toBeLessThan(until!.late)
    expect(rollingSpan(mass, pan, 40, 26, lossW).from.middle).toBe(0)
  })

  it('never grows too stiff in a hot room, and cools later there', () => {
    const hot = rollingSpan(mass, pan, 120, 36, lossW)
    expect(hot.until).toBeNull()
    expect(hot.from.middle).toBeGreaterThan(rollingSpan(mass, pan, 120, 22, lossW).from.middle)
    fc.assert(
      fc.property(
        fc.double({ min: 21, max: 180, noNaN: true }),
        fc.double({ min: -20, max: 50, noNaN: true }),
        (startC, airC) => {
          const { from, until } = rollingSpan(mass, pan, startC, airC, lossW)
          for (const time of [...Object.values(from), ...(until ? Object.values(until) : [])])
            expect(Number.isFinite(time) && time >= 0).toBe(true)
        },
      ),
    )
  })
})
