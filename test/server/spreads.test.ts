import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { SpreadSchema } from '../../contracts/spread'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { exampleSpread } from '../support/spreads'

const AT = 1_795_000_000_000
let folder: string
let hearth: Hearth
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'yon-hearth-spreads-'))
  hearth = await openHearth(folder, { now: () => AT, rate: 1 })
})
afterEach(async () => {
  await hearth.close()
  await rm(folder, { recursive: true, force: true })
})

describe('days of cooking', () => {
  it('are kept whole, across opening anew, each time one revision higher', async () => {
    const first = await hearth.spreads.put(exampleSpread())
    expect(first.revision).toBe(1)
    const second = await hearth.spreads.put({ ...first, name: 'Sunday lunch' })
    expect(second.revision).toBe(2)
    await hearth.close()
    hearth = await openHearth(folder, { now: () => AT, rate: 1 })
    expect(await hearth.spreads.one('day-1')).toEqual(JSON.parse(JSON.stringify(second)))
    expect(await hearth.spreads.all()).toEqual([
      { id: 'day-1', name: 'Sunday lunch', eve: '2026-11-28', revision: 2, dishes: 2, changedAt: AT },
    ])
  })

  it('are not overwritten by a device that has not seen the last change', async () => {
    const first = await hearth.spreads.put(exampleSpread())
    await hearth.spreads.put({ ...first, name: 'From the tablet' })
    await expect(hearth.spreads.put({ ...first, name: 'From the phone' })).rejects.toMatchObject({
      code: 'changed-meanwhile',
    })
    await expect(hearth.spreads.put(exampleSpread())).rejects.toMatchObject({ code: 'changed-meanwhile' })
    expect((await hearth.spreads.one('day-1')).name).toBe('From the tablet')
    expect(
      (
        await Promise.allSettled(
          [1, 2, 3, 4].map(i => hearth.spreads.put({ ...first, revision: 2, name: `Device ${i}` })),
        )
      ).filter(one => one.status === 'fulfilled'),
    ).toHaveLength(1)
  })

  it('tell who follows them, and are taken away', async () => {
    const heard: number[] = []
    const stop = hearth.spreads.follow('day-1', spread => heard.push(spread.revision))
    const first = await hearth.spreads.put(exampleSpread())
    stop()
    await hearth.spreads.put(first)
    expect(heard).toEqual([1])
    await hearth.spreads.remove('day-1')
    expect(await hearth.spreads.all()).toEqual([])
    await expect(hearth.spreads.one('day-1')).rejects.toMatchObject({ code: 'not-found' })
    await expect(hearth.spreads.remove('day-1')).rejects.toMatchObject({ code: 'not-found' })
  })

  it('are understood or refused as a whole', () => {
    expect(SpreadSchema.safeParse(exampleSpread()).success).toBe(true)
    const bad = [
      { eve: '2026-13-40' },
      { meals: [{ id: 'm1', name: 'Dinner', at: -5 }] },
      { meals: [{ id: 'm1', name: 'Dinner', at: 1e9 }] },
      { washMin: Number.NaN },
      { hands: [{ id: 'h1', name: '', roasts: true, away: [] }] },
      { vessels: [{ id: 'v', name: 'Pan', kind: 'cauldron' }] },
      { promises: [{ id: 'p' }] },
      { plan: {} },
      { doings: [{ step: 'x', begun: 1.5, ended: null }] },
    ]
    for (const change of bad)
      expect(SpreadSchema.safeParse({ ...exampleSpread(), ...change }).success, JSON.stringify(change)).toBe(false)
  })
})
