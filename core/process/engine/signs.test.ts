import { heated, member, pan, vessel } from '../../../test/support/pans'
import { describe, expect, it } from 'vitest'
import { constant } from '../../materials/constants/constants'
import { familyOf } from '../../formulation/family/families'
import { examplePlan } from '../../../test/support/plans'
import { replay } from '../../record/replay/replay'
import { addToVessel } from './addToVessel'
import { compileProgram } from '../program/compileProgram'
import { SEALED } from './cover'
import { evaporate } from './evaporate'
import { AROMA, BROWNING, HELD, NUT_BROWNING, SOFT, TEMP, VAPOUR, WETTED, type VesselState } from './layout'
import { roastLightness } from './roastLightness'
import { fillStepDoses, SIGNS, signLevel } from './signs'
import { softenTissue } from './softenTissue'
import { takeUpLiquid } from './takeUpLiquid'
import { waterRoomG } from './waterRoomG'

describe('signs', () => {
  const plan = examplePlan()
  const program = compileProgram(plan, replay(plan, []), 0)
  const view = { program, member, stageMl: 1000, stepDoses: new Float64Array(5) }
  fillStepDoses(program, member, view.stepDoses)
  const third = { ...member, kept: 0.3 }
  const level = (sign: (typeof SIGNS)[number], own: VesselState, family = program.family): number =>
    signLevel(SIGNS.indexOf(sign), own, {
      ...view,
      member: family.fresh ? third : member,
      program: { ...program, family },
    })
  /** A wetted pan: the share that stays is of all its water. */
  const wet = (contents: Parameters<typeof pan>[0]): VesselState => {
    const own = pan(contents, 99)
    own[WETTED] = 1000
    return own
  }

  it('show when their dose or colour is there', () => {
    const own = pan({ solids: 220, fat: 100 }, 150)
    own[AROMA] = member.aromaDose - 1
    expect(level('aroma', own)).toBeLessThan(0)
    own[AROMA] = member.aromaDose + 1
    expect(level('aroma', own)).toBeGreaterThan(0)
    own[BROWNING] = 5000
    expect(level('brown', own)).toBeGreaterThan(0)
    expect(roastLightness(own, program.colours.rawLightness, program.family.finalLightness, member)).toBeLessThan(
      program.colours.stepLightness.brown,
    )
  })

  it('of the wet stages show when little runs free', () => {
    expect(level('taken-up', wet({ solids: 220, water: 1000, held: 700 }))).toBeLessThan(0)
    expect(level('taken-up', wet({ solids: 220, water: 1000, held: 900 }))).toBeGreaterThan(0)
    expect(level('leaves-sides', wet({ solids: 220, water: 1000, held: 900 }))).toBeLessThan(0)
    expect(level('leaves-sides', wet({ solids: 220, water: 1000, held: 990 }))).toBeGreaterThan(0)
    expect(level('leaves-sides', pan({ solids: 220, water: 1000, held: 990 }, 99))).toBeLessThan(-1e8)
    expect(level('leaves-sides', pan({ solids: 220, water: 1000, held: 990 }, 50))).toBeLessThan(-1e8)
  })

  it('of the wet stages are seen the sooner the more wet an eye lets pass', () => {
    const own = wet({ solids: 220, water: 1000, held: 900 })
    for (const sign of ['taken-up', 'leaves-sides'] as const) {
      const by = (wetEye: number) => signLevel(SIGNS.indexOf(sign), own, { ...view, member: { ...member, wetEye } })
      // What may run free is so many times the usual share of the water: what is held is nine tenths of it.
      const free = by(1) + 1 - 0.9
      expect(free).toBeGreaterThan(0)
      expect(by(1.5) - by(1)).toBeCloseTo(0.5 * free, 9)
    }
  })

  it('of fresh produce are judged by what it keeps, though raw it holds all of its water', () => {
    const raw = wet({ solids: 100, water: 1000, held: 1000 })
    expect(level('dry', raw, familyOf('vegetable'))).toBeLessThan(0)
    const done = wet({ solids: 100, water: 300, held: 300 })
    done[SOFT] = 1
    expect(level('leaves-sides', done, familyOf('vegetable'))).toBeGreaterThan(0)
    expect(level('one-mass', done, familyOf('vegetable'))).toBeLessThan(0)
  })

  it('of the nuts show only while nuts are in', () => {
    const own = pan({ fat: 100, nuts: 40 }, 150)
    own[NUT_BROWNING] = member.nutDose + 1
    expect(level('nuts-golden', own)).toBeGreaterThan(0)
    expect(level('nuts-golden', pan({ fat: 100 }, 150))).toBeLessThan(-1e8)
  })

  it('of syrup, boil, pressure, crumbs and a warm hand show at their own states', () => {
    const strength = program.syrupShare
    expect(level('strength', pan({ water: 100 * (1 / strength - 1) + 3, sugar: 100 }, 105))).toBeLessThan(0)
    expect(level('strength', pan({ water: 100 * (1 / strength - 1) - 3, sugar: 100 }, 105))).toBeGreaterThan(0)
    expect(level('strength', pan({ water: 100 }, 100))).toBeLessThan(-1e8)
    expect([level('boil', pan({ water: 900 }, 95)), level('boil', pan({ water: 900 }, 99))].map(Math.sign)).toEqual([
      -1, 1,
    ])
    expect(
      [level('opened', pan({ water: 900 }, 110)), level('opened', pan({ water: 900 }, 97))].map(Math.sign),
    ).toEqual([-1, 1])
    expect(
      [
        level('crumbly', pan({ solids: 200, water: 100 }, 105)),
        level('crumbly', pan({ solids: 200, water: 50 }, 110)),
      ].map(Math.sign),
    ).toEqual([-1, 1])
    expect(
      [
        level('loosened', pan({ solids: 200, water: 20 }, 105)),
        level('loosened', pan({ solids: 200, water: 8 }, 130)),
      ].map(Math.sign),
    ).toEqual([-1, 1])
    expect(
      [level('hand-warm', pan({ solids: 200 }, 60)), level('hand-warm', pan({ solids: 200 }, 40))].map(Math.sign),
    ).toEqual([-1, 1])
  })

  it('of volume show when it has fallen to half', () => {
    const soft = wet({ solids: 60, water: 380, held: 380 })
    soft[SOFT] = 1
    expect(level('halved', soft, familyOf('vegetable'))).toBeGreaterThan(0)
    expect(level('halved', wet({ solids: 60, water: 600, held: 600 }), familyOf('vegetable'))).toBeLessThan(0)
  })
})

describe('under a sealed lid', () => {
  it('water boils near 117 °C and nothing leaves below it', () => {
    const own = pan({ water: 1000 }, 90)
    let lost = 0
    for (let i = 0; i < 400; i++) {
      heated(own, 1200, SEALED, 4)
      if (own[TEMP]! < 112) lost = own[VAPOUR]!
      evaporate(own, vessel, member, SEALED, 4)
    }
    expect(lost).toBe(0)
    expect(own[TEMP]!).toBeGreaterThan(114)
    expect(own[TEMP]!).toBeLessThan(123)
    expect(own[VAPOUR]!).toBeGreaterThan(50)
  })
})

describe('fresh tissue', () => {
  it('softens within minutes at the boil and hardly at 60 °C', () => {
    const soft = (tempC: number, seconds: number): number => {
      const own = pan({ solids: 60, water: 600, held: 600 }, tempC)
      for (let t = 0; t < seconds; t += 4) softenTissue(own, member, 4)
      return own[SOFT]!
    }
    expect(soft(100, 600)).toBeGreaterThan(0.9)
    expect(soft(60, 600)).toBeLessThan(0.15)
    expect(soft(100, 6000)).toBeLessThanOrEqual(1)
  })

  it('lets its water go as it softens, down to what the dish keeps', () => {
    const own = pan({ solids: 60, water: 600, held: 600 }, 100)
    own[WETTED] = 600
    expect(waterRoomG(own, familyOf('vegetable'), member)).toBeCloseTo(600, 9)
    own[SOFT] = 1
    expect(waterRoomG(own, familyOf('vegetable'), member)).toBeCloseTo(600 * member.kept, 9)
    takeUpLiquid(own, familyOf('vegetable'), member, 300, 4)
    expect(own[HELD]!).toBe(300)
  })
})

describe('sugar put into swollen grain', () => {
  it('draws water out of it, and is drawn out less by little sugar', () => {
    const held = (sugar: number): number => {
      const own = pan({ solids: 200, water: 800, held: 780 }, 99)
      addToVessel(
        own,
        { water: 0, solids: 0, fat: 0, sugar, invert: 0, nuts: 0, base: false, dry: false },
        27,
        member,
      )
      return own[HELD]!
    }
    // Its share at saturation, by how near the liquid about it comes to a saturated syrup.
    const given = (sugar: number): number =>
      constant('drawnOut') * sugar / (sugar + 800) / constant('saturated') * 780
    expect(held(300)).toBeCloseTo(780 - given(300), 6)
    expect(held(50)).toBeCloseTo(780 - given(50), 6)
  })

  it('draws nothing where the water is bound, and no more than is loose where it nearly is', () => {
    const held = (water: number): number => {
      const own = pan({ solids: 200, water, held: water }, 99)
      addToVessel(
        own,
        { water: 0, solids: 0, fat: 0, sugar: 300, invert: 0, nuts: 0, base: false, dry: false },
        27,
        member,
      )
      return own[HELD]!
    }
    expect(held(90)).toBe(90)
    expect(held(101)).toBeCloseTo(100, 9)
    expect(held(160)).toBeGreaterThan(held(101))
  })
})
