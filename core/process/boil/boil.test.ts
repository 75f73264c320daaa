import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { beliefColumns, MEMBER_NAMES, memberValues } from '../belief/memberValues'
import { firstBelief } from '../belief/firstBelief'
import { CoreError } from '../../error'
import { constant } from '../../materials/constants/constants'
import { ensembleRecord } from '../engine/record'
import { SIGN } from '../engine/signs'
import { simulate } from '../engine/simulate'
import { airPressurePa } from '../../materials/water/airPressurePa'
import { saturationTempC } from '../../materials/water/saturationTempC'
import { altitudeOfBoilM } from './altitudeOfBoilM'
import type { BoilCheck } from './boilCheck'
import { boilingFactor } from './boilingFactor'
import { boilProgram } from './boilProgram'
import { readBoilCheck, SET_AGAIN } from './readBoilCheck'

const CHECK: BoilCheck = {
  id: 'check',
  fire: { id: 'front', kind: 'gas', mark: 'm4', watts: 640 },
  pan: {
    id: 'wide',
    massGuessed: false,
    vessel: { innerDiameterMm: 260, depthMm: 75, massG: 1300, material: 'steel' },
  },
  lid: true,
  waterG: 800,
  fromC: 25,
  boilS: 600,
  half: null,
  boiledOn: null,
  atBoilC: null,
  airC: 26,
  altitudeM: 300,
  when: 1_790_000_000_000,
}

/** The check a fire of some power would give, everything else as first believed. */
function checkOf(factor: number, more: Partial<BoilCheck> = {}): BoilCheck {
  const truth = {
    ...memberValues(beliefColumns(firstBelief()), new Float64Array(MEMBER_NAMES.length), 0),
    mainFire: factor,
  }
  const run = (check: BoilCheck) => {
    const program = boilProgram(check)
    const record = ensembleRecord(1, 2, program.queries.length, 0)
    simulate(program, truth, record, 0)
    return record
  }
  const boilS = run({ ...CHECK, ...more, boilS: 5000 }).signs[SIGN.boil]!
  const check = { ...CHECK, ...more, boilS }
  if (!check.boiledOn) return check
  const left = run(check).readings[run(check).queries - 1]!
  return { ...check, boiledOn: { ...check.boiledOn, lostG: check.waterG - left } }
}

describe('a boil check', () => {
  it.each([0.35, 0.6, 0.85, 1, 1.3, 1.7, 3])(
    "finds a fire of %d of its mark's power from the time to the boil alone",
    factor => {
      const { factor: found } = readBoilCheck(checkOf(factor))
      expect(found.early).toBeLessThan(factor)
      expect(found.late).toBeGreaterThan(factor)
      expect(found.late / found.early).toBeLessThan(1.25)
    },
  )

  // The truth of another law, in closed form: pan and water as one body of one temperature (4.186 and 0.50 J/(g·K)), that
  // loses by Newton's law at 12 W/(m²·K), natural convection and radiation of handbooks, through wall and lid.
  it.each([0.6, 0.85, 1, 1.3, 1.7])(
    'finds a fire of %d of its mark within an eighth, whatever law boiled the water',
    factor => {
      const { innerDiameterMm, massG } = CHECK.pan.vessel
      const waterM3 = (CHECK.waterG * 1e-6) / 0.98
      const d = innerDiameterMm / 1000
      const lossW = 12 * ((Math.PI * d ** 2) / 4 + Math.PI * d * (waterM3 / ((Math.PI * d ** 2) / 4) + 0.02))
      const heat = 4.186 * CHECK.waterG + 0.5 * massG
      // Bubbles break two kelvin below the boil.
      const endC = saturationTempC(airPressurePa(CHECK.altitudeM)) - 2
      const steady = CHECK.airC + (factor * CHECK.fire.watts) / lossW
      const boilS = (heat / lossW) * Math.log((steady - CHECK.fromC) / (steady - endC))
      const { factor: found } = readBoilCheck({ ...CHECK, boilS: Math.round(boilS) })
      expect(Math.abs(found.middle / factor - 1)).toBeLessThan(0.125)
    },
  )

  it.each([0.3, 1, 4])('is first believed about the very power that boils it in that time: %d of the mark', factor => {
    expect(boilingFactor(checkOf(factor))).toBeCloseTo(factor, 1)
    expect(boilingFactor({ ...CHECK, boilS: 10 })).toBeLessThanOrEqual(50)
  })

  it('says more of the losses when it is boiled on and weighed', () => {
    const plain = readBoilCheck(checkOf(1))
    const weighed = readBoilCheck(checkOf(1, { boiledOn: { seconds: 300, lostG: 0 } }))
    expect(plain.evidence.map(one => one.of)).toEqual(['mainFire'])
    expect(weighed.evidence.map(one => one.of)).toContain('surface')
    expect(weighed.factor.late - weighed.factor.early).toBeLessThan(1.1 * (plain.factor.late - plain.factor.early))
  })

  it.each([60, 120])('is as sharp as the eye and the hand at the clock where nothing else is unsure: %d s', (boilS) => {
    // Much water in a light pan on a fire that is far beyond its losses.
    const watts = (4.186 * 8000 * 73) / boilS
    const pan = { ...CHECK.pan, vessel: { innerDiameterMm: 320, depthMm: 150, massG: 300, material: 'aluminium' as const } }
    const read = readBoilCheck({ ...CHECK, pan, waterG: 8000, boilS, fire: { ...CHECK.fire, watts } })
    const seen = constant('boilSeen') ** 2 + (constant('clockHand') / boilS) ** 2
    const told = read.evidence[0]!.variance - SET_AGAIN ** 2
    expect(Math.abs(told / seen - 1)).toBeLessThan(0.2)
  })

  it('is less sure with a pan whose weight is a guess', () => {
    const wide = (massGuessed: boolean): number => {
      const { factor } = readBoilCheck(checkOf(1, { pan: { ...CHECK.pan, massGuessed } }))
      return factor.late - factor.early
    }
    expect(wide(true)).toBeGreaterThan(wide(false))
  })

  it('tells the thermometer\'s error, or the height if the thermometer is right', () => {
    const boils = saturationTempC(airPressurePa(300))
    const { thermometer, boilingC } = readBoilCheck({ ...checkOf(1), atBoilC: boils + 2 })
    expect(boilingC).toBeCloseTo(boils, 9)
    expect(thermometer!.errorK).toBeCloseTo(2, 9)
    expect(altitudeOfBoilM(boils)).toBeCloseTo(300, 3)
    expect(readBoilCheck(checkOf(1)).thermometer).toBeNull()
  })

  it('is refused for what cannot be', () => {
    expect(() => readBoilCheck({ ...CHECK, waterG: 0 })).toThrow(CoreError)
    expect(() => readBoilCheck({ ...CHECK, fromC: 99 })).toThrow(CoreError)
    expect(() => readBoilCheck({ ...CHECK, boilS: Number.NaN })).toThrow(CoreError)
  })

  it('never finds less power for a quicker boil, from a roaring fire to one that hardly brings it there', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 150, max: 3000 }),
        fc.double({ min: 1.15, max: 1.6, noNaN: true }),
        (boilS, slower) => {
          expect(readBoilCheck({ ...CHECK, boilS }).powerW.middle).toBeGreaterThan(
            readBoilCheck({ ...CHECK, boilS: boilS * slower }).powerW.middle,
          )
        },
      ),
      { numRuns: 8 },
    )
  })

  it.each([150, 600, 2400, 5000])('is honest about what a boil after %d s leaves open', (boilS) => {
    const { factor } = readBoilCheck({ ...CHECK, boilS })
    expect(factor.middle / factor.early).toBeGreaterThan(1.03)
    expect(factor.late / factor.middle).toBeGreaterThan(1.03)
  })
})
