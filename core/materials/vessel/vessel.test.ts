import { describe, expect, it } from 'vitest'
import { baseAreaM2 } from './baseAreaM2'
import { capacityMl } from './capacityMl'
import { depthMm } from './depthMm'
import { guessMassG } from './guessMassG'
import { panFit } from './panFit'
import { MATERIALS } from './vessel'

const pan = { innerDiameterMm: 260, depthMm: 70 }

describe('a pan', () => {
  it('is full when its capacity lies in it', () => {
    expect(depthMm(capacityMl(pan), pan.innerDiameterMm)).toBeCloseTo(70)
  })

  it('is guessed to weigh what pans of its kind weigh', () => {
    // Bottom and wall of 0.0531 and 0.0572 m², at 13 and 29 kg/m².
    expect(guessMassG(260, 70, 'steel')).toBe(1430)
    expect(guessMassG(260, 70, 'cast-iron')).toBe(3200)
  })

  it('holds less well the more goes in, and says into how many lots it should go', () => {
    const verdicts = [800, 2000, 2700, 3600].map(ml => panFit(ml, pan))
    expect(verdicts.map(one => one.verdict)).toEqual(['roomy', 'fits', 'tight', 'too-small'])
    expect(verdicts.map(one => one.lots)).toEqual([1, 1, 2, 2])
  })

  it('holds four times as much at twice the width, and twice at twice the depth', () => {
    expect(capacityMl({ innerDiameterMm: 520, depthMm: 70 })).toBeCloseTo(4 * capacityMl(pan), 6)
    expect(capacityMl({ innerDiameterMm: 260, depthMm: 140 })).toBeCloseTo(2 * capacityMl(pan), 6)
    expect(baseAreaM2(1000)).toBeCloseTo(Math.PI / 4, 12)
  })

  it('is heavier the larger it is, in every material', () => {
    for (const material of MATERIALS) {
      expect(guessMassG(300, 70, material)).toBeGreaterThan(guessMassG(260, 70, material))
      expect(guessMassG(260, 90, material)).toBeGreaterThan(guessMassG(260, 70, material))
      expect(guessMassG(260, 70, material) % 10).toBe(0)
    }
  })

  it('stands deeper when it bubbles than when it lies still', () => {
    expect(panFit(2000, pan).depthMm).toBeGreaterThan(depthMm(2000, pan.innerDiameterMm))
    expect(panFit(2000, pan).share).toBeCloseTo(panFit(2000, pan).depthMm / pan.depthMm, 9)
  })
})
