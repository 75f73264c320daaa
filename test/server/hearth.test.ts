import { mkdirSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { QueryTypes, Sequelize } from 'sequelize'
import sqlite3 from 'sqlite3'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { FIRST_KITCHEN } from '../../book/firstKitchen'
import { STARTER_DISHES } from '../../book/dishes'
import { readDishCard } from '../../contracts/firstFormat'
import { stageDish } from '../../core/formulation/stages/stageDish'
import type { SentObservation } from '../../contracts/observation'
import { forecastCook } from '../../core/process/forecast/forecastCook'
import { clockFrom, type MachineClocks } from '../../server/services/clock'
import { durability } from '../../server/services/database'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { Refusal } from '../../server/services/refusal'
import { FolderNotWritable } from '../../server/services/startRefused'
import { stock } from '../../server/services/stock'
import { examplePlan } from '../support/plans'

let folder: string
let hearth: Hearth
let nowMs = 1_795_000_000_000
const clock = { now: () => nowMs, rate: 1 }

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yon-hearth-server-'))
  nowMs = 1_795_000_000_000
  hearth = await openHearth(folder, clock)
})
afterEach(async () => {
  await hearth.close()
  rmSync(folder, { recursive: true, force: true })
})

function sent(number: number, timeS: number, kind: string, payload: Record<string, unknown> = {}): SentObservation {
  return { id: `o-${number}`, device: 'tablet', number, deviceTime: 1_795_000_000_000 + timeS * 1000, kind, payload }
}
async function append(stream: string, ...observations: SentObservation[]) {
  nowMs = Math.max(nowMs, ...observations.map(one => one.deviceTime))
  return hearth.append(stream, { sentAt: nowMs, observations })
}
const STORY = [
  sent(1, 0, 'cook.started'), sent(2, 300, 'stage.began', { stage: 'roast' }), sent(3, 520, 'sign.seen', { sign: 'aroma' }),
  sent(4, 700, 'stage.began', { stage: 'pour' }), sent(5, 760, 'stage.began', { stage: 'take-up' }), sent(6, 930, 'stage.began', { stage: 'enrich' }),
  sent(7, 1250, 'stage.began', { stage: 'rest' }), sent(8, 1560, 'cook.finished'),
]
async function cooked(id: string): Promise<void> {
  const plan = examplePlan({}, id)
  await hearth.cooks.create({ ...plan, forecast: forecastCook(plan, [], 0, 40) })
  await append(id, ...STORY)
  await hearth.settled()
}

describe('durability', () => {
  it('is write-ahead, full and with foreign keys on the connection that writes', async () => {
    expect(await durability(hearth.database)).toEqual({ journal: 'wal', synchronous: 2, foreignKeys: 1 })
  })

  it('survives closing and opening again', async () => {
    await append('s', sent(1, 0, 'note', { text: 'x' }))
    await hearth.close()
    hearth = await openHearth(folder, clock)
    expect(await hearth.streams.read('s', 0)).toHaveLength(1)
  })

  it('says so where the folder cannot be written', async () => {
    const file = join(folder, 'hearth.sqlite')
    await expect(openHearth(join(file, 'below'), clock)).rejects.toThrow(FolderNotWritable)
  })

  it('puts a copy of an older database aside before it is brought up to date', async () => {
    const old = join(folder, 'old')
    mkdirSync(old)
    const raw = new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage: join(old, 'hearth.sqlite'), logging: false })
    await raw.query('CREATE TABLE of_an_older_version (note TEXT)')
    await raw.query('INSERT INTO of_an_older_version VALUES (\'kept\')')
    await raw.close()
    const updated = await openHearth(old, clock)
    expect(await updated.streams.read('s', 0)).toEqual([])
    await updated.close()
    const [name] = readdirSync(join(old, 'copies')).filter(one => one.startsWith('before-update-'))
    const copy = new Sequelize({ dialect: 'sqlite', dialectModule: sqlite3, storage: join(old, 'copies', name!), logging: false })
    expect(await copy.query('SELECT * FROM of_an_older_version', { type: QueryTypes.SELECT })).toEqual([{ note: 'kept' }])
    await copy.close()
    const again = await openHearth(old, clock)
    await again.close()
    expect(readdirSync(join(old, 'copies')).filter(one => one.startsWith('before-update-'))).toHaveLength(1)
  })
})

describe('streams', () => {
  it('keep an observation once, whatever is sent again', async () => {
    const first = await append('s', sent(1, 0, 'note', { text: 'a' }))
    const again = await append('s', sent(1, 0, 'note', { text: 'changed' }), sent(2, 1, 'note', { text: 'b' }))
    expect(first[0]!.place).toBe(again[0]!.place)
    const kept = await hearth.streams.read('s', 0)
    expect(kept.map(one => one.payload.text)).toEqual(['a', 'b'])
  })

  it('take unknown kinds of a newer version as they are', async () => {
    await append('s', sent(1, 0, 'oven.steam', { bar: 1.4, deep: { list: [1, 2] } }))
    expect((await hearth.streams.read('s', 0))[0]).toMatchObject({ kind: 'oven.steam', payload: { bar: 1.4, deep: { list: [1, 2] } } })
  })

  it('keep streams apart and read on after a place', async () => {
    await append('s', sent(1, 0, 'note'), sent(2, 1, 'note'))
    await append('t', sent(1, 0, 'note'))
    const [first] = await hearth.streams.read('s', 0)
    expect(await hearth.streams.read('s', first!.place)).toHaveLength(1)
    expect(await hearth.streams.read('t', 0)).toHaveLength(1)
  })

  it('take two hundred appends at once without losing or doubling one', async () => {
    await Promise.all(Array.from({ length: 200 }, (_, i) => append('s', { ...sent(i + 1, i, 'note'), device: `d-${i % 7}` })))
    const kept = await hearth.streams.read('s', 0)
    expect(kept).toHaveLength(200)
    expect(new Set(kept.map(one => one.id)).size).toBe(200)
  })

  it('push what was stored to those who follow', async () => {
    const heard: string[] = []
    const stop = hearth.streams.follow('s', list => heard.push(...list.map(one => one.id)))
    await append('s', sent(1, 0, 'note'))
    stop()
    await append('s', sent(2, 1, 'note'))
    expect(heard).toEqual(['o-1'])
  })
})

describe('cooks and batches', () => {
  it('make a batch of a finished cook, with what was planned beside what happened', async () => {
    await cooked('a')
    const batch = await hearth.batches.one('a')
    expect(batch.line.summary).toMatchObject({ keystoneS: 700, endS: 1250 })
    expect(batch.line.summary.plannedStones.length).toBeGreaterThan(3)
    expect(batch.observations).toHaveLength(STORY.length)
    expect(await hearth.cooks.live()).toEqual([])
    expect((await hearth.batches.evidence()).evidence.some(one => one.name === 'fire.front')).toBe(true)
  })

  it('follow an outcome and a correction that come after the end', async () => {
    await cooked('a')
    await append('a', sent(9, 1600, 'outcome', { faults: ['dry'], line: 'too long' }), sent(10, 1610, 'corrected', { replaces: 'o-7', shiftS: -20 }))
    await hearth.settled()
    expect((await hearth.batches.one('a')).line.summary).toMatchObject({ endS: 1230, faults: ['dry'], line: 'too long' })
  })

  it('settle on opening what was cut off before its batch was made', async () => {
    await cooked('a')
    await hearth.database.models.Batch.destroy({ where: { id: 'a' } })
    await hearth.close()
    hearth = await openHearth(folder, clock)
    await hearth.settled()
    expect((await hearth.batches.one('a')).line.id).toBe('a')
  })

  it('refuse another plan under the same id and take the same one again', async () => {
    const plan = examplePlan({}, 'a')
    await hearth.cooks.create(plan)
    await hearth.cooks.create(plan)
    await expect(hearth.cooks.create({ ...plan, people: 3 })).rejects.toThrow(Refusal)
    await expect(hearth.cooks.one('none')).rejects.toThrow(Refusal)
  })

  it('remove softly, put back, and keep a note', async () => {
    await cooked('a')
    await hearth.batches.note('a', 'again on Sunday')
    await hearth.batches.remove('a')
    expect((await hearth.ledger.page({ limit: 10 })).batches).toEqual([])
    expect(await hearth.batches.evidence()).toEqual({ evidence: [], sources: [] })
    await hearth.batches.restore('a')
    expect((await hearth.ledger.page({ limit: 10 })).batches[0]!.note).toBe('again on Sunday')
  })
})

describe('the house', () => {
  it('is stocked with a guessed kitchen and the starter book, once', async () => {
    await stock(hearth)
    await stock(hearth)
    expect(await hearth.kitchens.all()).toEqual(FIRST_KITCHEN)
    const dishes = await hearth.dishes.latest()
    expect(dishes).toHaveLength(STARTER_DISHES.length)
    expect(dishes).toEqual(expect.arrayContaining([...STARTER_DISHES]))
  })

  it('changes, removes and puts back things on the shelf in their place', async () => {
    await stock(hearth)
    const [cup] = FIRST_KITCHEN.measures
    await hearth.kitchens.put('measures', { ...cup!, volumeMl: 200, origin: 'weighed' })
    await hearth.kitchens.remove('measures', 'tablespoon')
    expect((await hearth.kitchens.all()).measures.map(one => one.id)).toEqual(['cup', 'teaspoon'])
    await hearth.kitchens.put('measures', FIRST_KITCHEN.measures[1]!)
    expect((await hearth.kitchens.all()).measures.map(one => [one.id, one.volumeMl])).toEqual([['cup', 200], ['tablespoon', 15], ['teaspoon', 5]])
    await expect(hearth.kitchens.remove('pans', 'no-such')).rejects.toThrow(Refusal)
  })

  it('keeps dishes as versions that never change', async () => {
    await stock(hearth)
    const dish = STARTER_DISHES[0]!
    const second = { ...dish, version: 2, portionG: 150 }
    await hearth.dishes.add(second)
    expect((await hearth.dishes.one(dish.id)).version).toBe(2)
    await expect(hearth.dishes.add({ ...second, portionG: 90 })).rejects.toThrow(Refusal)
    expect((await hearth.dishes.history(dish.id)).map(one => [one.version, one.dish.portionG])).toEqual([[2, 150], [1, dish.portionG]])
    await expect(hearth.dishes.history('no-such')).rejects.toThrow(Refusal)
  })

  it('puts a dish aside and takes it back, without losing it', async () => {
    await stock(hearth)
    await hearth.dishes.putAside('slow-farina', true)
    expect(await hearth.dishes.aside()).toEqual(['slow-farina'])
    expect((await hearth.dishes.one('slow-farina')).name).toBe('Slow farina')
    await hearth.dishes.putAside('slow-farina', false)
    expect(await hearth.dishes.aside()).toEqual([])
    await expect(hearth.dishes.putAside('no-such', true)).rejects.toThrow(Refusal)
  })

  it('reads a dish of the first format, which held stages in the place of choices', () => {
    const { choices: _, ...first } = stageDish(STARTER_DISHES[0]!)
    const old = { ...first, ingredients: first.ingredients.map(({ part: __, ...one }) => one), stages: first.stages.map(({ phase: _p, hands: _h, handles: _d, watch: _w, cautions: _c, expect: _e, ...stage }) => stage) }
    expect(readDishCard(JSON.parse(JSON.stringify(old)))).toEqual(STARTER_DISHES[0])
    expect(() => readDishCard({ ...old, stages: 'none' })).toThrow()
  })
})

describe('the clock', () => {
  /** A machine whose clock, even clock and time since its start are moved by hand. */
  function machine() {
    const at = { real: 1_000_000, steady: 0, sinceStart: 500_000 }
    const clocks: MachineClocks = { real: () => at.real, steady: () => at.steady, sinceStart: () => at.sinceStart }
    const pass = (ms: number): void => {
      at.real += ms
      at.steady += ms
      at.sinceStart += ms
    }
    return { at, clocks, pass }
  }

  it('is the real one, or runs at a rate from an anchor, also after a restart', () => {
    const { at, clocks } = machine()
    at.real = 5000
    expect(clockFrom({}, clocks).now()).toBe(5000)
    const fast = clockFrom({ HEARTH_CLOCK_RATE: '600', HEARTH_CLOCK_ANCHOR: '4000' }, clocks)
    expect(fast.now()).toBe(4000 + 600_000)
    at.real = 6000
    expect(clockFrom({ HEARTH_CLOCK_RATE: '600', HEARTH_CLOCK_ANCHOR: '4000' }, clocks).now()).toBe(4000 + 1_200_000)
    expect(clockFrom({ HEARTH_CLOCK_RATE: 'fast' }, clocks).rate).toBe(1)
  })

  it.each([3_600_000, -3_600_000])('goes on evenly where the machine is set by %i ms, until it is let follow', (setMs) => {
    vi.spyOn(console, 'warn').mockImplementation(() => undefined)
    const { at, clocks, pass } = machine()
    const clock = clockFrom({}, clocks)
    pass(60_000)
    expect(clock.now()).toBe(1_060_000)
    at.real += setMs
    pass(30_000)
    expect(clock.now()).toBe(1_090_000)
    pass(30_000)
    expect(clock.now()).toBe(1_120_000)
    clock.follow!()
    expect(clock.now()).toBe(at.real)
    pass(1000)
    expect(clock.now()).toBe(at.real)
  })

  it('counts the sleep of the machine as time that passes, also where it is set in its sleep', () => {
    vi.spyOn(console, 'warn').mockImplementation(() => undefined)
    const { at, clocks } = machine()
    const clock = clockFrom({}, clocks)
    at.real += 600_000
    at.sinceStart += 600_000
    expect(clock.now()).toBe(1_600_000)
    at.real += 600_000 + 7_200_000
    at.sinceStart += 600_000
    expect(clock.now()).toBe(2_200_000)
  })
})
