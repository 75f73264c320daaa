import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { BatchListLine } from '../../contracts/batch'
import { BatchFilterSchema, SEASONS, type BatchFilter } from '../../contracts/batchQuery'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { seedLedger } from '../../scripts/seedLedger'

let folder: string
let hearth: Hearth
let all: BatchListLine[]
const read = async (filter: BatchFilter, limit: number): Promise<BatchListLine[]> => {
  const found: BatchListLine[] = []
  for (let cursor: string | undefined; ;) {
    const page = await hearth.ledger.page({ ...filter, limit, ...(cursor === undefined ? {} : { cursor }) })
    found.push(...page.batches)
    if (page.next === null) return found
    cursor = page.next
  }
}

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yon-hearth-ledger-test-'))
  await seedLedger(folder, 260)
  hearth = await openHearth(folder, { now: () => 1_780_000_000_000, rate: 1 })
  all = await read({}, 200)
}, 120_000)
afterAll(async () => {
  await hearth.close()
  rmSync(folder, { recursive: true, force: true })
})

describe('the ledger\'s lists', () => {
  it('give every batch once, newest first, whatever the size of a page', async () => {
    expect(all).toHaveLength(260)
    expect(all.map(one => one.startedAt)).toEqual([...all.map(one => one.startedAt)].sort((p, q) => q - p))
    for (const limit of [7, 60]) expect((await read({}, limit)).map(one => one.id)).toEqual(all.map(one => one.id))
  })

  it('find by every filter, alone and together, what a slow look at all finds', async () => {
    const season = (at: number): string => SEASONS[Math.floor(((new Date(at).getMonth() + 1) % 12) / 3)]!
    const slow = (filter: BatchFilter): string[] =>
      all
        .filter(
          one =>
            (filter.dish === undefined || one.dishId === filter.dish)
            && (filter.family === undefined || one.family === filter.family)
            && (filter.pan === undefined || one.pan?.id === filter.pan)
            && (filter.fire === undefined || one.fire?.id === filter.fire)
            && (filter.season === undefined || season(one.startedAt) === filter.season)
            && (filter.fault === undefined
              || (filter.fault === 'any'
                ? one.summary.faults.length > 0
                : filter.fault === 'none'
                  ? one.summary.faults.length === 0
                  : one.summary.faults.includes(filter.fault))),
        )
        .map(one => one.id)
    const filters = [
      { dish: 'winter-market-carrot' },
      { family: 'semolina' },
      { fault: 'any' },
      { fault: 'none' },
      { fault: 'dry' },
      { pan: 'iron' },
      { fire: 'back' },
      { season: 'jun-aug' },
      { pan: 'wide', season: 'dec-feb' },
      { family: 'vegetable', fault: 'greasy', fire: 'front' },
      { dish: 'none-such' },
    ].map(one => BatchFilterSchema.parse(one))
    for (const filter of filters) {
      expect((await read(filter, 25)).map(one => one.id), JSON.stringify(filter)).toEqual(slow(filter))
      const tally = await hearth.ledger.tally(filter)
      expect(tally.count, JSON.stringify(filter)).toBe(slow(filter).length)
    }
  })

  it('count what there is, and anew when something changes', async () => {
    const before = await hearth.ledger.tally({})
    expect(before.dishes.reduce((sum, one) => sum + one.count, 0)).toBe(260)
    expect(before.right + all.filter(one => one.summary.faults.length > 0).length).toBe(260)
    const faulty = all.find(one => one.summary.faults.length > 0)!
    const named = (tally: typeof before): number =>
      tally.faults.find(one => one.id === faulty.summary.faults[0])?.count ?? 0
    await hearth.batches.remove(faulty.id)
    const after = await hearth.ledger.tally({})
    expect(after).toMatchObject({ count: 259, right: before.right })
    expect(named(after)).toBe(named(before) - 1)
    await hearth.batches.restore(faulty.id)
    expect(await hearth.ledger.tally({})).toEqual(before)
  })

  it('refuse a cursor that is none', async () => {
    await expect(hearth.ledger.page({ limit: 5, cursor: 'yesterday' })).rejects.toMatchObject({
      code: 'body-not-understood',
    })
  })

  it('jump to a day', async () => {
    const middle = all[130]!
    const page = await hearth.ledger.page({ limit: 3, before: middle.startedAt })
    expect(page.batches.map(one => one.id)).toEqual(
      all
        .filter(one => one.startedAt < middle.startedAt)
        .slice(0, 3)
        .map(one => one.id),
    )
  })
})
