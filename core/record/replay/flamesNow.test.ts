import { describe, expect, it } from 'vitest'
import { storyTo } from '../../../test/support/handForecast'
import { starterPlan } from '../../../test/support/plans'
import { flamesNow } from './flamesNow'
import { replay } from './replay'

const plan = starterPlan('sweet-water-semolina')

describe('flame and lid now', () => {
  const flames = { ...plan.flames, 'roast': 'm3', 'take-up': 'm2', 'sweet-water': 'm4' }
  const of = { ...plan, flames }
  const now = (stage: string, ...more: readonly (readonly [number, string, Record<string, unknown>])[]) => flamesNow(of, replay(of, storyTo(of, stage, more)))

  it('are those of the running stage, until they are changed in it', () => {
    expect(now('roast')).toMatchObject({ pan: { mark: 'm3', lid: false }, pot: { mark: 'off', lid: false } })
    expect(now('roast', [150, 'flame.changed', { vessel: 'pan', mark: 'm5' }]).pan!.mark).toBe('m5')
    expect(now('roast', [100, 'flame.changed', { vessel: 'pan', mark: 'm5' }]).pan!.mark).toBe('m5')
    // What was changed in the stage before is over with it.
    expect(now('roast', [99, 'flame.changed', { vessel: 'pan', mark: 'm5' }]).pan!.mark).toBe('m3')
    expect(now('roast', [150, 'lid.changed', { vessel: 'pan', lid: true }]).pan).toEqual({ mark: 'm3', lid: true })
    expect(now('pour').pan!.mark).toBe('off')
  })

  it('of a vessel beside are its own from when it is lit, as its stage has its lid', () => {
    const lid = plan.dish.stages.find(one => one.id === 'sweet-water')!.lid
    const lit = [120, 'vessel.lit', { vessel: 'pot' }] as const
    expect(now('roast', lit).pot).toEqual({ mark: 'm4', lid })
    expect(now('roast', lit, [130, 'flame.changed', { vessel: 'pot', mark: 'm1' }]).pot!.mark).toBe('m1')
    expect(now('roast', [110, 'flame.changed', { vessel: 'pot', mark: 'm1' }], lit).pot!.mark).toBe('m4')
  })

  it('are off from when it was taken off the fire, for the stage that runs then', () => {
    expect(now('roast', [150, 'off.fire', {}]).pan!.mark).toBe('off')
    expect(now('roast', [100, 'off.fire', {}]).pan!.mark).toBe('off')
    expect(now('roast', [99, 'off.fire', {}]).pan!.mark).toBe('m3')
  })
})
