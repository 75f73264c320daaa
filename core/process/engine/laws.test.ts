import { heated, member, pan, vessel } from '../../../test/support/pans'
import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { constant } from '../../materials/constants/constants'
import { SEMOLINA } from '../../formulation/family/semolina'
import { addToVessel } from './addToVessel'
import { boilingTempC } from './boilingTempC'
import { contentG } from './contentG'
import { contentMl } from './contentMl'
import { LID, OPEN } from './cover'
import { evaporate } from './evaporate'
import { heatCapacity } from './heatCapacity'
import { AROMA, BROWNING, CHARRING, FLECKS, HELD, NUT_BROWNING, PAN_TEMP, TEMP, VAPOUR, WATER, type VesselState } from './layout'
import { pourInto } from './pourInto'
import { ripen } from './ripen'
import { CHARRING_RATE, roastLightness } from './roastLightness'
import { takeUpLiquid } from './takeUpLiquid'

let state: VesselState

beforeEach(() => {
  state = pan({ water: 1000 }, 27)
})

describe('heat', () => {
  it('brings a kilo of water to the boil in the time its capacity and the losses ask for', () => {
    let seconds = 0
    while (state[TEMP]! < 95 && seconds < 3600) {
      heated(state, 1000, LID, 4)
      seconds += 4
    }
    const least = (4180 + 650) * 68 / 1000
    expect(seconds).toBeGreaterThan(least)
    expect(seconds).toBeLessThan(least * 1.3)
  })

  it('cools towards the room and never below it without a flame', () => {
    state = pan({ water: 200, solids: 50 }, 90)
    for (let i = 0; i < 20000; i++) heated(state, 0, OPEN, 10)
    expect(state[TEMP]!).toBeCloseTo(27, 3)
    expect(state[PAN_TEMP]!).toBeCloseTo(27, 3)
  })

  it('gives nearly the same at four seconds as at a twentieth of one', () => {
    const run = (stepS: number): number => {
      const own = pan({ water: 30, held: 30, solids: 220, fat: 100 }, 60)
      for (let t = 0; t < 400 - 1e-9; t += stepS) heated(own, 450, OPEN, stepS)
      return own[TEMP]!
    }
    expect(Math.abs(run(4) / run(0.05) - 1)).toBeLessThan(0.01)
  })

  it('loses less with the lid on', () => {
    // Newton's law of cooling for pan and water as one body, its surface's share of the film coefficient less by the lid's.
    const onPaper = (surface: number): number => {
      const lossW = member.heatLoss * (vessel.wallArea * (1 + 60 / 500) + vessel.baseArea * surface)
      const heat = 4180 * 500 / 1000 + vessel.panHeat * member.panMass
      return 27 + 63 * Math.exp(-lossW / heat * 200)
    }
    for (const [cover, surface] of [[OPEN, constant('topLoss')], [LID, constant('topLoss') * constant('lidLoss')]]) {
      const own = pan({ water: 500 }, 90)
      for (let i = 0; i < 50; i++) heated(own, 0, cover as typeof LID, 4)
      expect(Math.abs((90 - own[TEMP]!) / (90 - onPaper(surface!)) - 1)).toBeLessThan(0.06)
    }
    expect(onPaper(constant('topLoss') * constant('lidLoss')) - onPaper(constant('topLoss'))).toBeGreaterThan(0.3)
  })
})

describe('vapour', () => {
  it('holds boiling water at its boiling point and takes the latent heat', () => {
    state = pan({ water: 1000 }, 99)
    for (let i = 0; i < 300; i++) {
      heated(state, 1000, OPEN, 4)
      evaporate(state, vessel, member, OPEN, 4)
    }
    expect(state[TEMP]!).toBeGreaterThan(99.5)
    expect(state[TEMP]!).toBeLessThan(102)
    const most = 1000 * 1200 / 2257
    expect(state[VAPOUR]!).toBeGreaterThan(0.6 * most)
    expect(state[VAPOUR]!).toBeLessThan(most)
    expect(state[WATER]! + state[VAPOUR]!).toBeCloseTo(1000, 6)
  })

  it('dries the open surface below the boil, a tenth of it under a lid', () => {
    const gone = (lid: boolean): number => {
      const own = pan({ water: 1000 }, 80)
      evaporate(own, vessel, member, lid ? LID : OPEN, 4)
      return own[VAPOUR]!
    }
    expect(gone(false)).toBeGreaterThan(0.1)
    expect(gone(true)).toBeCloseTo(gone(false) / 10, 9)
  })

  it('comes harder out of dry grain than out of wet, and out of syrup than out of water', () => {
    const at = (contents: Parameters<typeof pan>[0]): number => boilingTempC(pan(contents, 100), 101325)
    expect(at({ water: 1000 })).toBeCloseTo(100, 1)
    expect(at({ water: 500, sugar: 1000 })).toBeGreaterThan(103)
    expect(at({ water: 20, held: 20, solids: 220 })).toBeGreaterThan(at({ water: 40, held: 40, solids: 220 }))
    expect(at({ solids: 220 })).toBe(260)
  })

  it('never takes more water than there is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 30, max: 240, noNaN: true }),
        (water, tempC) => {
          const own = pan({ water, held: water / 2, solids: 100, fat: 40 }, tempC)
          evaporate(own, vessel, member, OPEN, 10)
          expect(own[WATER]!).toBeGreaterThanOrEqual(0)
          expect(own[HELD]!).toBeLessThanOrEqual(own[WATER]! + 1e-9)
          expect(own[WATER]! + own[VAPOUR]!).toBeCloseTo(water, 9)
        },
      ),
    )
  })
})

describe('taking up liquid', () => {
  const swell = (tempC: number, sugar: number, seconds: number, capacityG = 800): number => {
    const own = pan({ water: 1000, held: 30, solids: 220, sugar }, tempC)
    for (let t = 0; t < seconds; t += 4) takeUpLiquid(own, SEMOLINA, member, capacityG, 4)
    return own[HELD]!
  }

  it('waits for gelatinisation, later the more sugar there is', () => {
    expect(swell(50, 0, 120)).toBeLessThan(60)
    expect(swell(95, 0, 120)).toBeGreaterThan(700)
    expect(swell(78, 260, 120)).toBeLessThan(swell(78, 0, 120))
  })

  it('never takes more than there is or than the dish lets it hold', () => {
    expect(swell(98, 0, 5000)).toBeLessThanOrEqual(800)
    expect(swell(98, 0, 5000, 5000)).toBeLessThanOrEqual(1000)
    expect(swell(98, 0, 400, 0)).toBe(30)
  })
})

describe('ripening', () => {
  it('adds about one dose second a second at 150 °C, and next to nothing below 85 °C', () => {
    const hot = pan({ solids: 200, fat: 80, nuts: 30 }, 150)
    ripen(hot, member, 10)
    for (const dose of [BROWNING, AROMA, NUT_BROWNING]) expect(hot[dose]!).toBeCloseTo(10, 2)
    const warm = pan({ solids: 200, fat: 80 }, 80)
    ripen(warm, member, 100)
    expect(warm[BROWNING]!).toBe(0)
  })

  it('darkens slowly at 150 °C and burns within minutes above 190 °C', () => {
    const after = (tempC: number, seconds: number): number => {
      const own = pan({ solids: 200, fat: 80 }, tempC)
      for (let t = 0; t < seconds; t += 4) ripen(own, member, 4)
      return roastLightness(own, SEMOLINA.rawLightness, SEMOLINA.finalLightness, member)
    }
    expect(after(150, 180)).toBeGreaterThan(SEMOLINA.stepLightness.golden)
    expect(after(150, 180)).toBeLessThan(SEMOLINA.rawLightness)
    expect(after(195, 300)).toBeLessThan(SEMOLINA.stepLightness.burnt)
    expect(after(150, 600)).toBeLessThan(after(150, 300))
  })

  it('flecks the grains that lie on the pan ahead of the mass, the further the hotter the pan is than it', () => {
    const fleck = (panC: number): number => {
      const own = pan({ solids: 200, fat: 80 }, 150)
      own[PAN_TEMP] = panC
      ripen(own, member, 10)
      return own[FLECKS]!
    }
    // Mass and pan at the temperature of the tables' rate of one: browning at its own rate, charring cooler by 25 K.
    const charring = (tempC: number): number =>
      Math.exp(constant('charringEnergy') / 8.314 * (1 / 423.15 - 1 / (tempC + 273.15)))
    expect(fleck(150)).toBeCloseTo(10 * (member.browningRate + CHARRING_RATE * charring(125)), 3)
    expect(fleck(200) / fleck(150)).toBeGreaterThan(2)
  })

  it('lets charring take over only when it is hot', () => {
    const share = (tempC: number): number => {
      const own = pan({ solids: 200, fat: 80 }, tempC)
      ripen(own, member, 10)
      return own[CHARRING]! / own[BROWNING]!
    }
    // By Arrhenius' law on paper; charring is tabled 25 K lower, at 200 kJ/mol where browning has its member's energy.
    const over = (joule: number, cooler: number, hotter: number): number =>
      Math.exp(joule / 8.314 * (1 / (cooler + 273.15) - 1 / (hotter + 273.15)))
    const ratio = over(constant('charringEnergy'), 135, 170) / over(member.browningEnergy, 160, 195)
    expect(share(195) / share(160) / ratio).toBeCloseTo(1, 2)
    expect(ratio).toBeGreaterThan(5)
  })
})

describe('mixing', () => {
  it('adds masses and shares their heat', () => {
    state = pan({ fat: 100 }, 150)
    addToVessel(
      state,
      { water: 30, solids: 220, fat: 2, sugar: 0, invert: 0, nuts: 0, base: true, dry: true },
      27,
      member,
    )
    expect(contentG(state)).toBeCloseTo(352, 9)
    expect(state[WATER]!).toBeCloseTo(250 * member.baseMoisture, 9)
    expect(state[HELD]!).toBe(state[WATER]!)
    const heat = 2.1 * 100 * 150 + (heatCapacity(state) - 2.1 * 100) * 27
    expect(state[TEMP]!).toBeCloseTo(heat / heatCapacity(state), 6)
  })

  it('takes the temperature of what goes into an empty pan', () => {
    state = pan({}, 90)
    addToVessel(
      state,
      { water: 100, solids: 0, fat: 0, sugar: 0, invert: 0, nuts: 0, base: false, dry: false },
      20,
      member,
    )
    expect(state[TEMP]!).toBe(20)
  })

  it('pours everything over and keeps the heat', () => {
    const from = pan({ water: 1000, sugar: 250 }, 101)
    const to = pan({ solids: 220, water: 20, held: 20, fat: 100 }, 150)
    const before = heatCapacity(to) * to[TEMP] + heatCapacity(from) * from[TEMP]
    pourInto(from, to)
    expect(contentG(from)).toBe(0)
    expect(contentG(to)).toBeCloseTo(1590, 9)
    expect(heatCapacity(to) * to[TEMP]).toBeCloseTo(before, 4)
  })
})

describe('volume', () => {
  it('is that of water for water, and grows as the grain swells', () => {
    expect(contentMl(pan({ water: 980 }, 27), SEMOLINA)).toBeCloseTo(1000, 6)
    const dry = contentMl(pan({ solids: 220, water: 30, held: 30 }, 27), SEMOLINA)
    expect(dry / (250 / 0.71)).toBeGreaterThan(0.7)
    expect(dry / (250 / 0.71)).toBeLessThan(1.2)
    expect(contentMl(pan({ solids: 220, water: 800, held: 800 }, 95), SEMOLINA) / dry).toBeGreaterThan(2)
    // The last half gram of it lies like the first hundred.
    expect(contentMl(pan({ solids: 0.5, water: 0.05, held: 0.05 }, 27), SEMOLINA)).toBeCloseTo(
      contentMl(pan({ solids: 100, water: 10, held: 10 }, 27), SEMOLINA) / 200,
      9,
    )
  })
})
