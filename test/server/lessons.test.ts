import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { Lesson } from '../../contracts/lesson'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { Refusal } from '../../server/services/refusal'
import { examplePlan, marked } from '../support/plans'

const AT = 1_795_000_000_000
const DAY_MS = 86_400_000
let folder: string
let hearth: Hearth
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'yon-hearth-lessons-'))
  hearth = await openHearth(folder, { now: () => AT, rate: 1 })
})
afterEach(async () => {
  await hearth.close()
  await rm(folder, { recursive: true, force: true })
})

const boil = (
  changes: Partial<Extract<Lesson, { kind: 'boil-check' }>['check']> = {},
  id = 'check-1',
): Extract<Lesson, { kind: 'boil-check' }> => ({
  kind: 'boil-check',
  id,
  at: AT,
  pan: 'Steel pan',
  fire: 'Front fire',
  mark: 'middle',
  check: {
    id,
    fire: { id: 'front', kind: 'gas', mark: 'm4', watts: 700 },
    pan: {
      id: 'pan',
      vessel: { innerDiameterMm: 260, depthMm: 75, massG: 1300, material: 'steel' },
      massGuessed: false,
    },
    lid: true,
    waterG: 700,
    fromC: 27,
    boilS: 420,
    half: null,
    boiledOn: null,
    atBoilC: 98.1,
    airC: 27,
    altitudeM: 0,
    when: AT,
    ...changes,
  },
})
const power = async (): Promise<{ value: number, variance: number }> =>
  (await hearth.lessons.learned()).evidence.find(one => one.name === 'fire.front')!

describe('lessons', () => {
  it('keep a boil check with what it says, across opening anew', async () => {
    const told = await hearth.lessons.put(boil())
    expect(told.reading!.powerW.early).toBeLessThan(told.reading!.powerW.middle)
    expect(told.reading!.thermometer!.errorK).toBeCloseTo(-1.9, 0)
    await hearth.close()
    hearth = await openHearth(folder, { now: () => AT, rate: 1 })
    expect(await hearth.lessons.all()).toEqual([JSON.parse(JSON.stringify(told))])
    expect((await hearth.lessons.learned()).sources).toEqual([
      { id: 'check-1', kind: 'boil-check', name: 'Steel pan on Front fire, middle', at: AT, forgotten: false },
    ])
  })

  it('say more power of water that boils sooner', async () => {
    const slow = (await hearth.lessons.put(boil())).reading!.powerW.middle
    expect((await hearth.lessons.put(boil({ boilS: 300 }))).reading!.powerW.middle).toBeGreaterThan(1.2 * slow)
    expect(await hearth.lessons.all()).toHaveLength(1)
  })

  it('refuse a check that cannot be, and keep nothing of it', async () => {
    await expect(hearth.lessons.put(boil({ fromC: 85, altitudeM: 6000 }))).rejects.toThrow(Refusal)
    expect(await hearth.lessons.all()).toEqual([])
  })

  it('are taken back, and taught again', async () => {
    await hearth.lessons.put(boil())
    await hearth.lessons.remove('check-1')
    expect(await hearth.lessons.learned()).toEqual({ evidence: [], sources: [] })
    await expect(hearth.lessons.remove('check-1')).rejects.toThrow(Refusal)
    await hearth.lessons.put(boil())
    expect((await hearth.lessons.learned()).sources).toHaveLength(1)
  })

  it('forget a source, which stays in sight and can be remembered', async () => {
    await hearth.lessons.put(boil())
    await hearth.lessons.put({ kind: 'forgotten', id: 'forget-1', at: AT + 1, source: 'check-1' })
    expect(await hearth.lessons.learned()).toMatchObject({
      evidence: [],
      sources: [{ id: 'check-1', forgotten: true }],
    })
    await hearth.lessons.remove('forget-1')
    expect((await hearth.lessons.learned()).evidence.length).toBeGreaterThan(0)
  })

  it('let what was read before a cleaned burner count less, and what came after it count in full', async () => {
    await hearth.lessons.put(boil())
    const before = await power()
    await hearth.lessons.put({ kind: 'changed', id: 'clean-1', at: AT + DAY_MS, fire: 'front' })
    const after = await power()
    expect(after.value).toBe(before.value)
    expect(after.variance).toBeCloseTo(before.variance + 0.04, 6)
    await hearth.lessons.put({ ...boil({}, 'check-2'), at: AT + 2 * DAY_MS })
    const { evidence } = await hearth.lessons.learned()
    expect(evidence.find(one => one.batch === 'check-2' && one.name === 'fire.front')!.variance).toBeCloseTo(
      before.variance,
      6,
    )
  })

  it('learn from a batch entered from memory', async () => {
    const plan = examplePlan({}, 'memory')
    const observations = [
      marked(0, 0, 'cook.started'),
      marked(1, 120, 'stage.began', { stage: 'roast' }),
      marked(2, 1100, 'stage.began', { stage: 'pour' }),
      marked(3, 1800, 'cook.finished'),
    ]
    const { evidence } = await hearth.lessons.put({
      kind: 'remembered',
      id: 'memory-1',
      at: AT,
      dish: plan.dish.name,
      cook: { plan, observations },
    })
    expect(evidence.every(one => one.batch === 'memory-1')).toBe(true)
    expect(evidence.find(one => one.name === 'fire.front')!.value).toBeLessThan(0)
  })
})
