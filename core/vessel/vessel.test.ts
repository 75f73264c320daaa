import { describe, expect, it } from 'vitest'
import { capacityMl } from './capacityMl'
import { depthMm } from './depthMm'
import { guessMassG } from './guessMassG'
import { panFit } from './panFit'

const pan = { innerDiameterMm: 260, depthMm: 70 }

describe('a pan', () => {
  it('is full when its capacity lies in it', () => {
    expect(depthMm(capacityMl(pan), pan.innerDiameterMm)).toBeCloseTo(70)
  })

  it('is guessed to weigh what pans of its kind weigh', () => {
    expect(guessMassG(260, 70, 'steel')).toBeGreaterThan(1000)
    expect(guessMassG(260, 70, 'steel')).toBeLessThan(1800)
    expect(guessMassG(260, 70, 'cast-iron')).toBeGreaterThan(guessMassG(260, 70, 'steel'))
  })

  it('holds less well the more goes in, and says into how many lots it should go', () => {
    const verdicts = [800, 2000, 2700, 3600].map(ml => panFit(ml, pan))
    expect(verdicts.map(one => one.verdict)).toEqual(['roomy', 'fits', 'tight', 'too-small'])
    expect(verdicts.map(one => one.lots)).toEqual([1, 1, 2, 2])
  })
})
