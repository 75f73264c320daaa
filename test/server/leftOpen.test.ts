import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { examplePlan } from '../support/plans'

const START = 1_795_000_000_000
const HOUR = 3_600_000
let now = START
let followed = 0
let folder: string
let hearth: Hearth
beforeEach(async () => {
  now = START
  folder = mkdtempSync(join(tmpdir(), 'yon-hearth-open-'))
  followed = 0
  hearth = await openHearth(folder, { now: () => now, rate: 1, follow: () => void followed++ })
  await hearth.cooks.create(examplePlan({}, 'open'))
})
afterEach(async () => {
  await hearth.close()
  rmSync(folder, { recursive: true, force: true })
})
async function mark(id: string, atMs: number, kind: string, payload = {}): Promise<void> {
  now = Math.max(now, atMs)
  await hearth.append('open', {
    sentAt: now,
    observations: [{ id, device: 'tablet', number: Number(id.slice(1)), deviceTime: atMs, kind, payload }],
  })
  await hearth.settled()
}
async function begun(): Promise<void> {
  await mark('m1', START, 'cook.started')
  await mark('m2', START + 300_000, 'stage.began', { stage: 'roast' })
  await mark('m3', START + 700_000, 'stage.began', { stage: 'pour' })
}

describe('a cook that was left open', () => {
  it('is left alone while it may be on the fire, then asked about, then closed by its own forecast', async () => {
    await begun()
    now = START + 900_000
    await hearth.openCooks.look()
    expect(hearth.openCooks.likelyDoneAt('open')).toBeNull()
    now = START + 3 * HOUR
    await hearth.openCooks.look()
    const doneAt = hearth.openCooks.likelyDoneAt('open')!
    expect(doneAt).toBeGreaterThan(START + 900_000)
    expect(doneAt).toBeLessThan(START + 2 * HOUR)
    expect((await hearth.cooks.live()).map(one => one.id)).toEqual(['open'])
    now = START + 20 * HOUR
    await hearth.openCooks.look()
    await hearth.settled()
    expect(await hearth.cooks.live()).toEqual([])
    const { summary } = (await hearth.batches.one('open')).line
    expect(summary.endS).toBeCloseTo((doneAt - START) / 1000, 0)
    expect((await hearth.streams.read('open', 0)).at(-1)).toMatchObject({
      kind: 'cook.finished',
      payload: { by: 'forecast' },
    })
  })

  it('taken back stays open, and a mark puts the question off', async () => {
    await begun()
    now = START + 20 * HOUR
    await hearth.openCooks.look()
    await hearth.settled()
    await mark('m4', now, 'withdrawn', { replaces: 'closed-by-forecast' })
    expect((await hearth.cooks.live()).map(one => one.id)).toEqual(['open'])
    now += 20 * HOUR
    await hearth.openCooks.look()
    await hearth.settled()
    expect((await hearth.cooks.live()).map(one => one.id)).toEqual(['open'])
    await mark('m5', now, 'checked', { what: 'still-on' })
    await hearth.openCooks.look()
    expect(hearth.openCooks.likelyDoneAt('open')).toBeNull()
  })

  it('is closed when somebody says it was done', async () => {
    await begun()
    now = START + 3 * HOUR
    await hearth.openCooks.look()
    await hearth.openCooks.close('open', hearth.openCooks.likelyDoneAt('open')!, 'asked')
    await hearth.settled()
    expect((await hearth.ledger.page({ limit: 5 })).batches.map(one => one.id)).toEqual(['open'])
  })

  it('keeps the clock from being moved while it is cooked', async () => {
    await hearth.openCooks.look()
    expect(followed).toBe(1)
    await begun()
    await hearth.openCooks.look()
    expect(followed).toBe(1)
    now += 3 * HOUR
    await hearth.openCooks.look()
    expect(followed).toBe(2)
  })
})
